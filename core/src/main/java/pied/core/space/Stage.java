package pied.core.space;

import java.util.ArrayList;
import java.util.List;
import pied.core.Nullable;

/**
 * What makes a stage of a space. Its setting line is z = 0, its centre line x = 0; the audience
 * sits at the foot of the plan.
 *
 * @param level of the stage floor above the auditorium, metres
 * @param rake rise of the floor upstage of the setting line, metres a metre (0.05 = 5 %)
 * @param apron the floor in front of the setting line
 * @param seats rows to look from, or null
 */
public record Stage(double level, double rake, @Nullable Apron apron, @Nullable Seats seats) {
  /**
   * The floor in front of the setting line.
   *
   * @param width metres
   * @param depth from the setting line to the front edge at the centre line, metres
   * @param curve how far the edge draws back at the sides, metres; 0 for a straight edge
   */
  public record Apron(double width, double depth, double curve) {
    /** Its corners on the plan, counter-clockwise, from the setting line. */
    List<Spot> outline() {
      List<Spot> c = new ArrayList<>();
      double h = width / 2;
      c.add(new Spot(-h, 0));
      c.add(new Spot(h, 0));
      int n = curve > 0 ? 32 : 1;
      double back = Math.min(curve, depth - 0.01);
      double radius = curve > 0 ? (h * h + back * back) / (2 * back) : 0;
      for (int i = 0; i <= n; i++) {
        double x = h - 2 * h * i / n;
        double off = curve > 0 ? radius - Math.sqrt(radius * radius - x * x) : 0;
        c.add(new Spot(x, depth - off));
      }
      return c;
    }
  }

  /**
   * Rows of seats.
   *
   * @param first from the front edge of the stage to the first row, metres
   * @param pitch from row to row, metres
   * @param rise from row to row, metres
   * @param rows how many
   * @param width of a row, metres
   */
  public record Seats(double first, double pitch, double rise, int rows, double width) {}

  /** The front edge at the centre line: its z, metres. */
  public double front() {
    return apron == null ? 0 : apron.depth;
  }

  /** Height of the raked floor at this depth, metres. */
  public double rise(double z) {
    return z < 0 ? -z * rake : 0;
  }

  public Stage withRake(double v) {
    return new Stage(level, v, apron, seats);
  }
}
