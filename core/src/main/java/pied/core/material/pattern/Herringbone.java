package pied.core.material.pattern;

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
  public void at(double x, double y, double joint, Spot out) {
    int n = 2 * times;
    int i = Math.min(n - 1, (int) (x / unit));
    int j = Math.min(n - 1, (int) (y / unit));
    double inX = x - i * unit;
    double inY = y - j * unit;
    int d = Math.floorMod(i - j, n);
    double along;
    double up;
    int number;
    if (d < times) {
      // lies level, begins d cells to the left
      along = d * unit + inX;
      up = inY;
      number = Math.floorMod(i - d, n) * n + j;
    } else {
      // stands, begins so many cells below
      int below = n - 1 - d;
      along = below * unit + inY;
      up = inX;
      number = n * n + i * n + Math.floorMod(j - below, n);
    }
    block(new InBlock(number, along, up), Math.min(along, times * unit - along), joint, DEEP, out);
  }
}
