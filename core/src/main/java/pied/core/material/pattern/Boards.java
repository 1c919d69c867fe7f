package pied.core.material.pattern;

import java.util.ArrayList;
import java.util.List;

/**
 * Boards beside each other, along x, each of its own wood; their ends are staggered.
 *
 * @param unit width of a board, metres
 * @param length of a board, metres; two of them are in a repeat
 * @param rows boards in a repeat, upward
 * @param vary how much lighter and darker boards are than others
 * @param wood their grain; its repeat is stretched over theirs
 */
public record Boards(double unit, double length, int rows, double joint, double vary, Grain wood)
    implements Blocks {
  private static final double DEEP = 0.0008;

  @Override
  public double width() {
    return 2 * length;
  }

  @Override
  public double height() {
    return rows * unit;
  }

  @Override
  public int dots() {
    return 512;
  }

  /** By how much the ends of a row are moved on, metres. */
  private double shift(int row) {
    return width() * Noise.of(row, 3, 41);
  }

  @Override
  public List<double[]> lines() {
    List<double[]> all = new ArrayList<>();
    for (int row = 0; row < rows; row++) {
      double y = row * unit;
      all.add(new double[] {0, y, width(), y});
      for (int end = 0; end < 2; end++) {
        double x = Noise.part((end * length - shift(row)) / width()) * width();
        all.add(new double[] {x, y, x, y + unit});
      }
    }
    return all;
  }

  @Override
  public void at(double x, double y, double joint, Spot out) {
    int row = Math.min(rows - 1, (int) (y / unit));
    double along = Noise.part((x + shift(row)) / width()) * width();
    int board = along < length ? 0 : 1;
    double inBoard = along - board * length;
    double inRow = y - row * unit;
    double end = Math.min(inBoard, length - inBoard);
    block(new InBlock(row * 2 + board, inBoard, inRow), end, joint, DEEP, out);
  }
}
