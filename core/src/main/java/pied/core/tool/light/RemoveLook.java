package pied.core.tool.light;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.show.Showing;
import pied.core.show.Viewpoint;

/** Removes a look; viewpoints it belonged to are there without one. */
@JsonTypeName("removeLook")
@RecordBuilder
public record RemoveLook(String look) implements Edit {
  @Override
  public void make(EditSession session) {
    String id = Looks.named(session, EditSession.need(look, "look")).id();
    Showing now = session.space().showing().without("look:" + id);
    for (Viewpoint v : now.viewpoints()) {
      if (id.equals(v.look())) {
        now = now.with(v.withLook(null));
      }
    }
    session.show(now);
  }
}
