package pied.core.light;

import java.util.Arrays;
import pied.core.Tolerance;
import pied.core.units.Refusal;

/**
 * How a lamp spreads its light, as it was measured: candela in half planes about its vertical axis
 * (the C-planes of CIE 121, LM-63 type C). Straight down is 0°, straight up 180°.
 *
 * @param name of the lamp; may be empty
 * @param lumens all of its light
 * @param watts it takes; 0 if not known
 * @param planes angles of the half planes, degrees, rising; one alone means that all are alike
 * @param angles from straight down, degrees, rising
 * @param candela by plane, then by angle
 * @param fold how a half plane that is not there is found among those that are
 */
public record Photometry(
    String name,
    double lumens,
    double watts,
    double[] planes,
    double[] angles,
    double[][] candela,
    PlaneFold fold) {
  /** Most angles of one direction. */
  static final int MOST = 721;

  /** Steps in which the sphere is summed up, degrees. */
  private static final double STEP = 0.5;

  /** Symmetries of what was measured. */
  public enum PlaneFold {
    /** All half planes are there. */
    none,
    /** All are alike. */
    round,
    /** The two sides of the plane through 0° and 180° are alike. */
    sides,
    /** The two sides of the plane through 90° and 270° are alike: from 270° to 90° are there. */
    ends,
    /** Both: from 0° to 90° are there. */
    quarters
  }

  public Photometry {
    rising(planes);
    rising(angles);
    if (candela.length != planes.length
        || Arrays.stream(candela).anyMatch(c -> c.length != angles.length)) {
      throw new Refusal("It has not as many candela as angles.");
    }
    for (double[] c : candela) {
      for (double v : c) {
        if (!(v >= 0 && v < 1e9)) {
          throw new Refusal("It has candela that are none.");
        }
      }
    }
  }

  private static void rising(double[] a) {
    if (a.length == 0 || a.length > MOST) {
      throw new Refusal("It has {} angles; 1 to {} can be read.", a.length, MOST);
    }
    for (int i = 0; i < a.length; i++) {
      if (!(Math.abs(a[i]) <= 720) || i > 0 && !(a[i] > a[i - 1])) {
        throw new Refusal("Its angles do not rise from one to the next.");
      }
    }
  }

  /**
   * How strong it is some way, between what was measured in proportion; nothing beyond it.
   *
   * @param plane degrees about the vertical axis, any
   * @param angle from straight down, degrees, 0 to 180
   * @return candela
   */
  public double candela(double plane, double angle) {
    if (angle < angles[0] - Tolerance.FINE || angle > angles[angles.length - 1] + Tolerance.FINE) {
      return 0;
    }
    double c = folded(plane);
    AnglePlace p = place(planes, c);
    AnglePlace a = place(angles, angle);
    double low = mixed(candela[p.at], a);
    return p.share == 0 ? low : low + p.share * (mixed(candela[p.at + 1], a) - low);
  }

  private double folded(double plane) {
    double c = plane - 360 * Math.floor(plane / 360);
    return switch (fold) {
      case round -> planes[0];
      case sides -> c > 180 ? 360 - c : c;
      case ends -> {
        double e = c > 180 ? c - 360 : c; // -180 to 180
        double near = e > 90 ? 180 - e : e < -90 ? -180 - e : e;
        yield planes[0] >= 180 ? near + 360 : near;
      }
      case quarters -> {
        double half = c > 180 ? 360 - c : c;
        yield half > 90 ? 180 - half : half;
      }
      case none -> c;
    };
  }

  /** Between two that were measured. */
  private record AnglePlace(int at, double share) {}

  private static AnglePlace place(double[] all, double v) {
    int i = Arrays.binarySearch(all, v);
    if (i >= 0) {
      return new AnglePlace(i, 0);
    }
    int next = -i - 1;
    if (next == 0) {
      return new AnglePlace(0, 0);
    }
    if (next == all.length) {
      return new AnglePlace(all.length - 1, 0);
    }
    return new AnglePlace(next - 1, (v - all[next - 1]) / (all[next] - all[next - 1]));
  }

  private static double mixed(double[] c, AnglePlace a) {
    return a.share == 0 ? c[a.at] : c[a.at] + a.share * (c[a.at + 1] - c[a.at]);
  }

  /** The strongest there is, candela. */
  public double most() {
    return Arrays.stream(candela).flatMapToDouble(Arrays::stream).max().orElse(0);
  }

  /**
   * The beam most like it, for who draws: where half and a tenth are left of what is straight down,
   * in the mean of the half planes; all round where it is no beam.
   */
  public Beam beam() {
    double axis = mean(angles[0]);
    double half = Double.NaN;
    for (double g = angles[0]; g <= 90 && axis > 0; g += STEP) {
      if (mean(g) > 1.1 * axis) {
        return Beam.ROUND;
      }
      if (Double.isNaN(half) && mean(g) <= axis / 2) {
        half = g;
      }
      if (mean(g) <= axis / 10) {
        double field = Math.min(Beam.WIDEST, 2 * g);
        return half > 0 && 2 * half < field ? new Beam(2 * half, field) : Beam.ROUND;
      }
    }
    return Beam.ROUND;
  }

  private double mean(double angle) {
    double sum = 0;
    for (int i = 0; i < 8; i++) {
      sum += candela(45.0 * i, angle);
    }
    return sum / 8;
  }

  @Override
  public boolean equals(Object o) {
    return o instanceof Photometry p
        && name.equals(p.name)
        && lumens == p.lumens
        && watts == p.watts
        && fold == p.fold
        && Arrays.equals(planes, p.planes)
        && Arrays.equals(angles, p.angles)
        && Arrays.deepEquals(candela, p.candela);
  }

  @Override
  public int hashCode() {
    return Arrays.hashCode(angles) + 31 * Arrays.deepHashCode(candela);
  }

  @Override
  public String toString() {
    return "Photometry " + name + ", " + lumens + " lm";
  }

  /** All of its light summed up over the sphere, lumen. */
  public double summed() {
    double sum = 0;
    int turns = fold == PlaneFold.round ? 1 : 72;
    for (double g = STEP / 2; g < 180; g += STEP) {
      double ring = Math.sin(Math.toRadians(g)) * Math.toRadians(STEP) * 2 * Math.PI / turns;
      for (int i = 0; i < turns; i++) {
        sum += candela(360.0 * i / turns, g) * ring;
      }
    }
    return sum;
  }

  /**
   * The text of a photometric file, whichever of the two kinds it is.
   *
   * @throws Refusal if it is none, or damaged; it says where
   */
  public static Photometry read(String text) {
    if (text.length() > LONGEST) {
      throw new Refusal("A photometric file has up to {} characters.", LONGEST);
    }
    return text.stripLeading().startsWith("IES") || text.contains("TILT=")
        ? IesReader.read(text)
        : EulumdatReader.read(text);
  }

  private static final int LONGEST = 2_000_000;
}
