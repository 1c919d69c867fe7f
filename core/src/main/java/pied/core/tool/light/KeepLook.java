package pied.core.tool.light;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Map;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.show.LightLook;
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
    List<LightLook> all = session.space().showing().looks();
    Map<String, LightLook.LampLevel> levels = Looks.levels(session.space());
    if (look != null) {
      LightLook old = Looks.named(session, look);
      session.show(
          session
              .space()
              .showing()
              .with(
                  new LightLook(
                      old.id(),
                      name == null ? old.name() : Looks.free(session, name, old.id()),
                      old.place(),
                      fade == null ? old.fade() : Looks.fade(fade),
                      session.space().showing().day(),
                      levels)));
      return;
    }
    if (all.size() >= LightLook.MOST) {
      throw new Refusal("A space keeps up to {} looks; remove one first.", LightLook.MOST);
    }
    double last = all.isEmpty() ? -1 : all.get(all.size() - 1).place();
    session.show(
        session
            .space()
            .showing()
            .with(
                new LightLook(
                    session.newId(),
                    Looks.free(session, name == null ? next(all) : name, null),
                    last + 1,
                    fade == null ? FADE : Looks.fade(fade),
                    session.space().showing().day(),
                    levels)));
  }

  private static String next(List<LightLook> all) {
    for (int n = all.size() + 1; ; n++) {
      String name = "Look " + n;
      if (all.stream().noneMatch(l -> l.name().equalsIgnoreCase(name))) {
        return name;
      }
    }
  }
}
