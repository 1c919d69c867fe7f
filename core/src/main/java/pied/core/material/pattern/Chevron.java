package pied.core.material.pattern;

import java.util.ArrayList;
import java.util.List;

/**
 * Blocks cut at a slant that meet in points, in columns.
 *
 * @param unit width of a block across its length, metres
 * @param column how wide a column is, metres
 * @param angle of the blocks from level, degrees
 * @param rows blocks in a repeat, upward
 */
public record Chevron(
    double unit, double column, double angle, int rows, double joint, double vary, Grain wood)
    implements Blocks {
  private static final double DEEP = 0.0006;

  @Override
  public double width() {
    return 2 * column;
  }

  @Override
  public double height() {
    return rows * unit / Math.cos(Math.toRadians(angle));
  }

  @Override
  public int dots() {
    return 448;
  }

  @Override
  public List<double[]> lines() {
    List<double[]> all = new ArrayList<>();
    double rise = column * Math.tan(Math.toRadians(angle));
    double each = height() / rows;
    for (int c = 0; c < 2; c++) {
      all.add(new double[] {c * column, 0, c * column, height()});
    }
    for (int row = 0; row < rows; row++) {
      double y = row * each;
      all.add(new double[] {0, y, column, y + rise});
      all.add(new double[] {column, y + rise, 2 * column, y});
    }
    return all;
  }

  @Override
  public void at(double x, double y, double joint, Spot out) {
    double a = Math.toRadians(angle);
    boolean right = x >= column;
    double inX = right ? x - column : x;
    double rise = (right ? column - inX : inX) * Math.tan(a);
    double high = Noise.part((y - rise) / height()) * height();
    double each = unit / Math.cos(a);
    int row = Math.min(rows - 1, (int) (high / each));
    double up = (high - row * each) * Math.cos(a);
    double along = inX / Math.cos(a);
    block(
        new InBlock(row * 2 + (right ? 1 : 0), along, up),
        Math.min(inX, column - inX),
        joint,
        DEEP,
        out);
  }
}
