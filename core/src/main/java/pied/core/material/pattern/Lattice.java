package pied.core.material.pattern;

/**
 * Strands with holes between them: cane, wicker, gauze.
 *
 * @param unit from strand to strand, metres
 * @param many strands in a repeat, an even number
 * @param strand which part of the unit a strand is wide
 * @param slanted whether others run slanting, as in the seat of a chair
 * @param open whether one looks through between them
 * @param contrast how much darker it is where they go under
 */
public record Lattice(
    double unit, int many, double strand, boolean slanted, boolean open, double contrast)
    implements Pattern {
  @Override
  public double width() {
    return many * unit;
  }

  @Override
  public double height() {
    return many * unit;
  }

  @Override
  public boolean holes() {
    return open;
  }

  @Override
  public void at(double x, double y, double joint, Spot out) {
    out.clear();
    double u = x / unit;
    double v = y / unit;
    int i = (int) u;
    int j = (int) v;
    double inX = Math.abs(u - i - 0.5);
    double inY = Math.abs(v - j - 0.5);
    double half = strand / 2;
    double upright = 1 - inX / half;
    double level = 1 - inY / half;
    double slant =
        slanted
            ? 1
                - Math.min(Math.abs(Noise.part(u + v) - 0.5), Math.abs(Noise.part(u - v) - 0.5))
                    / (0.7 * half)
            : -1;
    boolean over = (i + j) % 2 == 0;
    double top = Math.max(upright, level);
    double seen = over ? upright > 0 ? upright : level : level > 0 ? level : upright;
    if (top <= 0 && slant <= 0) {
      out.hole = open;
      out.light = -contrast;
      return;
    }
    double round = Math.sqrt(Math.max(0, Math.max(seen, slant)));
    boolean crossed = upright > 0 && level > 0;
    out.light = contrast * (0.5 * round - 0.35 + (crossed ? 0.12 : 0));
    out.height = strand * unit * 0.3 * (round + (crossed ? 0.4 : 0));
  }
}
