package pied.core.tool.light;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Map;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.show.LightLook;
import pied.core.show.Showing;
import pied.core.show.ShownNames;
import pied.core.units.Refusal;

/**
 * Keeps lamps and day as they are.
 *
 * @param name null for a number
 * @param look id of the look that is kept anew; null for another one
 * @param fade seconds; null for 3, or as it was
 */
@JsonTypeName("keepLook")
@RecordBuilder
public record KeepLook(@Nullable String name, @Nullable String look, @Nullable Double fade)
    implements Edit {
  private static final double FADE = 3;

  @Override
  public void make(EditSession session) {
    Showing showing = session.space().showing();
    LightLook old = look == null ? fresh(session) : Looks.named(session, look);
    session.show(
        showing.with(
            new LightLook(
                old.id(),
                name == null ? old.name() : Looks.free(session, name, old.id()),
                old.place(),
                fade == null ? old.fade() : Looks.fade(fade),
                showing.day(),
                Looks.levels(session.space()))));
  }

  /** One behind all others, of which nothing is kept yet. */
  private static LightLook fresh(EditSession session) {
    List<LightLook> all = session.space().showing().looks();
    if (all.size() >= LightLook.MOST) {
      throw new Refusal("A space keeps up to {} looks; remove one first.", LightLook.MOST);
    }
    double place = all.isEmpty() ? 0 : all.get(all.size() - 1).place() + 1;
    String called = ShownNames.next(all, "Look", all.size() + 1);
    return new LightLook(session.newId(), called, place, FADE, null, Map.of());
  }
}
