package pied.core.tool.light;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.show.LightLook;
import pied.core.show.Showing;
import pied.core.show.Viewpoint;

/** Removes a look; viewpoints it belonged to are there without one. */
@JsonTypeName("removeLook")
@RecordBuilder
public record RemoveLook(String look) implements Edit {
  @Override
  public void make(EditSession session) {
    LightLook gone = Looks.named(session, EditSession.need(look, "look"));
    Showing now = session.space().showing().without(gone.key());
    for (Viewpoint v : now.viewpoints()) {
      if (gone.id().equals(v.look())) {
        now = now.with(v.withLook(null));
      }
    }
    session.show(now);
  }
}
