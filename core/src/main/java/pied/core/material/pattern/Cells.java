package pied.core.material.pattern;

/**
 * Grains, loops or chips beside each other.
 *
 * @param size of a repeat, metres
 * @param many in a repeat to the right and upward
 * @param chips which part of them is of the second colour, 0 to 1
 * @param gap how wide what is between them is, metres
 * @param bulge how far they stand out, metres; less than zero for hollows
 * @param vary how much lighter and darker some are than others
 */
public record Cells(double size, int many, double chips, double gap, double bulge, double vary)
    implements Square {
  @Override
  public void at(double x, double y, double joint, Spot out) {
    out.clear();
    double each = size / many;
    Noise.InCell c = Noise.cell(x / size, y / size, many, many, each, each, 91);
    double own = Noise.of(c.id(), 1, 93);
    boolean between = c.border() < gap / 2;
    double round = 1 - Math.min(1, c.middle() / (0.7 * each));
    out.mix = !between && own < chips ? 1 : 0;
    out.light = between ? -0.5 * vary : vary * (2 * Noise.of(c.id(), 2, 93) - 1) + vary * round;
    out.height = between ? 0 : bulge * Math.sqrt(round);
    out.rough = between ? 0.1 : 0;
  }
}
