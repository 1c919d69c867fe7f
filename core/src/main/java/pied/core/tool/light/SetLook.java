package pied.core.tool.light;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.show.LightLook;
import pied.core.show.Showing;

/**
 * Names a look, says how long it takes to fade to it, or puts it elsewhere among the others. What
 * is not said stays.
 *
 * @param fade seconds
 * @param withDay false: the day has no part in it from then on; true: that of now has
 * @param to its place among the looks from then on, 0 for the first
 */
@JsonTypeName("look")
@RecordBuilder
public record SetLook(
    String look,
    @Nullable String name,
    @Nullable Double fade,
    @Nullable Boolean withDay,
    @Nullable Integer to)
    implements Edit {
  @Override
  public void make(EditSession session) {
    LightLook old = Looks.named(session, EditSession.need(look, "look"));
    LightLook now = old;
    if (name != null) {
      now = now.withName(Looks.free(session, name, old.id()));
    }
    if (fade != null) {
      now = now.withFade(Looks.fade(fade));
    }
    if (withDay != null) {
      now = now.withDay(withDay ? session.space().showing().day() : null);
    }
    if (to != null) {
      now =
          now.withPlace(
              Showing.place(
                  session.space().showing().looks().stream()
                      .filter(l -> !l.id().equals(old.id()))
                      .map(LightLook::place)
                      .toList(),
                  to));
    }
    session.show(session.space().showing().with(now));
  }
}
