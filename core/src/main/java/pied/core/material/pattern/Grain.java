package pied.core.material.pattern;

/**
 * Wood sawn along the trunk: lines of the years that wander along its length, and pores.
 *
 * @param years lines of years in one repeat, upward
 * @param figure how much they wander, 0 to 1
 * @param pores how dark the pores are, 0 to 1
 * @param contrast how much darker the lines are
 */
public record Grain(
    double width, double height, int years, double figure, double pores, double contrast)
    implements Pattern {
  @Override
  public boolean variesInRoughness() {
    return true;
  }

  @Override
  public boolean uneven() {
    return false; // pores are finer than one sees
  }

  @Override
  public int dots() {
    return 384;
  }

  @Override
  public void at(double x, double y, double joint, Spot out) {
    out.clear();
    wood(x / width, y / height, 7, out);
  }

  /**
   * The wood of one board.
   *
   * @param s along it as a part of the repeat, t across it likewise
   */
  void wood(double s, double t, int seed, Spot out) {
    double wander =
        figure
            * (0.35 * Noise.soft(s, t, 2, 3, seed)
                + 0.12 * Noise.soft(s, t, 5, 8, seed + 3)
                + 0.03 * Noise.soft(s, t, 16, 24, seed + 5));
    double year = Noise.part(years * (t + wander));
    // wood of summer grows darker and ends at once
    double late = year * year * year;
    double pore = Noise.soft(s, t, 24, 190, seed + 11);
    double fleck = Math.max(0, pore - 0.35) * pores;
    double shade = 0.5 * Noise.soft(s, t, 3, 6, seed + 17);
    out.light = contrast * (0.4 - late + 0.35 * shade - 1.3 * fleck);
    out.height = -0.00012 * fleck;
    out.rough = 0.1 * late + 0.2 * fleck;
  }
}
