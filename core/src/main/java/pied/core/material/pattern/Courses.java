package pied.core.material.pattern;

import java.util.ArrayList;
import java.util.List;

/**
 * Tiles, bricks or slabs in courses.
 *
 * @param unit width of one, metres
 * @param tall height of one, metres
 * @param shift by which part of one every course is moved on: 0 one above the other, 0.5 half
 * @param many in a repeat, to the right and upward; a whole number of shifts
 * @param deep how far the joints lie back, metres
 * @param vary how much lighter and darker some are than others
 * @param rough how uneven their faces are, 0 glazed to 1
 */
public record Courses(
    double unit,
    double tall,
    double shift,
    int many,
    double joint,
    double deep,
    double vary,
    double rough)
    implements Pattern {
  @Override
  public double width() {
    return many * unit;
  }

  @Override
  public double height() {
    return many * tall;
  }

  @Override
  public boolean variesInRoughness() {
    return true;
  }

  @Override
  public List<double[]> lines() {
    List<double[]> all = new ArrayList<>();
    for (int row = 0; row < many; row++) {
      double y = row * tall;
      all.add(new double[] {0, y, width(), y});
      for (int column = 0; column < many; column++) {
        double x = Noise.part((column + row * shift) / many) * width();
        all.add(new double[] {x, y, x, y + tall});
      }
    }
    return all;
  }

  @Override
  public void at(double x, double y, double joint, Spot out) {
    int row = Math.min(many - 1, (int) (y / tall));
    double along = Noise.part((x - row * shift * unit) / width()) * width();
    int column = Math.min(many - 1, (int) (along / unit));
    double inX = along - column * unit;
    double inY = y - row * tall;
    OneTile.of(row * many + column, x / width(), y / height(), vary, rough, out);
    double away = Math.min(Math.min(inX, unit - inX), Math.min(inY, tall - inY));
    out.joint(away, joint, deep);
  }

  /** The face of one tile. */
  static final class OneTile {
    private OneTile() {}

    static void of(int number, double s, double t, double vary, double rough, Spot out) {
      out.clear();
      double uneven = Noise.layers(s, t, 9, 9, 4, 23);
      out.light = vary * (2 * Noise.of(number, 5, 61) - 1) + 0.22 * rough * uneven;
      out.height = 0.0014 * rough * uneven;
      out.rough = 0.1 * rough * uneven;
    }
  }
}
