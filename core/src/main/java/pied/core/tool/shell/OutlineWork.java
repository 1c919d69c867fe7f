package pied.core.tool.shell;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pied.core.Tolerance;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.Outlines;
import pied.core.space.Shell;
import pied.core.space.ShellCheck;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.units.Refusal;

/**
 * Alters the outline of a shell. Openings stay at their places in the space; a wall keeps its name
 * unless corners come or go.
 */
final class OutlineWork {
  private final Shell before;
  private final List<Spot> corners;

  OutlineWork(Shell before) {
    this.before = before;
    this.corners = new ArrayList<>(before.outline());
  }

  private int n() {
    return corners.size();
  }

  private Spot corner(int i) {
    return corners.get(Math.floorMod(i, n()));
  }

  /** Number of the corner at which a wall of the outline begins. */
  static int edge(Shell shell, String wall) {
    for (int i = 0; i < shell.outline().size(); i++) {
      if (Shell.name(i).equals(wall)) {
        return i;
      }
    }
    throw new Refusal("There is no wall “{}” in the outline.", wall);
  }

  private void check(int corner) {
    if (corner < 0 || corner >= n()) {
      throw new Refusal("There is no corner {}; the outline has {}.", corner + 1, n());
    }
  }

  // ---- what can be done

  ShellWork.ShellResult moveWall(String wall, double by) {
    offset(edge(before, wall), by);
    return kept();
  }

  ShellWork.ShellResult wallLength(String wall, double length, WallLength.End moves) {
    int i = edge(before, wall);
    double delta = length - corner(i).distance(corner(i + 1));
    if (length <= 0) {
      throw new Refusal("A wall is longer than 0.");
    }
    boolean end = (moves == null ? moves(before, i) : moves) == WallLength.End.end;
    int beyond = end ? i + 1 : i - 1;
    Vec way = direction(i).times(end ? 1 : -1);
    double across = way.dot(outward(beyond));
    if (Math.abs(across) < Tolerance.FINE) { // it runs straight on
      int moved = Math.floorMod(end ? i + 1 : i, n());
      corners.set(moved, corner(moved).plus(way.x() * delta, way.z() * delta));
    } else {
      offset(Math.floorMod(beyond, n()), delta * across);
    }
    return kept();
  }

  /**
   * The end of a wall that moves unless it is said: that farther from the datum, so that a space
   * grows away from where positions are read; of two as far the second.
   */
  static WallLength.End moves(Shell shell, int edge) {
    Wall w = shell.walls().get(edge);
    Vec way = w.along();
    double from = Math.abs(w.from().at(0).minus(shell.datum()).dot(way));
    double to = Math.abs(w.to().at(0).minus(shell.datum()).dot(way));
    return from > to + Tolerance.FINE ? WallLength.End.start : WallLength.End.end;
  }

  /**
   * All walls that are the outermost toward a side move outward.
   *
   * @param side level, of length 1
   */
  void grow(Vec side, double by) {
    if (by == 0) {
      return;
    }
    double outermost = corners.stream().mapToDouble(c -> c.at(0).dot(side)).max().orElseThrow();
    boolean any = false;
    for (int i = 0; i < n(); i++) {
      boolean there =
          Math.abs(corner(i).at(0).dot(side) - outermost) < Tolerance.FINE
              && Math.abs(corner(i + 1).at(0).dot(side) - outermost) < Tolerance.FINE;
      if (there) {
        offset(i, by);
        any = true;
      }
    }
    if (!any) {
      throw new Refusal(
          "There is no wall straight across that side; move its corners, or its walls one by one.");
    }
  }

  ShellWork.ShellResult moveCorner(int corner, Spot to, boolean square) {
    check(corner);
    Spot from = corner(corner);
    if (!square) {
      corners.set(corner, to);
      return kept();
    }
    Vec v = new Vec(to.x() - from.x(), 0, to.z() - from.z());
    Vec before = outward(corner - 1);
    Vec after = outward(corner);
    if (Math.abs(before.cross(after).y()) < Tolerance.FINE) {
      corners.set(corner, to);
      return kept();
    }
    offset(Math.floorMod(corner - 1, n()), v.dot(before));
    offset(corner, v.dot(after));
    return kept();
  }

  ShellWork.ShellResult addCorner(String wall, Double at) {
    int i = edge(before, wall);
    double length = corner(i).distance(corner(i + 1));
    double s = at == null ? length / 2 : at;
    if (!(s > 0.005 && s < length - 0.005)) {
      throw new Refusal("The new corner must lie between the two ends of wall {}.", wall);
    }
    Vec t = direction(i);
    Spot p = corner(i).plus(t.x() * s, t.z() * s);
    corners.add(i + 1, p);
    Map<String, String> renamed = new LinkedHashMap<>();
    for (int k = i + 1; k < before.outline().size(); k++) {
      renamed.put(Shell.name(k), Shell.name(k + 1));
    }
    Map<String, Double> thick = renamedThick(renamed);
    if (thick.containsKey(wall)) {
      thick.put(Shell.name(i + 1), thick.get(wall));
    }
    List<Opening> openings = new ArrayList<>();
    for (Opening o : before.openings()) {
      if (!o.wall().equals(wall)) {
        openings.add(o.at(renamed.getOrDefault(o.wall(), o.wall()), o.from()));
      } else if (o.from() >= s) {
        openings.add(o.at(Shell.name(i + 1), o.from() - s));
      } else if (o.to() <= s) {
        openings.add(o);
      } else {
        throw new Refusal(
            "The {} is in the way of a corner there; move it or choose another place.", o.words());
      }
    }
    return new ShellWork.ShellResult(
        before.withOutline(corners, thick, openings), renamed, List.of(), null);
  }

