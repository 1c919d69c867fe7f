package pied.core.material;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import pied.core.units.Angle;

/** Finishes in words. */
public final class FinishWords {
  private FinishWords() {}

  /** What a complete finish is: "oak veneer", "matt paint, sage", "moss green". */
  public static String of(Finish f) {
    Material m = Materials.of(f.material());
    if (m.plain()) {
      return Colours.name(f.colour());
    }
    List<String> all = new ArrayList<>();
    all.add(m.said());
    if (!Objects.equals(f.colour(), m.finish().colour())) {
      all.add(Colours.name(f.colour()));
    }
    Laying l = f.laying();
    if (l.second() != null && !l.second().equals(m.second())) {
      all.add("with " + Colours.name(l.second()));
    }
    if (l.turned() != 0) {
      all.add("turned by " + Angle.text(l.turned()));
    }
    return String.join(", ", all);
  }

  /** The material alone: "oak veneer"; nothing where it is a colour only. */
  public static String material(Finish f) {
    Material m = Materials.of(f.material());
    return m.plain() ? "" : m.said();
  }
}
