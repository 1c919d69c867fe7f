package pied.core.carry;

import java.util.List;
import pied.core.Nullable;
import pied.core.carry.CarryAsk.CarryKeep;
import pied.core.catalog.Mounting;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Hung;
import pied.core.place.Rest;
import pied.core.place.Resting;
import pied.core.place.Surfaces;
import pied.core.solid.Body;
import pied.core.solid.Vec;
import pied.core.space.Positions;
import pied.core.space.Positions.Direction;
import pied.core.space.Space;
import pied.core.space.Validity;
import pied.core.units.Entry;
import pied.core.units.LengthUnit;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * Answers where what is carried goes: to the surface that is pointed at, held by what is near,
 * stopped by what is in the way. Nothing is changed by asking.
 */
public final class Carrying {
  /** Slots of measures that are no distances: an angle, and the place from the datum. */
  static final String TURN = "turn", ACROSS = "across", DEEP = "deep";

  /**
   * What comes up by more than this, or than half its height, would not be where it was put,
   * metres.
   */
  private static final double LOW = 0.05;

  private final Space space;
  private final CarryAsk q;
  private final LengthUnit unit;
  private final CarriedPieces load;
  private final Resting resting;
  private final Aiming aiming;
  private final Distances distances;
  private final CarryWays ways;
  private final Holding holding;

  /** How far it is turned, degrees; and whether a number says where it goes. */
  private final double by;

  private final boolean exactly;
  private final boolean turning;
  private boolean upright;

  // what is found out, step by step
  private Footing now;
  private @Nullable Body carrier;
  private String place = "";
  private int levels = 1;
  private String stopped = "";
  private String exact = "";
  private String refused = "";

  private Carrying(Space space, CarryAsk q, LengthUnit unit) {
    this.space = space;
    this.q = q;
    this.unit = unit;
    load = CarriedPieces.of(space, q);
    Piece lead = load.lead();
    turning = q.typed() != null && q.typed().slot().equals(TURN);
    exactly = q.typed() != null && !turning;
    by = turning ? load.turned(q) : q.turn();
    now = new Footing(lead.stance().withTurn(lead.turn() + by), On.NOTHING);
    resting = load.resting(q.tops());
    aiming = new Aiming(space, load, q, unit, resting);
    distances = new Distances(space, load.own());
    ways = new CarryWays(space, q, load);
    holding = new Holding(space, q, load, unit, distances, ways, this::placed);
  }

  /**
   * Where what is carried goes.
   *
   * @param unit of what is typed and said
   * @throws Refusal if the question cannot be answered at all
   */
  public static CarryResult answer(Space space, CarryAsk q, LengthUnit unit) {
    try {
      return new Carrying(space, held(space, q, unit), unit).run();
    } catch (Refusal e) {
      throw e.in(unit);
    }
  }

  /**
   * Picked up by a key it is held where the pointer was then, be that on it or beside it, so that
   * it stays until the pointer moves.
   */
  private static CarryAsk held(Space space, CarryAsk q, LengthUnit unit) {
    if (q.since() == null || q.picked() != null || q.article() != null) {
      return q;
    }
    try {
      Carrying then = new Carrying(space, q.begun(), unit);
      return q.withPicked(then.aiming.pointed(then.now));
    } catch (Refusal e) {
      return q.withPicked(null); // it pointed at nothing
    }
  }

  /** A copy that is carried, as what it is a copy of, where the copy is. */
  public static Piece original(Piece copy) {
    return CarriedPieces.original(copy);
  }

  // ---- the way to an answer

  private CarryResult run() {
    try {
      if (q.against() != null) {
        FaceDown.FacedDown r = new FaceDown(space, load.lead(), q, by, load.own()).place();
        now = r.stance();
        place = r.words();
      } else {
        aim();
        if (turning) {
          aboutItsMark();
        }
        if (!toMark()) {
          keep();
          typed();
          stop();
        }
      }
    } catch (Refusal e) {
      refused = e.in(unit).getMessage();
    }
    if (!Validity.near(now.at())) { // a number was typed that leads out of all measure
      now = now.at(load.lead().at());
      String far = Message.length(Validity.FARTHEST).in(unit);
      refused = "That is more than " + far + " away, which is too far.";
    }
    if (load.hangs() && q.against() == null) {
      Hung hung = resting.hung(now.pose());
      now = now.on(hung.from());
      place = hung.words(space, unit);
    }
    List<Piece> pieces = placed(now.at());
    lookOnceMore(pieces);
    Piece lead = pieces.get(pieces.size() - 1);
    distances.at(pieces);
    double turned = q.against() != null ? by : lead.turn();
    Vec way = ways.way(now);
    LiveDistances told =
        LiveDistances.of(load, lead, distances, way, load.turns(q) ? turned : Double.NaN, unit);
    CarryResult answer =
        new CarryResult(
            pieces,
            lead.id(),
            lead.size().text(unit),
            now.on(),
            told.over().isEmpty() ? place : place + ", overlapping " + told.over(),
            levels,
            lead.pose().apply(load.mark()),
            load.fresh() ? null : load.lead().pose().apply(load.mark()),
            way,
            by,
            told.measures(),
            holding.said(told.reaches(), exact),
            stopped,
            refused,
            List.of());
    return answer.withSaid(CarrySentence.of(answer, q, load));
  }

