package pied.core.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.Shell;
import pied.core.space.Wall;

/**
 * The plan of a shell: what a drawing office draws of the bare room.
 *
 * @param floor outline of the floor, x, z, x, z…
 * @param walls rings of solid wall, cut at the openings
 * @param windows the lines of windows
 * @param doors leaves with their swing
 * @param names of the walls with the place to write them
 */
public record ShellPlan(
    double[] floor,
    List<double[]> walls,
    List<double[]> windows,
    List<Swing> doors,
    List<Label> names) {
  /** A door leaf standing open at a right angle, from hinge to tip, and where it shuts. */
  public record Swing(
      double hingeX,
      double hingeZ,
      double tipX,
      double tipZ,
      double shutX,
      double shutZ,
      double radius) {}

  /** A text at a place. */
  public record Label(String text, double x, double z) {}

  public static ShellPlan of(Shell shell) {
    List<double[]> walls = new ArrayList<>();
    List<double[]> windows = new ArrayList<>();
    List<Swing> doors = new ArrayList<>();
    List<Label> names = new ArrayList<>();
    for (Wall wall : shell.walls()) {
      List<Opening> own = new ArrayList<>(shell.openings());
      own.removeIf(o -> !o.wall().equals(wall.name()));
      own.sort(Comparator.comparingDouble(Opening::from));
      double at = 0;
      for (Opening o : own) {
        walls.add(solid(shell, wall, at, o.from()));
        at = o.from() + o.width();
        if (o.kind() == Opening.Kind.window) {
          windows.addAll(window(shell, wall, o));
        } else {
          doors.add(swing(wall, o));
        }
      }
      walls.add(solid(shell, wall, at, wall.length()));
      Vec label = point(wall, wall.length() / 2, -shell.thickness() - 0.18);
      names.add(new Label(wall.name(), label.x(), label.z()));
    }
    double[] floor = new double[2 * shell.outline().size()];
    for (int i = 0; i < shell.outline().size(); i++) {
      floor[2 * i] = shell.outline().get(i).x();
      floor[2 * i + 1] = shell.outline().get(i).z();
    }
    return new ShellPlan(floor, walls, windows, doors, names);
  }

  private static double[] solid(Shell shell, Wall wall, double from, double to) {
    double length = wall.length();
    double outerFrom = from == 0 ? wall.station(wall.outerFrom()) : from;
    double outerTo = to == length ? wall.station(wall.outerTo()) : to;
    double t = shell.thickness();
    return ring(
        point(wall, from, 0),
        point(wall, to, 0),
        point(wall, outerTo, -t),
        point(wall, outerFrom, -t));
  }

  private static List<double[]> window(Shell shell, Wall wall, Opening o) {
    List<double[]> lines = new ArrayList<>();
    for (double off :
        new double[] {0, -shell.thickness() * 0.4, -shell.thickness() * 0.6, -shell.thickness()}) {
      Vec a = point(wall, o.from(), off);
      Vec b = point(wall, o.from() + o.width(), off);
      lines.add(new double[] {a.x(), a.z(), b.x(), b.z()});
    }
    return lines;
  }

  private static Swing swing(Wall wall, Opening o) {
    Vec hinge = point(wall, o.from(), 0);
    Vec shut = point(wall, o.from() + o.width(), 0);
    Vec tip = point(wall, o.from(), o.width());
    return new Swing(hinge.x(), hinge.z(), tip.x(), tip.z(), shut.x(), shut.z(), o.width());
  }

  private static Vec point(Wall wall, double station, double off) {
    return wall.from().at(0).along(wall.along(), station).along(wall.inward(), off);
  }

  private static double[] ring(Vec... points) {
    double[] out = new double[2 * points.length];
    for (int i = 0; i < points.length; i++) {
      out[2 * i] = points[i].x();
      out[2 * i + 1] = points[i].z();
    }
    return out;
  }
}
