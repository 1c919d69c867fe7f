package pied.core.carry;

import java.util.List;
import pied.core.Nullable;
import pied.core.carry.CarryAsk.CarryKeep;
import pied.core.catalog.Mounting;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Rest;
import pied.core.place.Resting;
import pied.core.solid.Body;
import pied.core.solid.Vec;

/** How a carry ends: pushed out of what is in the way, held by what is near, come to rest. */
final class Landing {
  /**
   * What comes up by more than this, or than half its height, would not be where it was put,
   * metres.
   */
  private static final double LOW = 0.05;

  private final CarryCourse c;
  private final Holding holding;

  Landing(CarryCourse course, Holding holding) {
    c = course;
    this.holding = holding;
  }

  /** Stops at what is in its way, snaps to what is near, and comes to rest. */
  void stop() {
    boolean raised = c.exactly && (c.upright || c.q.typed().slot().endsWith("side"));
    if (c.load.article().mounting() == Mounting.OPENING) {
      return;
    }
    boolean raises = c.load.stands() && (raised || c.q.keep() == CarryKeep.height);
    boolean rests = c.load.stands() && !raises && !c.now.on().held();
    boolean stops = !c.q.free() && !c.exactly;
    Body under = c.load.stands() ? c.carrier : null;
    if (stops) {
      push(under);
    }
    c.now =
        holding.hold(
            c.now,
            c.exactly || c.turning,
            at -> !stops || stops().isFree(c.placed(at.at()), under, c.load.lead().id()));
    Vec held = c.now.at();
    if (rests && !rest(!stops) && stops) {
      aside();
    }
    if (raises) {
      On on = c.resting.carrier(c.now.pose());
      c.now = c.now.on(on.equals(On.NOTHING) ? On.HELD : on);
      c.place =
          on.equals(On.NOTHING)
              ? "held at " + c.unit.fine(c.now.at().y())
              : "on " + c.space.nameOf(on);
    }
    if (CarryCourse.level(c.now.at().minus(held)).length() > 3 * Resting.CONTACT) {
      holding.leaveLines();
    }
  }

  /** It has no room in its carrier here, but perhaps a little aside. */
  private void aside() {
    String low = c.refused;
    Footing meant = c.now;
    c.now = c.now.moved(new Vec(0, 2 * Resting.CONTACT, 0));
    c.refused = "";
    push(null);
    if (!rest(false) || !c.now.on().equals(meant.on())) {
      c.now = meant;
      c.refused = low;
    }
  }

  private void push(@Nullable Body except) {
    Vec from = c.now.at();
    Stops.Push push = stops().out(by -> c.placed(from.plus(by)), except, c.load.lead().id());
    c.now = c.now.moved(push.by());
    if (push.stopped() != null) {
      c.stopped = c.space.nameOf(push.stopped().id());
    }
    if (!push.free()) {
      c.refused = "There is no room for it there; " + c.stopped + " is in the way.";
    }
  }

  /**
   * What a rest, a snap or a step aside led to in the end is nowhere that it may not be; of several
   * that were picked up together this is about the lead, with all that stands on it.
   */
  void lookOnceMore(List<Piece> pieces) {
    boolean meant = c.q.free() || c.exactly || c.q.against() != null || c.q.meet() != null;
    if (meant || !c.refused.isEmpty()) {
      return;
    }
    List<Piece> own = c.load.onLead(pieces);
    Body met = stops().met(own);
    if (met != null) {
      c.stopped = c.space.nameOf(met.id());
      c.refused = "There is no room for it there; " + c.stopped + " is in the way.";
    } else if (c.load.stands() && c.now.on().equals(On.NOTHING)) {
      c.refused = "There is nothing beneath it there.";
    }
  }

  private boolean isFree(Vec there) {
    return stops().isFree(c.placed(there), null, c.load.lead().id());
  }

  private Stops stops() {
    Vec motion =
        c.load.fresh() ? Vec.ZERO : CarryCourse.level(c.now.at().minus(c.load.lead().at()));
    return new Stops(c.space, c.load.own(), motion, pushes());
  }

  /** The directions in which it may be pushed; null for any that is level. */
  private @Nullable List<Vec> pushes() {
    if (c.load.onWall()) {
      Vec t = c.now.right();
      return List.of(t, t.times(-1), Vec.UP, Vec.DOWN);
    }
    Vec kept = c.ways.kept();
    return kept == null || c.q.keep() == CarryKeep.height ? null : List.of(kept, kept.times(-1));
  }

  /** Comes to rest: up out of its carrier, and down onto what is beneath; whether it can. */
  boolean rest(boolean anyhow) {
    Rest rest = c.resting.settle(c.now.at(), c.now.turn(), b -> anyhow || b == c.carrier);
    if (rest.on().equals(On.NOTHING)) {
      c.now = c.now.on(On.NOTHING);
      c.refused = c.refused.isEmpty() ? "There is nothing beneath it there." : c.refused;
      return false;
    }
    double most = Math.max(LOW, c.load.lead().size().height() / 2);
    // over an open crate it comes up to the rim; under a shelf board it does not come up through
    // that
    boolean raised = c.carrier != null && rest.at().y() - c.now.at().y() > most;
    if (raised && !anyhow && !(c.aiming.openAbove(c.now.at()) && isFree(rest.at()))) {
      c.refused =
          "There is no room for it there; " + c.space.nameOf(c.carrier.id()) + " is too low.";
      return false;
    }
    c.now = c.now.at(rest.at());
    if (!rest.on().equals(c.now.on())) {
      c.now = c.now.on(rest.on());
      c.place = "on " + c.space.nameOf(rest.on());
    }
    return true;
  }
}