  ShellWork.ShellResult removeCorner(int corner) {
    check(corner);
    if (n() <= 3) {
      throw new Refusal("An outline has at least three corners.");
    }
    String gone = Shell.name(corner);
    corners.remove(corner);
    Map<String, String> renamed = new LinkedHashMap<>();
    for (int k = corner + 1; k < before.outline().size(); k++) {
      renamed.put(Shell.name(k), Shell.name(k - 1));
    }
    // what was in the wall that goes is now in the one that takes its place
    String heir = corner == 0 ? Shell.name(n() - 1) : Shell.name(corner - 1);
    renamed.put(gone, heir);
    Map<String, Double> thick = renamedThick(renamed);
    return refit(thick, renamed, true);
  }

  ShellWork.ShellResult replace(List<Spot> outline) {
    corners.clear();
    corners.addAll(outline);
    return refit(Map.copyOf(before.thicknesses()), Map.of(), true);
  }

  // ---- how

  /**
   * What has come of it so far: the outline after, with every opening where it was in the space.
   */
  ShellWork.ShellResult kept() {
    if (!Outlines.clockwise(corners).equals(corners)) {
      throw new Refusal("The walls would run through each other; move it less far.");
    }
    return refit(before.thicknesses(), Map.of(), false);
  }

  private ShellWork.ShellResult refit(
      Map<String, Double> thick, Map<String, String> renamed, boolean mayGo) {
    Shell bare = before.withOutline(corners, thick, List.of());
    ShellCheck.outline(bare); // nothing below makes sense of corners on one place
    Map<String, Wall> now = new HashMap<>();
    bare.walls().forEach(w -> now.put(w.name(), w));
    bare.partitions().forEach(p -> now.put(p.id(), p.face()));
    List<Opening> openings = new ArrayList<>();
    List<String> said = new ArrayList<>();
    for (Opening o : before.openings()) {
      Wall old = before.wall(o.wall());
      Wall wall = now.get(renamed.getOrDefault(o.wall(), o.wall()));
      double from =
          wall == null
              ? -1
              : tidy(wall.station(old.spot(o.from() + o.width() / 2, 0)) - o.width() / 2);
      boolean fits =
          wall != null
              && from >= -Tolerance.SAME
              && from + o.width() <= wall.length() + Tolerance.SAME
              && !wall.open();
      if (fits || !mayGo) {
        openings.add(o.at(wall == null ? o.wall() : wall.name(), from));
      } else {
        said.add("The " + o.words() + " of wall " + o.wall() + " no longer fits and was left out.");
      }
    }
    return new ShellWork.ShellResult(
        before.withOutline(corners, thick, openings), renamed, said, null);
  }

  /** A station without the dust of the arithmetic. */
  private static double tidy(double v) {
    double r = Math.rint(v * 1e9) / 1e9;
    return Math.abs(r) < Tolerance.SAME ? 0 : r;
  }

  private Map<String, Double> renamedThick(Map<String, String> renamed) {
    Map<String, Double> thick = new LinkedHashMap<>();
    before.thicknesses().forEach((w, t) -> thick.put(renamed.getOrDefault(w, w), t));
    return thick;
  }

  private Vec direction(int edge) {
    Spot a = corner(edge);
    Spot b = corner(edge + 1);
    return new Vec(b.x() - a.x(), 0, b.z() - a.z()).unit();
  }

  private Vec outward(int edge) {
    Vec t = direction(edge);
    return new Vec(t.z(), 0, -t.x() + 0.0);
  }

  /** Moves an edge outward; its neighbours keep their directions. */
  private void offset(int edge, double by) {
    Vec n = outward(edge);
    int i = Math.floorMod(edge, n());
    int j = Math.floorMod(edge + 1, n());
    Spot a = slid(i, direction(i - 1), n, by);
    Spot b = slid(j, direction(j), n, by);
    corners.set(i, a);
    corners.set(j, b);
  }

  /** A corner moved along its other wall until it is so far out. */
  private Spot slid(int corner, Vec along, Vec n, double by) {
    double rate = along.dot(n);
    Vec v = Math.abs(rate) < Tolerance.FINE ? n.times(by) : along.times(by / rate);
    return corner(corner).plus(v.x(), v.z());
  }

  /**
   * The number of a corner of the outline.
   *
   * @throws Refusal if there is none
   */
  static int corner(Shell shell, String number) {
    int i = number.matches("\\d{1,4}") ? Integer.parseInt(number) : -1;
    if (i < 0 || i >= shell.outline().size()) {
      throw new Refusal("There is no such corner.");
    }
    return i;
  }
}
