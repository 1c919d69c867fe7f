package pied.core.model;

import java.util.Locale;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.catalog.Article;
import pied.core.solid.Vec;

/**
 * Which direction of a model is up where its file does not say it: by the proportions of what has
 * the same name, by what it would stand on, by what is the same both ways, by the habit of the
 * format, in this order.
 */
final class UpGuess {
  private final Model model;

  private UpGuess(Model model) {
    this.model = model;
  }

  /**
   * What was guessed.
   *
   * @param up "x", "y" or "z"
   * @param by what, in words; null where the file says it
   */
  record UpGuessed(String up, @Nullable String by) {}

  /**
   * Which direction is up.
   *
   * @param alike an article that it is called like; null for none
   */
  static UpGuessed of(Model model, String format, @Nullable Article alike) {
    return new UpGuess(model).guessed(format, alike);
  }

  private UpGuessed guessed(String format, @Nullable Article alike) {
    Character told = model.up();
    if (told != null) {
      return new UpGuessed(String.valueOf(told), null);
    }
    double[] raw = extent(model);
    double y = footing(1);
    double z = footing(2);
    String by;
    String up;
    if (alike != null
        && Math.abs(likeness(turned(raw, "y"), alike) - likeness(turned(raw, "z"), alike)) > 0.2) {
      up = likeness(turned(raw, "y"), alike) < likeness(turned(raw, "z"), alike) ? "y" : "z";
      by = "by the proportions of " + alike.name().toLowerCase(Locale.ROOT);
    } else if (Math.max(y, z) > 1.5 * Math.min(y, z)) {
      up = y > z ? "y" : "z";
      by = "by what it stands on";
    } else if (Math.abs(lopsided(1, raw) - lopsided(2, raw)) > 0.03) {
      up = lopsided(1, raw) > lopsided(2, raw) ? "y" : "z";
      by = "since it is the same both ways along the other";
    } else {
      up = format.equals("STL") ? "z" : "y";
      by = "as usual for " + format;
    }
    return new UpGuessed(up, by);
  }

  /** How unlike the proportions are: the sum of differences of the logarithms. */
  private static double likeness(double[] whd, Article a) {
    double[] own = {a.size().width(), a.size().height(), a.size().depth()};
    double scale = 0;
    for (int k = 0; k < 3; k++) {
      scale += Math.log(Math.max(Tolerance.NONE, whd[k]) / own[k]) / 3;
    }
    double off = 0;
    for (int k = 0; k < 3; k++) {
      off += Math.abs(Math.log(Math.max(Tolerance.NONE, whd[k]) / own[k]) - scale);
    }
    return off;
  }

  /** How far the points that touch the ground spread, if this direction were up: 0 to 1. */
  private double footing(int up) {
    double[] raw = extent(model);
    double low = 1e300;
    for (Model.ModelPart p : model.parts()) {
      for (int i = up; i < p.xyz().length; i += 3) {
        low = Math.min(low, p.xyz()[i]);
      }
    }
    double[] e = {1e300, 1e300, -1e300, -1e300};
    int a = (up + 1) % 3;
    int b = (up + 2) % 3;
    for (Model.ModelPart p : model.parts()) {
      double[] q = p.xyz();
      for (int i = 0; i + 2 < q.length; i += 3) {
        if (q[i + up] - low < 0.01 * raw[up]) {
          e[0] = Math.min(e[0], q[i + a]);
          e[1] = Math.min(e[1], q[i + b]);
          e[2] = Math.max(e[2], q[i + a]);
          e[3] = Math.max(e[3], q[i + b]);
        }
      }
    }
    double whole = raw[a] * raw[b];
    return whole <= 0 ? 0 : Math.max(0, (e[2] - e[0]) * (e[3] - e[1]) / whole);
  }

  /**
   * How far the middle of its surface is from the middle of its box along an axis, as a share of
   * the box: most things differ between top and bottom, few between left and right.
   */
  private double lopsided(int axis, double[] raw) {
    if (raw[axis] <= 0) {
      return 0;
    }
    double low = 1e300;
    double area = 0;
    double moment = 0;
    for (Model.ModelPart p : model.parts()) {
      double[] q = p.xyz();
      for (int i = axis; i < q.length; i += 3) {
        low = Math.min(low, q[i]);
      }
      int[] c = p.corners();
      for (int k = 0; k + 2 < c.length; k += 3) {
        Vec a = at(q, c[k]);
        double twice = at(q, c[k + 1]).minus(a).cross(at(q, c[k + 2]).minus(a)).length();
        area += twice;
        moment +=
            twice * (q[3 * c[k] + axis] + q[3 * c[k + 1] + axis] + q[3 * c[k + 2] + axis]) / 3;
      }
    }
    return area <= 0 ? 0 : Math.abs((moment / area - low) / raw[axis] - 0.5);
  }

  /** What it measures along x, y and z. */
  static double[] extent(Model model) {
    double[] e = {1e300, 1e300, 1e300, -1e300, -1e300, -1e300};
    for (Model.ModelPart p : model.parts()) {
      double[] xyz = p.xyz();
      for (int i = 0; i < xyz.length; i++) {
        e[i % 3] = Math.min(e[i % 3], xyz[i]);
        e[3 + i % 3] = Math.max(e[3 + i % 3], xyz[i]);
      }
    }
    return new double[] {e[3] - e[0], e[4] - e[1], e[5] - e[2]};
  }

  /** Width, height and depth when this direction is up. */
  static double[] turned(double[] raw, String up) {
    return switch (up.charAt(up.length() - 1)) {
      case 'z' -> new double[] {raw[0], raw[2], raw[1]};
      case 'x' -> new double[] {raw[1], raw[0], raw[2]};
      default -> raw;
    };
  }

  static Vec at(double[] q, int i) {
    return new Vec(q[3 * i], q[3 * i + 1], q[3 * i + 2]);
  }
}
