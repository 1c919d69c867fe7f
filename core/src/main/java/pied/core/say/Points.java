package pied.core.say;

import java.util.ArrayList;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit.PlanPoint;
import pied.core.phrase.Writer;
import pied.core.solid.Vec;
import pied.core.space.Positions;
import pied.core.space.Positions.Direction;
import pied.core.units.Angle;
import pied.core.units.LengthUnit;

/** Reads and writes points, and amounts as they stand in sentences. */
public final class Points {
  private Points() {}

  /**
   * So far across and deep in the directions of the space, as in "2.10, 1.40"; of a stage in either
   * order, as in "1.05 stage right, 2.30 upstage".
   */
  public static PlanPoint two(Reading r) {
    Amount x = r.length("so far across, so far deep");
    if (x == null) {
      throw r.unread();
    }
    Amount first = deep(r, x);
    if (first != null) {
      r.comma();
      Amount then = r.length("so far to stage left or right");
      Amount across = then == null ? null : across(r, then);
      if (across == null) {
        throw r.unread();
      }
      return new PlanPoint(across, first);
    }
    Amount across = across(r, x);
    r.quietly("across");
    r.comma();
    Amount z = r.length("so far deep");
    if (z == null) {
      throw r.unread();
    }
    Amount second = deep(r, z);
    r.quietly("deep");
    return new PlanPoint(across == null ? x : across, second == null ? z : second);
  }

  /** So far to a side of the centre line; null if no word says so. */
  static @Nullable Amount across(Reading r, Amount by) {
    if (r.quietly("stage left of centre|stage left|left of centre|to stage left")) {
      return by;
    }
    return r.quietly("stage right of centre|stage right|right of centre|to stage right")
        ? Amount.of(-by.number())
        : null;
  }

  /** So far up or down the stage; null if no word says so. */
  static @Nullable Amount deep(Reading r, Amount by) {
    if (r.quietly("downstage of the setting line|downstage")) {
      return by;
    }
    return r.quietly("upstage of the setting line|upstage") ? Amount.of(-by.number()) : null;
  }

  /** A way on a stage by its words, as in "0.30 upstage"; null if no word says so. */
  public static @Nullable PlanPoint way(Reading r, Amount by) {
    Amount x = across(r, by);
    Amount z = x == null ? deep(r, by) : null;
    return x == null && z == null ? null : new PlanPoint(x, z);
  }

  /** A third number behind a place, bare: how high its underside is; null if there is none. */
  public static @Nullable Amount high(Reading r) {
    int before = r.at();
    if (r.comma() && r.length()) {
      Amount y = r.length("so high");
      // with a word behind it, it is a size or something else: "0.55 high"
      boolean other = r.ahead("wide|deep|high|x|apart|from|off|beside|below|*|by");
      if (!other) {
        return y;
      }
    }
    r.back(before);
    return null;
  }

  /** Such as "1, 1 to 4, 1"; none if there is none yet. */
  public static List<PlanPoint> several(Reading r) {
    List<PlanPoint> points = new ArrayList<>();
    if (r.length()) {
      do {
        points.add(two(r));
      } while (r.is("to"));
    }
    return points;
  }

  public static String several(Writer w, List<PlanPoint> points) {
    return String.join(" to ", points.stream().map(p -> two(w, p)).toList());
  }

  public static Vec three(Reading r) {
    PlanPoint p = two(r);
    int before = r.at();
    double y = 0;
    if (r.comma() && r.length()) {
      y = r.length("so high").number();
      r.quietly("high");
    } else {
      r.back(before);
    }
    return new Vec(p.x().number(), y, p.z().number());
  }

  public static String three(Writer w, @Nullable Vec p) {
    return p == null
        ? "?"
        : w.unit.exact(p.x()) + ", " + w.unit.exact(p.z()) + ", " + w.unit.exact(p.y()) + " high";
  }

  public static String two(Writer w, PlanPoint p) {
    if (w.shell.stage() == null || p.x().text() != null || p.z().text() != null) {
      return length(w, p.x()) + ", " + length(w, p.z());
    }
    double x = p.x().number();
    double z = p.z().number();
    return w.unit.exact(Math.abs(x))
        + " "
        + Positions.side(Direction.across, x)
        + ", "
        + w.unit.exact(Math.abs(z))
        + " "
        + Positions.side(Direction.deep, z);
  }

  /** A length as it is read: what was typed, or the number in the unit. */
  public static String length(Writer w, Amount a) {
    return length(w.unit, a);
  }

  public static String length(LengthUnit unit, Amount a) {
    return a.text() != null ? a.text() : unit.exact(a.number());
  }

  public static String number(Amount a) {
    if (a.text() != null) {
      return a.text();
    }
    long whole = Math.round(a.number());
    return whole == a.number() ? String.valueOf(whole) : String.valueOf(a.number());
  }

  public static String angle(Amount a) {
    return a.text() != null ? a.text() : Angle.text(a.number());
  }
}
