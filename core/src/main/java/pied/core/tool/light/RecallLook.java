package pied.core.tool.light;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.show.LightLook;

/**
 * Sets lamps and day as they were when a look was kept; lamps that came later stay as they are.
 *
 * @param look its id or its name
 */
@JsonTypeName("recallLook")
@RecordBuilder
public record RecallLook(String look) implements Edit {
  @Override
  public void make(EditSession session) {
    LightLook l = Looks.named(session, EditSession.need(look, "look"));
    List<String> there =
        LampsMeant.ALL.in(session.space()).stream().filter(l.levels()::containsKey).toList();
    if (!there.isEmpty()) {
      session.alter(
          session.chosen(there),
          p -> {
            LightLook.LampLevel v = l.levels().get(p.id());
            return p.withLamp(p.lamp().withOn(v.on()).withLevel(v.level()));
          });
    }
    if (l.day() != null) {
      session.show(session.space().showing().with(l.day()));
    }
  }
}
