package pied.core.material.pattern;

/**
 * Stone with veins of the second colour, or with clefts.
 *
 * @param size of a repeat, metres
 * @param veins in a repeat
 * @param sharp how thin they are
 * @param strength how much of the second colour they have
 * @param cloud how much lighter and darker it is between them
 * @param deep how uneven, metres
 */
public record Veins(
    double size, int veins, double sharp, double strength, double cloud, double deep)
    implements Square {
  @Override
  public int dots() {
    return 384;
  }

  @Override
  public void at(double x, double y, double joint, Spot out) {
    out.clear();
    double s = x / size;
    double t = y / size;
    double bend = 0.16 * Noise.layers(s, t, 2, 2, 4, 101);
    double lean = 0.16 * Noise.layers(s, t, 2, 2, 4, 105);
    double n = Noise.layers(s + bend, t + lean, veins, veins, 3, 107);
    double ridge = Math.pow(1 - Math.min(1, Math.abs(n) * 2), sharp);
    double large = Noise.layers(s + lean, t, 2, 2, 4, 113);
    out.mix = Math.max(0, Math.min(1, strength * ridge * (0.6 + 0.6 * large)));
    out.light = cloud * (large + 0.3 * n);
    out.height = deep * (n - ridge);
    out.rough = 0.05 * n;
  }
}
