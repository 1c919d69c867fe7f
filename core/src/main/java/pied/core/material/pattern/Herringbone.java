package pied.core.material.pattern;

import java.util.ArrayList;
import java.util.List;

/**
 * Blocks laid at right angles, the end of each against the side of the next.
 *
 * @param unit width of a block, metres
 * @param times how many times as long as wide it is, a whole number
 */
public record Herringbone(double unit, int times, double joint, double vary, Grain wood)
    implements Blocks {
  private static final double DEEP = 0.0006;

  @Override
  public double width() {
    return 2 * times * unit;
  }

  @Override
  public double height() {
    return width();
  }

  @Override
  public int dots() {
    return 512;
  }

  @Override
  public List<double[]> lines() {
    List<double[]> all = new ArrayList<>();
    int n = 2 * times;
    for (int i = 0; i < n; i++) {
      for (int j = 0; j < n; j++) {
        double x = (i + 1) * unit;
        double y = (j + 1) * unit;
        if (cell(i, j).number != cell((i + 1) % n, j).number) {
          all.add(new double[] {x, y - unit, x, y});
        }
        if (cell(i, j).number != cell(i, (j + 1) % n).number) {
          all.add(new double[] {x - unit, y, x, y});
        }
      }
    }
    return all;
  }

  /** A cell of the grid that the blocks lie on: of which block it is, and which of its cells. */
  private record HerringboneCell(int number, boolean level, int before) {}

  private HerringboneCell cell(int i, int j) {
    int n = 2 * times;
    int d = Math.floorMod(i - j, n);
    if (d < times) { // lies level, begins d cells to the left
      return new HerringboneCell(Math.floorMod(i - d, n) * n + j, true, d);
    }
    int below = n - 1 - d; // stands, begins so many cells below
    return new HerringboneCell(n * n + i * n + Math.floorMod(j - below, n), false, below);
  }

  @Override
  public void at(double x, double y, double joint, Spot out) {
    int n = 2 * times;
    int i = Math.min(n - 1, (int) (x / unit));
    int j = Math.min(n - 1, (int) (y / unit));
    double inX = x - i * unit;
    double inY = y - j * unit;
    HerringboneCell in = cell(i, j);
    double along = in.before * unit + (in.level ? inX : inY);
    double up = in.level ? inY : inX;
    block(
        new InBlock(in.number, along, up), Math.min(along, times * unit - along), joint, DEEP, out);
  }
}
