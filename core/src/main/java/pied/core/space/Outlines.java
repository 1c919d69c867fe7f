package pied.core.space;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import pied.core.units.Refusal;

/** Outlines of the usual rooms, from their measures in metres. */
public final class Outlines {
  private Outlines() {}

  /** From the datum at the back left corner. */
  public static List<Spot> rectangle(double width, double depth) {
    return List.of(spot(0, 0), spot(width, 0), spot(width, depth), spot(0, depth));
  }

  /** A rectangle with its front right corner cut out. */
  public static List<Spot> l(double width, double depth, double cutWidth, double cutDepth) {
    inside("The part cut out", cutWidth, width);
    inside("The part cut out", cutDepth, depth);
    double x = width - cutWidth;
    double z = depth - cutDepth;
    return List.of(
        spot(0, 0), spot(width, 0), spot(width, z), spot(x, z), spot(x, depth), spot(0, depth));
  }

  /** A bar across the back and a stem from its middle to the front. */
  public static List<Spot> t(double width, double depth, double stemWidth, double barDepth) {
    inside("The stem", stemWidth, width);
    inside("The bar", barDepth, depth);
    double x0 = (width - stemWidth) / 2;
    double x1 = (width + stemWidth) / 2;
    return List.of(
        spot(0, 0),
        spot(width, 0),
        spot(width, barDepth),
        spot(x1, barDepth),
        spot(x1, depth),
        spot(x0, depth),
        spot(x0, barDepth),
        spot(0, barDepth));
  }

  /** A rectangle with a recess cut into the middle of its front. */
  public static List<Spot> u(double width, double depth, double cutWidth, double cutDepth) {
    inside("The part cut out", cutWidth, width);
    inside("The part cut out", cutDepth, depth);
    double x0 = (width - cutWidth) / 2;
    double x1 = (width + cutWidth) / 2;
    double z = depth - cutDepth;
    return List.of(
        spot(0, 0),
        spot(width, 0),
        spot(width, depth),
        spot(x1, depth),
        spot(x1, z),
        spot(x0, z),
        spot(x0, depth),
        spot(0, depth));
  }

  private static void inside(String what, double part, double whole) {
    if (!(part > 0 && part < whole)) {
      throw new Refusal(
          "{} must measure more than 0 and less than the whole: {} of {}.", what, part, whole);
    }
  }

  private static Spot spot(double x, double z) {
    return new Spot(x, z);
  }

  /** Area of a figure of the plan, m²; positive if its corners run clockwise on the plan. */
  public static double area(List<Spot> corners) {
    double twice = 0;
    for (int i = 0; i < corners.size(); i++) {
      Spot a = corners.get(i);
      Spot b = corners.get((i + 1) % corners.size());
      twice += a.x() * b.z() - b.x() * a.z();
    }
    return twice / 2;
  }

  /** The same corners clockwise on the plan. */
  public static List<Spot> clockwise(List<Spot> corners) {
    if (area(corners) >= 0) {
      return corners;
    }
    List<Spot> turned = new ArrayList<>(corners);
    Collections.reverse(turned);
    Collections.rotate(turned, 1); // the first corner stays the first
    return turned;
  }
}