  /** All that is carried, when the lead stands at a place. */
  private List<Piece> placed(Vec where) {
    List<Piece> all = load.placed(now.at(where));
    if (q.against() != null && now.on().kind() == On.OnKind.piece) {
      int last = all.size() - 1;
      all.set(last, all.get(last).withAttached(true));
    }
    return q.each() ? load.eachAtRest(all, q.tops()) : all;
  }

  /** Turned by a typed angle, its mark stays where it is without that. */
  private void aboutItsMark() {
    Footing before = now.turned(load.lead().turn() + q.turn());
    Vec grip = before.seen(load.grip()).minus(now.seen(load.grip()));
    Vec mark = before.seen(load.mark()).minus(now.seen(load.mark()));
    now = now.moved(level(mark.minus(grip)));
  }

  private void aim() {
    Aiming.Aimed aimed = aiming.aim(now);
    now = aimed.stance();
    carrier = aimed.carrier();
    place = aimed.place();
    levels = aimed.levels();
  }

  /** Its mark goes exactly to what is pointed at; whether there is anything. */
  private boolean toMark() {
    if (q.meet() == null) {
      return false;
    }
    boolean level = load.stands() && (q.at() != null || load.mark().y() == 0 && !q.level());
    MarkToMark.MarkMeeting m = new MarkToMark(space, load, q).find(now, level, load.turns(q));
    if (m == null) {
      return false;
    }
    now = m.stance();
    exact = m.words();
    if (level) {
      onto();
      rest(true);
    } else {
      now = now.on(Resting.of(space, load.lead(now)).carrier(now.pose()));
    }
    return true;
  }

  // ---- keeping to a direction

  private void keep() {
    Vec way = ways.kept();
    if (way == null) {
      return;
    }
    Vec start = load.lead().at();
    if (q.keep() == CarryKeep.height) {
      double y = q.level() ? aiming.planePoint().y() - aiming.offset(now).y() : now.at().y();
      now = now.at(start.x(), Math.max(0, y), start.z());
      now = now.on(load.onWall() ? load.lead().on() : On.NOTHING);
      carrier = null;
      return;
    }
    Vec line = start.along(way, now.at().minus(start).dot(way));
    now = now.at(line.x(), load.onWall() ? start.y() : now.at().y(), line.z());
    if (load.stands() && onto(start.y())) {
      place = "on " + space.nameOf(now.on());
    }
  }

  // ---- a number that was typed

  private void typed() {
    if (!exactly) {
      return;
    }
    Vec at = now.at();
    double h = load.lead().size().height();
    switch (q.typed().slot()) {
      case "moved" -> moved(typed(0));
      case ACROSS -> moved(position(Direction.across), at.z());
      case DEEP -> moved(at.x(), position(Direction.deep));
      case "underside" -> now = now.at(at.x(), typed(at.y()), at.z());
      case "upperside" -> now = now.at(at.x(), typed(at.y() + h) - h, at.z());
      default -> aside(q.typed().slot());
    }
  }

  private double typed(double current) {
    return Entry.length(q.typed().text(), unit).from(current);
  }

  private double position(Direction d) {
    return Positions.typed(d, q.typed().text(), now.at(), unit, space.shell());
  }

  private void moved(double x, double z) {
    now = now.at(x, now.at().y(), z);
    onto();
  }

  /** Moved by so much: the way it has been moved, or else the way it is kept to. */
  private void moved(double by) {
    Vec way = q.typed().way() != null ? q.typed().way() : ways.way(now);
    way = way == null ? ways.kept() : way;
    if (way == null || load.fresh() || !(way.length() > 0.5)) {
      throw new Refusal("Move it a little first, or keep it to a direction, so that it is known.");
    }
    Vec to = load.lead().at().along(way.unit(), by);
    upright = Math.abs(way.y()) > 0.5;
    now = now.at(to.x(), upright ? to.y() : now.at().y(), to.z());
    if (!upright) {
      onto();
    }
  }

  private void aside(String slot) {
    Side side = Side.of(slot);
    distances.at(placed(now.at()));
    Reach r = distances.of(side);
    if (r == null) {
      throw new Refusal("There is nothing {} to be at a distance from.", side.words());
    }
    double wanted = typed(r.distance());
    if (wanted < 0) {
      throw new Refusal("A distance is 0 or more.");
    }
    now = now.moved(now.seen(side.outward()).times(r.distance() - wanted));
    onto();
  }

  private void onto() {
    onto(now.at().y());
  }

