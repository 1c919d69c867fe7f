package pied.core.carry;

import java.util.List;
import pied.core.Nullable;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Resting;
import pied.core.place.Surfaces;
import pied.core.solid.Body;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/** The course of a carry, from stance to stance: where it is by now, and what it has met. */
final class CarryCourse {
  final Space space;
  final CarryAsk q;
  final LengthUnit unit;
  final CarriedPieces load;
  final Resting resting;
  final Aiming aiming;
  final Distances distances;
  final CarryWays ways;

  /** How far it is turned, degrees; and whether a number says where it goes. */
  final double by;

  final boolean exactly;
  final boolean turning;

  // what is found out, step by step
  Footing now;
  @Nullable Body carrier;
  String place = "";
  String stopped = "";
  String refused = "";

  /** Ways to choose from, where a number says how far and nothing which way. */
  List<CarryResult.CarriedWay> asks = List.of();

  /** Whether a number raises it. */
  boolean upright;

  CarryCourse(Space space, CarryAsk q, LengthUnit unit) {
    this.space = space;
    this.q = q;
    this.unit = unit;
    load = CarriedPieces.of(space, q);
    Piece lead = load.lead();
    turning = q.typed() != null && q.typed().slot().equals(Carrying.TURN);
    exactly = q.typed() != null && !turning;
    by = turning ? load.turned(q) : q.by();
    now = new Footing(lead.stance().withTurn(lead.turn() + by), On.NOTHING);
    resting = load.resting(q.tops());
    aiming = new Aiming(space, load, q, unit, resting);
    distances = new Distances(space, load.own());
    ways = new CarryWays(space, q, load);
  }

  /** All that is carried, when the lead stands at a place. */
  List<Piece> placed(Vec where) {
    List<Piece> all = load.placed(now.at(where));
    if (q.against() != null && now.on().kind() == On.OnKind.piece) {
      int last = all.size() - 1;
      all.set(last, all.get(last).withAttached(true));
    }
    return q.each() ? load.eachAtRest(all, q.tops()) : all;
  }

  void onto() {
    onto(now.at().y());
  }

  /** What stands comes onto the highest surface there that is no higher than so, if any. */
  boolean onto(double high) {
    boolean settles = load.stands() && !now.on().held();
    Surfaces.Surface under = settles ? aiming.under(now.at(), high) : null;
    if (under == null) {
      return false;
    }
    carrier = under.body();
    now = now.on(under.on()).at(now.at().x(), under.point().y(), now.at().z());
    return true;
  }

  /** Without what of it goes up or down. */
  static Vec level(Vec v) {
    return new Vec(v.x(), 0, v.z());
  }
}
