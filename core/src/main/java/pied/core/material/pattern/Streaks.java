package pied.core.material.pattern;

/**
 * Fine lines along x, as brushed metal has, or even ribs, as glass.
 *
 * @param size of a repeat, metres
 * @param ribs even ribs in a repeat, upward; 0 for lines by chance
 * @param deep how uneven, metres
 * @param contrast how much lighter and darker
 */
public record Streaks(double size, int ribs, double deep, double contrast) implements Square {
  @Override
  public double unit() {
    return ribs > 0 ? size / ribs : size;
  }

  @Override
  public boolean variesInRoughness() {
    return true;
  }

  @Override
  public int dots() {
    return 128;
  }

  @Override
  public void at(double x, double y, double joint, Spot out) {
    out.clear();
    double t = y / size;
    if (ribs > 0) {
      out.height = deep * Math.sin(2 * Math.PI * ribs * t);
      return;
    }
    double n =
        0.6 * Noise.soft(x / size, t, 2, 60, 121) + 0.4 * Noise.soft(x / size, t, 4, 120, 123);
    out.light = contrast * n;
    out.height = deep * n;
    out.rough = 0.12 * n;
  }
}
