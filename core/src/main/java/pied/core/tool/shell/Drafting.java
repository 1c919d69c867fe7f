package pied.core.tool.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.edit.Amount;
import pied.core.space.Outlines;
import pied.core.space.Shell;
import pied.core.space.Spot;
import pied.core.space.Validity;
import pied.core.space.Wall;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/**
 * Drawing a figure of the plan corner by corner: where the next corner goes, given where one points
 * or what one types. Edges keep right angles unless one asks for any.
 */
public final class Drafting {
  private static final Pattern AT_AN_ANGLE =
      Pattern.compile("(.+?)\\s+at\\s+([0-9]+(?:[.,][0-9]+)?)\\s*°?");

  /**
   * What is asked.
   *
   * @param corners so far
   * @param pointer where one points
   * @param typed a length, or a length and the angle between the two edges: "3.2 at 135"; null if
   *     nothing was typed
   * @param free any angle
   * @param near how close the pointer must come to something to mean it, metres
   * @param line a line of two points and not a figure to be closed
   */
  public record DraftQuestion(
      List<Spot> corners,
      Spot pointer,
      @Nullable String typed,
      @Nullable Boolean free,
      @Nullable Double near,
      @Nullable Boolean line) {}

  /**
   * An edge with its length in words.
   *
   * @param angle at its first corner, between it and the edge before; empty for the first edge
   */
  public record DraftEdge(Spot from, Spot to, String length, String angle) {}

  /**
   * Where the next corner goes.
   *
   * @param closes whether it is the first corner, and the figure done
   * @param edges those drawn, and the one that leads to the next corner
   * @param area of the figure if it were closed now; empty for less than three corners
   */
  public record Draft(Spot next, boolean closes, List<DraftEdge> edges, String area) {}

  private final Shell shell;
  private final LengthUnit unit;
  private final DraftQuestion q;
  private final double near;
  private final boolean line;

  private Drafting(Shell shell, LengthUnit unit, DraftQuestion q) {
    this.shell = shell;
    this.unit = unit;
    this.q = q;
    this.near = q.near() == null ? 0.1 : Math.max(0, Math.min(2, q.near()));
    this.line = Boolean.TRUE.equals(q.line());
  }

  /**
   * Answers.
   *
   * @param shell what the figure is drawn into and keeps to, or null for a new outline
   * @throws Refusal if what was typed cannot be read
   */
  public static Draft next(Shell shell, DraftQuestion q, LengthUnit unit) {
    try {
      return checked(shell, q, unit);
    } catch (Refusal e) {
      throw e.in(unit);
    }
  }

  private static Draft checked(Shell shell, DraftQuestion q, LengthUnit unit) {
    if (q.corners() == null
        || q.pointer() == null
        || q.corners().stream().anyMatch(java.util.Objects::isNull)) {
      throw new Refusal("Say the corners so far and where you point.");
    }
    if (q.corners().size() > pied.core.space.ShellCheck.MOST_CORNERS) {
      throw new Refusal(
          "An outline may have up to {} corners.", pied.core.space.ShellCheck.MOST_CORNERS);
    }
    for (Spot p : q.corners()) {
      Validity.place("A corner", p.at(0));
    }
    Validity.place("The next corner", q.pointer().at(0));
    Draft a = new Drafting(shell, unit, q).answer();
    Validity.place("The next corner", a.next().at(0));
    return a;
  }

  private Draft answer() {
    List<Spot> c = q.corners();
    boolean closes =
        !line && q.typed() == null && c.size() >= 3 && q.pointer().distance(c.get(0)) <= near;
    Spot next = closes ? c.get(0) : c.isEmpty() ? first() : following();
    List<DraftEdge> edges = new ArrayList<>();
    for (int i = 0; i + 1 < c.size(); i++) {
      edges.add(edge(i == 0 ? null : c.get(i - 1), c.get(i), c.get(i + 1)));
    }
    if (!c.isEmpty()) {
      edges.add(edge(c.size() < 2 ? null : c.get(c.size() - 2), c.get(c.size() - 1), next));
    }
    List<Spot> figure = new ArrayList<>(c);
    if (!closes) {
      figure.add(next);
    }
    String area = figure.size() < 3 || line ? "" : unit.area(Math.abs(Outlines.area(figure)));
    return new Draft(next, closes, edges, area);
  }

  private DraftEdge edge(Spot before, Spot from, Spot to) {
    String angle = "";
    if (before != null && from.distance(to) > Tolerance.SAME) {
      double a = Math.abs(bearing(from, to) - bearing(from, before)) % 360;
      a = Math.min(a, 360 - a);
      a = Math.round(a * 10) / 10.0;
      angle = (a == Math.rint(a) ? String.valueOf((int) a) : String.valueOf(a)) + "°";
    }
    return new DraftEdge(from, to, unit.fine(from.distance(to)), angle);
  }

  /** Direction on the plan, degrees; 0 to the right, 90 down the sheet. */
  private static double bearing(Spot from, Spot to) {
    return Math.toDegrees(Math.atan2(to.z() - from.z(), to.x() - from.x()));
  }

