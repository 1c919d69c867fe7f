package pied.core.carry;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import pied.core.Nullable;
import pied.core.carry.CarryResult.CarryMeasure;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.piece.Piece;
import pied.core.place.Resting;
import pied.core.solid.Vec;
import pied.core.space.Positions;
import pied.core.space.Positions.Direction;
import pied.core.space.Shell;
import pied.core.units.Angle;
import pied.core.units.LengthUnit;

/**
 * The distances that are told while carrying.
 *
 * @param measures in the order in which one goes through them
 * @param reaches the free distance on each of its sides, metres
 * @param over what it overlaps, in words; empty for nothing
 */
record LiveDistances(List<CarryMeasure> measures, Map<Side, Double> reaches, String over) {
  private static final List<Side> ROUND = List.of(Side.left, Side.right, Side.front, Side.back);

  /**
   * @param now the lead as it stands
   * @param distances from all that is carried
   * @param way the direction in which it is moved; null if it is not
   * @param turn how it is turned, degrees; NaN if it cannot be turned
   */
  static LiveDistances of(
      CarriedPieces load,
      Piece now,
      Distances distances,
      @Nullable Vec way,
      double turn,
      LengthUnit unit) {
    List<CarryMeasure> all = new ArrayList<>();
    Map<Side, Double> reaches = new EnumMap<>(Side.class);
    String over = "";
    if (way != null) {
      all.add(moved(load, now, way, unit));
    }
    for (Side side : ROUND) {
      Reach r = distances.of(side);
      if (r == null) {
        continue;
      }
      reaches.put(side, r.distance());
      if (r.distance() < -Resting.CONTACT && over.isEmpty()) {
        over = r.toName();
      }
      // what it overlaps along its whole length is no distance to show
      boolean far = r.distance() < -Math.max(now.size().width(), now.size().depth());
      if (!far && (!load.onWall() || side != Side.back)) {
        String words = "to " + r.toName() + " " + side.words();
        String text = unit.fine(r.distance());
        all.add(
            new CarryMeasure(side.name(), r.distance(), text, words, r.fromPoint(), r.toPoint()));
      }
    }
    place(load, now, unit, all);
    standing(now, turn, unit, all);
    return new LiveDistances(all, reaches, over);
  }

  private static CarryMeasure moved(CarriedPieces load, Piece now, Vec way, LengthUnit unit) {
    double moved = now.at().minus(load.lead().at()).dot(way);
    Vec from = load.lead().pose().apply(load.mark());
    return new CarryMeasure(
        "moved", moved, unit.fine(moved), "moved", from, from.along(way, moved));
  }

  /** How high it stands, and how it is turned. */
  private static void standing(Piece now, double turn, LengthUnit unit, List<CarryMeasure> all) {
    double low = now.at().y();
    double top = low + now.size().height();
    all.add(new CarryMeasure("underside", low, unit.fine(low), "underside", null, null));
    all.add(new CarryMeasure("upperside", top, unit.fine(top), "top", null, null));
    if (!Double.isNaN(turn)) {
      double round = ((turn % 360) + 360) % 360;
      all.add(new CarryMeasure(Carrying.TURN, round, Angle.text(round), "facing", null, null));
    }
  }

  /** Where its middle is, from the datum; on a stage in its words. */
  private static void place(
      CarriedPieces load, Piece now, LengthUnit unit, List<CarryMeasure> all) {
    Shell shell = load.space().shell();
    Vec p = now.at().minus(shell.datum());
    boolean stage = shell.stage() != null;
    String across = stage ? Positions.side(Direction.across, p.x()) : "across";
    String deep = stage ? Positions.side(Direction.deep, p.z()) : "deep";
    String x = unit.fine(stage ? Math.abs(p.x()) : p.x());
    String z = unit.fine(stage ? Math.abs(p.z()) : p.z());
    all.add(new CarryMeasure(Carrying.ACROSS, p.x(), x, across, null, null));
    all.add(new CarryMeasure(Carrying.DEEP, p.z(), z, deep, null, null));
  }
}
