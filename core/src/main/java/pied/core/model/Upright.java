package pied.core.model;

import java.util.ArrayList;
import java.util.List;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.units.Message;
import pied.core.units.Refusal;

/** Sets a model upright, in metres, as it is taken. */
final class Upright {
  private Upright() {}

  /** Points of the parts, upright, in metres, over the middle of the whole. */
  static List<double[]> placed(Model model, Arrival.Taken t) {
    if (!(t.unit() > 0 && t.unit() <= 1e6)) {
      throw new Refusal("A unit is longer than 0.");
    }
    String up = t.up() == null ? "y" : t.up();
    if (!up.matches("-?[xyz]")) {
      throw new Refusal("What is up is x, y or z, or one of them with a minus.");
    }
    double[] lo = {1e300, 1e300, 1e300};
    double[] hi = {-1e300, -1e300, -1e300};
    List<double[]> placed = new ArrayList<>();
    for (Model.ModelPart p : model.parts()) {
      double[] q = new double[p.xyz().length];
      for (int i = 0; i + 2 < q.length; i += 3) {
        Vec v = upright(p.xyz()[i], p.xyz()[i + 1], p.xyz()[i + 2], up);
        v = quarter(v, t.turn());
        q[i] = v.x() * t.unit();
        q[i + 1] = v.y() * t.unit();
        q[i + 2] = v.z() * t.unit();
        for (int k = 0; k < 3; k++) {
          lo[k] = Math.min(lo[k], q[i + k]);
          hi[k] = Math.max(hi[k], q[i + k]);
        }
      }
      placed.add(q);
    }
    double most = Math.max(hi[0] - lo[0], Math.max(hi[1] - lo[1], hi[2] - lo[2]));
    if (!(most <= Size.MOST && most >= 0.001)) {
      throw new Refusal(
          "In that unit it would be {} long; choose another unit ({} to {} can be placed).",
          Message.length(most),
          Message.bare(0.001),
          Message.length(Size.MOST));
    }
    onItsMiddle(placed, lo, hi);
    return placed;
  }

  private static void onItsMiddle(List<double[]> placed, double[] lo, double[] hi) {
    double[] middle = {(lo[0] + hi[0]) / 2, lo[1], (lo[2] + hi[2]) / 2};
    for (double[] q : placed) {
      for (int i = 0; i < q.length; i++) {
        q[i] -= middle[i % 3];
      }
    }
  }

  static Vec upright(double x, double y, double z, String up) {
    Vec v =
        switch (up.charAt(up.length() - 1)) {
          case 'z' -> new Vec(x, z, -y);
          case 'x' -> new Vec(-y, x, z);
          default -> new Vec(x, y, z);
        };
    // the other way up: half a turn about the line from left to right
    return up.startsWith("-") ? new Vec(v.x(), -v.y(), -v.z()) : v;
  }

  static Vec quarter(Vec v, int turn) {
    return switch (Math.floorMod(turn, 360)) {
      case 90 -> new Vec(v.z(), v.y(), -v.x());
      case 180 -> new Vec(-v.x(), v.y(), -v.z());
      case 270 -> new Vec(-v.z(), v.y(), v.x());
      default -> v;
    };
  }
}
