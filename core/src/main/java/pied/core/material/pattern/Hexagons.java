package pied.core.material.pattern;

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
