package pied.core.carry;

import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.solid.Vec;
import pied.core.space.Positions;
import pied.core.space.Positions.Direction;
import pied.core.units.Entry;
import pied.core.units.Message;
import pied.core.units.Refusal;

/** A number that was typed while something is carried: where that puts it. */
final class TypedNumber {
  private final CarryCourse c;

  TypedNumber(CarryCourse course) {
    c = course;
  }

  /** Puts it where the number says, if one was typed. */
  void typed() {
    if (!c.exactly) {
      return;
    }
    Vec at = c.now.at();
    double h = c.load.lead().size().height();
    switch (c.q.typed().slot()) {
      case "moved" -> moved(typed(0));
      case Carrying.ACROSS -> moved(position(Direction.across), at.z());
      case Carrying.DEEP -> moved(at.x(), position(Direction.deep));
      case "underside" -> c.now = c.now.at(at.x(), typed(at.y()), at.z());
      case "upperside" -> c.now = c.now.at(at.x(), typed(at.y() + h) - h, at.z());
      default -> aside(c.q.typed().slot());
    }
  }

  private double typed(double current) {
    return Entry.length(c.q.typed().text(), c.unit).from(current);
  }

  private double position(Direction d) {
    return Positions.typed(d, c.q.typed().text(), c.now.at(), c.unit, c.space.shell());
  }

  private void moved(double x, double z) {
    c.now = c.now.at(x, c.now.at().y(), z);
    c.onto();
  }

  /** Moved by so much: the way it has been moved, or else the way it is kept to. */
  private void moved(double far) {
    Vec way = c.q.typed().way() != null ? c.q.typed().way() : c.ways.way(c.now);
    way = way == null ? c.ways.kept() : way;
    if (c.load.fresh()) {
      throw new Refusal("It is not there yet: say how far from something, or where.");
    }
    if (way == null || !(way.length() > 0.5)) {
      c.asks = c.ways.asked();
      throw new Refusal("By {}: which way?", Message.length(far));
    }
    Vec to = c.load.lead().at().along(way.unit(), far);
    c.upright = Math.abs(way.y()) > 0.5;
    c.now = c.now.at(to.x(), c.upright ? to.y() : c.now.at().y(), to.z());
    if (!c.upright) {
      c.onto();
    }
  }

  private void aside(String slot) {
    Side side = Side.of(slot);
    c.distances.at(c.placed(c.now.at()));
    Reach r = c.distances.of(side);
    if (r == null) {
      throw new Refusal("There is nothing {} to be at a distance from.", side.words());
    }
    double wanted = typed(r.distance());
    if (wanted < 0) {
      throw new Refusal("A distance is 0 or more.");
    }
    c.now = c.now.moved(c.now.seen(side.outward()).times(r.distance() - wanted));
    c.onto();
  }
}
