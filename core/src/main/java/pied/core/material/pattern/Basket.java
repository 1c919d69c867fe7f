package pied.core.material.pattern;

import java.util.ArrayList;
import java.util.List;

/**
 * Squares of blocks, level and upright in turn.
 *
 * @param unit width of a block, metres
 * @param strips blocks in a square
 */
public record Basket(double unit, int strips, double joint, double vary, Grain wood)
    implements Blocks {
  private static final double DEEP = 0.0006;
  private static final int SQUARES = 4;

  @Override
  public double width() {
    return SQUARES * strips * unit;
  }

  @Override
  public double height() {
    return width();
  }

  @Override
  public int dots() {
    return 448;
  }

  @Override
  public List<double[]> lines() {
    List<double[]> all = new ArrayList<>();
    double square = strips * unit;
    for (int i = 0; i < SQUARES; i++) {
      for (int j = 0; j < SQUARES; j++) {
        double x = i * square;
        double y = j * square;
        boolean level = (i + j) % 2 == 0;
        for (int k = 0; k < strips; k++) {
          double at = k * unit;
          all.add(
              level
                  ? new double[] {x, y + at, x + square, y + at}
                  : new double[] {x + at, y, x + at, y + square});
        }
        // where it meets the one before, whose blocks end there
        all.add(level ? new double[] {x, y, x, y + square} : new double[] {x, y, x + square, y});
      }
    }
    return all;
  }

  @Override
  public void at(double x, double y, double joint, Spot out) {
    double square = strips * unit;
    int i = Math.min(SQUARES - 1, (int) (x / square));
    int j = Math.min(SQUARES - 1, (int) (y / square));
    double inX = x - i * square;
    double inY = y - j * square;
    boolean level = (i + j) % 2 == 0;
    double along = level ? inX : inY;
    double across = level ? inY : inX;
    int strip = Math.min(strips - 1, (int) (across / unit));
    double up = across - strip * unit;
    block(
        new InBlock((i * SQUARES + j) * strips + strip, along, up),
        Math.min(along, square - along),
        joint,
        DEEP,
        out);
  }
}