  /** What stands comes onto the highest surface there that is no higher than so, if any. */
  private boolean onto(double high) {
    boolean settles = load.stands() && !now.on().held();
    Surfaces.Surface under = settles ? aiming.under(now.at(), high) : null;
    if (under == null) {
      return false;
    }
    carrier = under.body();
    now = now.on(under.on()).at(now.at().x(), under.point().y(), now.at().z());
    return true;
  }

  // ---- stopping, and coming to rest

  private void stop() {
    boolean raised = exactly && (upright || q.typed().slot().endsWith("side"));
    if (load.article().mounting() == Mounting.OPENING) {
      return;
    }
    boolean raises = load.stands() && (raised || q.keep() == CarryKeep.height);
    boolean rests = load.stands() && !raises && !now.on().held();
    boolean stops = !q.free() && !exactly;
    Body under = load.stands() ? carrier : null;
    if (stops) {
      push(under);
    }
    now =
        holding.hold(
            now,
            exactly || turning,
            at -> !stops || stops().isFree(placed(at.at()), under, load.lead().id()));
    Vec held = now.at();
    if (rests && !rest(!stops) && stops) {
      aside();
    }
    if (raises) {
      On on = resting.carrier(now.pose());
      now = now.on(on.equals(On.NOTHING) ? On.HELD : on);
      place =
          on.equals(On.NOTHING) ? "held at " + unit.fine(now.at().y()) : "on " + space.nameOf(on);
    }
    if (level(now.at().minus(held)).length() > 3 * Resting.CONTACT) {
      holding.leaveLines();
    }
  }

  /** It has no room in its carrier here, but perhaps a little aside. */
  private void aside() {
    String low = refused;
    Footing meant = now;
    now = now.moved(new Vec(0, 2 * Resting.CONTACT, 0));
    refused = "";
    push(null);
    if (!rest(false) || !now.on().equals(meant.on())) {
      now = meant;
      refused = low;
    }
  }

  private void push(@Nullable Body except) {
    Vec from = now.at();
    Stops.Push push = stops().out(by -> placed(from.plus(by)), except, load.lead().id());
    now = now.moved(push.by());
    if (push.stopped() != null) {
      stopped = space.nameOf(push.stopped().id());
    }
    if (!push.free()) {
      refused = "There is no room for it there; " + stopped + " is in the way.";
    }
  }

  /**
   * What a rest, a snap or a step aside led to in the end is nowhere that it may not be; of several
   * that were picked up together this is about the lead, with all that stands on it.
   */
  private void lookOnceMore(List<Piece> pieces) {
    boolean meant = q.free() || exactly || q.against() != null || q.meet() != null;
    if (meant || !refused.isEmpty()) {
      return;
    }
    List<Piece> own = load.onLead(pieces);
    Body met = stops().met(own);
    if (met != null) {
      stopped = space.nameOf(met.id());
      refused = "There is no room for it there; " + stopped + " is in the way.";
    } else if (load.stands() && now.on().equals(On.NOTHING)) {
      refused = "There is nothing beneath it there.";
    }
  }

  private boolean isFree(Vec there) {
    return stops().isFree(placed(there), null, load.lead().id());
  }

  private Stops stops() {
    Vec motion = load.fresh() ? Vec.ZERO : level(now.at().minus(load.lead().at()));
    return new Stops(space, load.own(), motion, pushes());
  }

  private static Vec level(Vec v) {
    return new Vec(v.x(), 0, v.z());
  }

  /** The directions in which it may be pushed; null for any that is level. */
  private @Nullable List<Vec> pushes() {
    if (load.onWall()) {
      Vec t = now.right();
      return List.of(t, t.times(-1), Vec.UP, Vec.DOWN);
    }
    Vec kept = ways.kept();
    return kept == null || q.keep() == CarryKeep.height ? null : List.of(kept, kept.times(-1));
  }

  /** Comes to rest: up out of its carrier, and down onto what is beneath; whether it can. */
  private boolean rest(boolean anyhow) {
    Rest rest = resting.settle(now.at(), now.turn(), b -> anyhow || b == carrier);
    if (rest.on().equals(On.NOTHING)) {
      now = now.on(On.NOTHING);
      refused = refused.isEmpty() ? "There is nothing beneath it there." : refused;
      return false;
    }
    double most = Math.max(LOW, load.lead().size().height() / 2);
    // over an open crate it comes up to the rim; under a shelf board it does not come up through
    // that
    boolean raised = carrier != null && rest.at().y() - now.at().y() > most;
    if (raised && !anyhow && !(aiming.openAbove(now.at()) && isFree(rest.at()))) {
      refused = "There is no room for it there; " + space.nameOf(carrier.id()) + " is too low.";
      return false;
    }
    now = now.at(rest.at());
    if (!rest.on().equals(now.on())) {
      now = now.on(rest.on());
      place = "on " + space.nameOf(rest.on());
    }
    return true;
  }
}
