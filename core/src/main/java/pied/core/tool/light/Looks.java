package pied.core.tool.light;

import java.util.Map;
import java.util.TreeMap;
import pied.core.Nullable;
import pied.core.edit.EditSession;
import pied.core.piece.Lamp;
import pied.core.show.LampCurve;
import pied.core.show.LightLook;
import pied.core.show.LightLook.LampLevel;
import pied.core.show.ShownNames;
import pied.core.space.Space;
import pied.core.units.Refusal;
import pied.core.units.Text;

/** What edits of looks share. */
final class Looks {
  private Looks() {}

  /**
   * A look of an id or a name.
   *
   * @throws Refusal if there is none
   */
  static LightLook named(EditSession session, String look) {
    LightLook found = ShownNames.named(session.space().showing().looks(), look);
    if (found == null) {
      throw new Refusal("There is no look “{}” in this space.", Text.clean(look));
    }
    return found;
  }

  /**
   * A photometric file of an id or a name.
   *
   * @throws Refusal if there is none
   */
  static LampCurve curve(EditSession session, String curve) {
    LampCurve found = ShownNames.named(session.space().showing().curves(), curve);
    if (found == null) {
      throw new Refusal("There is no photometric file “{}” in this space.", Text.clean(curve));
    }
    return found;
  }

  /** How all lamps are switched. */
  static Map<String, LampLevel> levels(Space space) {
    Map<String, LampLevel> all = new TreeMap<>();
    for (String id : LampsMeant.ALL.in(space)) {
      Lamp lamp = space.piece(id).lamp();
      all.put(id, new LampLevel(lamp.on(), lamp.level()));
    }
    return all;
  }

  /** A name that no other look has. */
  static String free(EditSession session, String name, @Nullable String own) {
    return ShownNames.free(session.space().showing().looks(), "look", name, own);
  }

  static double fade(double seconds) {
    if (!(seconds >= 0 && seconds <= LightLook.LONGEST)) {
      throw new Refusal("A fade takes between 0 and {} seconds.", (int) LightLook.LONGEST);
    }
    return seconds;
  }
}
