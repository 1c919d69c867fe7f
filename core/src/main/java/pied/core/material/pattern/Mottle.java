package pied.core.material.pattern;

/**
 * Nothing regular: patches and specks, as of plaster, concrete, felt or paper.
 *
 * @param size of a repeat, metres
 * @param patches in a repeat
 * @param layers how fine it goes
 * @param contrast how much lighter and darker
 * @param deep how uneven, metres
 * @param second how much of the second colour there is in the darker patches
 */
public record Mottle(
    double size, int patches, int layers, double contrast, double deep, double second)
    implements Square {
  @Override
  public void at(double x, double y, double joint, Spot out) {
    out.clear();
    double s = x / size;
    double t = y / size;
    double n = Noise.layers(s, t, patches, patches, layers, 81);
    double fine = Noise.soft(s, t, 120, 120, 85);
    out.light = contrast * (n + 0.25 * fine);
    out.height = deep * (n + 0.15 * fine);
    out.rough = 0.1 * n;
    out.mix = Math.max(0, Math.min(1, second * (0.5 - n)));
  }
}
