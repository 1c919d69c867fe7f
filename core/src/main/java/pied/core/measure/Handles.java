package pied.core.measure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.piece.Piece;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.units.LengthUnit;

/**
 * Where a piece can be taken hold of to size and to turn it.
 *
 * @param marks all 27
 * @param tabs one on each side
 * @param dial on which it is turned
 */
public record Handles(List<HandlesMarkAt> marks, List<HandlesTab> tabs, HandlesDial dial) {
  /**
   * A mark.
   *
   * @param hold as it is named in an edit
   * @param words what it is
   */
  public record HandlesMarkAt(String hold, Vec at, String words) {}

  /**
   * The middle of a side.
   *
   * @param out direction out of it, of length 1
   * @param text what the piece measures that way
   * @param slot of that measure
   * @param words of that measure, as after a number
   * @param called what the side is called
   * @param hold what stays when it is pulled
   */
  public record HandlesTab(
      Side side,
      Vec at,
      Vec out,
      String text,
      String slot,
      String words,
      String called,
      String hold) {}

  /**
   * A ring about what it is turned about.
   *
   * @param front direction its front looks in, level, of length 1
   * @param radius metres
   */
  public record HandlesDial(Vec centre, Vec front, double radius, double turn) {}

  /** Beyond the corners of its foot, metres. */
  private static final double CLEAR = 0.12;

  /**
   * @param about the mark it is turned about; null for the middle of its foot
   */
  public static Handles of(Piece p, @Nullable String about, LengthUnit unit) {
    List<HandlesMarkAt> marks = new ArrayList<>();
    for (int i = 0; i < 27; i++) {
      Hold mark = new Hold(i % 3 - 1, i / 9 - 1, i / 3 % 3 - 1);
      marks.add(new HandlesMarkAt(mark.text(), at(p, mark), mark.words()));
    }
    Size s = p.size();
    List<HandlesTab> tabs =
        Arrays.stream(Side.values())
            .map(
                side ->
                    new HandlesTab(
                        side,
                        p.pose().apply(side.middle(s)),
                        p.pose().direct(side.outward()),
                        unit.fine(side.measure().of(s)),
                        side.measure().name(),
                        side.measure().words(),
                        side.called(),
                        side.opposite().name()))
            .toList();
    Vec centre = at(p, Hold.pivot(about));
    double far =
        marks.stream()
            .mapToDouble(m -> Math.hypot(m.at.x() - centre.x(), m.at.z() - centre.z()))
            .max()
            .orElse(0);
    Vec front = p.pose().direct(new Vec(0, 0, 1));
    boolean level = Math.hypot(front.x(), front.z()) > Tolerance.FINE;
    double turn = Math.toRadians(p.turn());
    return new Handles(
        marks,
        tabs,
        new HandlesDial(
            centre,
            level && p.lean().by() == 0 ? front : new Vec(Math.sin(turn), 0, Math.cos(turn)),
            far + CLEAR,
            p.turn()));
  }

  private static Vec at(Piece p, Hold mark) {
    return p.pose().apply(mark.on(p.size()));
  }
}
