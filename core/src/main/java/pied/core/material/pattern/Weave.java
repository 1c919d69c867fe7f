package pied.core.material.pattern;

/**
 * Cloth: threads over and under each other.
 *
 * @param unit width of a thread, metres
 * @param threads in a repeat, to the right and upward; a whole number of over and under
 * @param over over how many it goes
 * @param under under how many
 * @param step by how many the next one is moved on; 1 makes slants
 * @param turn after how many threads the slant goes the other way; 0 for never
 * @param mixed how much of the threads upward is of the second colour
 * @param contrast how much darker the hollows are
 */
public record Weave(
    double unit,
    int threads,
    int over,
    int under,
    int step,
    int turn,
    double mixed,
    double contrast)
    implements Pattern {
  @Override
  public double width() {
    return threads * unit;
  }

  @Override
  public double height() {
    return width();
  }

  @Override
  public void at(double x, double y, double joint, Spot out) {
    out.clear();
    int i = Math.min(threads - 1, (int) (x / unit));
    int j = Math.min(threads - 1, (int) (y / unit));
    int slant = turn > 0 && (i / turn) % 2 == 1 ? -i : i;
    boolean upright = Math.floorMod(slant * step - j * (step == 0 ? 1 : step), over + under) < over;
    double inX = 2 * (x / unit - i) - 1;
    double inY = 2 * (y / unit - j) - 1;
    double across = upright ? inX : inY;
    double along = upright ? inY : inX;
    double round = Math.sqrt(Math.max(0, 1 - 0.9 * across * across));
    double high = round * (1 - 0.35 * along * along);
    int thread = upright ? i : threads + j;
    double uneven = Noise.of(thread, 7, 71) - 0.5;
    double fluff = Noise.soft(x / width(), y / height(), threads * 3, threads * 3, 73);
    out.mix = upright ? mixed : 0;
    out.light = contrast * (high - 0.7 + 0.5 * uneven + 0.18 * fluff);
    out.height = 0.35 * unit * high;
  }
}
