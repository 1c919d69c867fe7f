package pied.server.space;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit.Sight;
import pied.core.measure.Handles;
import pied.core.measure.Reach;
import pied.core.piece.Piece;
import pied.core.size.Measure;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/**
 * What goes over the wire about distances, points and sizes. The web client's types are generated
 * from it.
 */
public final class MeasuringWire {
  private MeasuringWire() {}

  /** How large something may be to fit somewhere; null where nothing bounds it. */
  public record FreePlaceView(
      long revision,
      @Nullable Double width,
      @Nullable Double depth,
      @Nullable Double height,
      String words) {}

  /**
   * What is pointed at.
   *
   * @param pieces on which the point lies; empty for anything there is
   * @param near so near to the line of sight corners and marks count, metres
   * @param from the point before it, to measure from
   */
  public record PointRequest(
      List<String> pieces, Sight ray, double near, @Nullable Vec from, @Nullable String unit) {}

  /**
   * A point of the space.
   *
   * @param words what it is
   * @param length from the one before, metres, and as text; null and empty if there is none
   * @param along the measure of the piece that the way lies along most
   */
  public record PointAnswer(
      long revision,
      Vec at,
      String words,
      @Nullable Double length,
      String text,
      @Nullable Measure along) {}

  /** Where a piece can be taken hold of. */
  public record HandlesView(long revision, Handles handles) {}

  /** A yardstick, which is no piece of the space. */
  public record YardstickView(long revision, Piece piece) {}

  /** A free distance, with its text in the unit asked for. */
  public record ReachView(
      pied.core.measure.Side side,
      double distance,
      String text,
      String to,
      String toName,
      Vec fromPoint,
      Vec toPoint) {
    /** The free distances of a piece to all sides. */
    static List<ReachView> all(Space space, Piece piece, LengthUnit u) {
      return Reach.of(space, piece).stream()
          .map(
              r ->
                  new ReachView(
                      r.side(),
                      r.distance(),
                      u.fine(r.distance()),
                      r.to(),
                      r.toName(),
                      r.fromPoint(),
                      r.toPoint()))
          .toList();
    }
  }

  /** The free distances of a piece. */
  public record ReachAnswer(long revision, List<ReachView> reach) {}

  /** Height of the floor at a point of the plan; null outside. */
  public record FloorHeight(long revision, @Nullable Double y) {}
}
