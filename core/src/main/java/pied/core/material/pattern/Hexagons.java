package pied.core.material.pattern;

import java.util.ArrayList;
import java.util.List;

/**
 * Tiles with six sides, a point upward.
 *
 * @param unit from side to side, metres
 * @param many in a repeat to the right; as many pairs of rows are in it upward
 */
public record Hexagons(double unit, int many, double joint, double deep, double vary)
    implements Pattern {
  private static final double PAIR = Math.sqrt(3);

  @Override
  public double width() {
    return many * unit;
  }

  @Override
  public double height() {
    return many * PAIR * unit;
  }

  @Override
  public List<double[]> lines() {
    List<double[]> all = new ArrayList<>();
    for (int row = 0; row < 2 * many; row++) {
      double y = row * PAIR / 2 * unit;
      for (int i = 0; i < many; i++) {
        // of every tile the three sides to the right and above; the others are its neighbours'
        double x = (i + row % 2 * 0.5) * unit;
        double side = PAIR / 6 * unit;
        double right = x + unit / 2;
        all.add(new double[] {right, y - side, right, y + side});
        all.add(new double[] {right, y + side, x, y + 2 * side});
        all.add(new double[] {x, y + 2 * side, x - unit / 2, y + side});
      }
    }
    return all;
  }

  @Override
  public void at(double x, double y, double joint, Spot out) {
    double u = x / unit;
    double v = y / unit;
    // middles stand in rows at half the pair's height, every other row by half a tile on
    double best = Double.MAX_VALUE;
    double dx = 0;
    double dy = 0;
    int number = 0;
    int row = (int) Math.floor(v / (PAIR / 2));
    for (int j = row; j <= row + 1; j++) {
      double off = Math.floorMod(j, 2) * 0.5;
      int i = (int) Math.round(u - off);
      double ex = u - off - i;
      double ey = v - j * PAIR / 2;
      double d = ex * ex + ey * ey;
      if (d < best) {
        best = d;
        dx = Math.abs(ex);
        dy = Math.abs(ey);
        number = Math.floorMod(i, many) * 2 * many + Math.floorMod(j, 2 * many);
      }
    }
    Courses.OneTile.of(number, x / width(), y / height(), vary, 0.1, out);
    double away = (0.5 - Math.max(dx, dx / 2 + dy * PAIR / 2)) * unit;
    out.joint(away, joint, deep);
  }
}