  private Spot first() {
    Spot p = new Spot(round(q.pointer().x()), round(q.pointer().z()));
    if (shell == null) {
      return p;
    }
    // onto a wall that is near
    Spot best = p;
    double least = near;
    for (Wall w : shell.walls()) {
      double s = w.station(q.pointer());
      double d = w.distance(q.pointer());
      if (d < least && s > -near && s < w.length() + near) {
        double along = s < near ? 0 : s > w.length() - near ? w.length() : round(s);
        best = w.spot(along, 0);
        least = d;
      }
    }
    return best;
  }

  private Spot following() {
    List<Spot> c = q.corners();
    Spot last = c.get(c.size() - 1);
    double base = c.size() < 2 ? 0 : bearing(c.get(c.size() - 2), last);
    double toPointer = bearing(last, q.pointer());
    double far = last.distance(q.pointer());
    if (q.typed() != null && !q.typed().isBlank()) {
      return typed(last, base, toPointer, far, c.size() > 1);
    }
    if (Boolean.TRUE.equals(q.free())) {
      return shell != null && far > near ? onWall(q.pointer()) : rounded(q.pointer());
    }
    double way = square(base, toPointer, c.size() > 1);
    double along = far * Math.cos(Math.toRadians(toPointer - way));
    Spot next = ahead(last, way, Math.max(0, along));
    // level with the first corner, so that the last edge is square too; or on the wall ahead
    if (!line && c.size() >= 2) {
      double level = level(last, way, c.get(0));
      if (level > Tolerance.FINE && Math.abs(level - along) < near) {
        return ahead(last, way, level);
      }
    }
    if (shell != null) {
      double wall = toWall(last, way);
      if (Math.abs(wall - along) < near) {
        return ahead(last, way, wall);
      }
    }
    return ahead(last, way, round(last.distance(next)));
  }

  /** An edge of a typed length, and at a typed angle to the one before it if that was said. */
  private Spot typed(Spot last, double base, double toPointer, double far, boolean square) {
    Matcher m = AT_AN_ANGLE.matcher(q.typed().strip());
    boolean angled = m.matches();
    double length = new Amount(angled ? m.group(1) : q.typed(), 0).length(unit, far);
    if (!(length > 0)) {
      throw new Refusal("An edge is longer than 0.");
    }
    double way =
        Boolean.TRUE.equals(q.free()) ? Math.rint(toPointer) : square(base, toPointer, square);
    if (angled) {
      // the edges enclose this angle, on the side to which one points
      double turned = 180 - Double.parseDouble(m.group(2).replace(',', '.'));
      double side = ((toPointer - base) % 360 + 540) % 360 - 180 >= 0 ? 1 : -1;
      way = base + side * turned;
    }
    return ahead(last, way, length);
  }

  private Spot onWall(Spot p) {
    return shell.walls().stream()
        .filter(w -> w.distance(p) < near)
        .findFirst()
        .map(w -> w.spot(Math.max(0, Math.min(w.length(), w.station(p))), 0))
        .orElse(rounded(p));
  }

  private static Spot rounded(Spot p) {
    return new Spot(round(p.x()), round(p.z()));
  }

  /**
   * The square direction nearest to the one pointed to.
   *
   * @param onward never back over the edge before
   */
  private static double square(double base, double toPointer, boolean onward) {
    double turned = ((toPointer - base) % 360 + 540) % 360 - 180;
    double quarter = 90 * Math.rint(turned / 90);
    return base + (onward && Math.abs(quarter) == 180 ? Math.copySign(90, turned) : quarter);
  }

  /** How far along a direction one is level with a point. */
  private static double level(Spot from, double way, Spot p) {
    double a = Math.toRadians(way);
    return (p.x() - from.x()) * Math.cos(a) + (p.z() - from.z()) * Math.sin(a);
  }

  /** How far it is along a direction to the next wall. */
  private double toWall(Spot from, double way) {
    double best = Double.POSITIVE_INFINITY;
    Spot ahead = ahead(from, way, 1);
    for (Wall w : shell.walls()) {
      double a = w.off(from);
      double rate = w.off(ahead) - a;
      if (rate < -Tolerance.SAME && a > Tolerance.FINE) {
        double t = -a / rate;
        double s = w.station(ahead(from, way, t));
        if (s > -Tolerance.FINE && s < w.length() + Tolerance.FINE) {
          best = Math.min(best, t);
        }
      }
    }
    return best;
  }

  private static Spot ahead(Spot from, double way, double length) {
    double w = ((way % 360) + 360) % 360;
    double near = Math.rint(w);
    w = Math.abs(w - near) < Tolerance.SAME ? near : w;
    double c =
        w == 90 || w == 270
            ? 0
            : w == 0 || w == 360 ? 1 : w == 180 ? -1 : Math.cos(Math.toRadians(w));
    double s =
        w == 0 || w == 180 || w == 360
            ? 0
            : w == 90 ? 1 : w == 270 ? -1 : Math.sin(Math.toRadians(w));
    return new Spot(tidy(from.x() + c * length), tidy(from.z() + s * length));
  }

  private static double tidy(double v) {
    return Math.rint(v * 1e9) / 1e9 + 0.0;
  }

  private static double round(double v) {
    return Math.rint(v * 100) / 100 + 0.0;
  }
}
