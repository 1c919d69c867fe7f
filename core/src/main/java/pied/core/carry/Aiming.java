package pied.core.carry;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.distance.DistanceOp;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.piece.On;
import pied.core.place.Inset;
import pied.core.place.Rest;
import pied.core.place.Resting;
import pied.core.place.Surfaces;
import pied.core.solid.Body;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.PartName;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** Finds the surface that is meant, and how the lead stands on it before anything stops it. */
final class Aiming {
  /**
   * In a level drawing what is held at a height is lifted, or let down, by more than this, metres.
   */
  private static final double LIFTED = 0.1;

  /** What stands with its back to walls turns to one that is no farther behind it, metres. */
  private static final double BACKED = 0.3;

  private final Space space;
  private final CarriedPieces load;
  private final CarryAsk q;
  private final LengthUnit unit;
  private final Resting resting;
  private final Surfaces surfaces;

  /**
   * What was found.
   *
   * @param carrier the body it will rest on; null if that does not matter
   * @param place where that is, in words
   * @param levels how many surfaces there are over one another
   */
  record Aimed(Footing stance, @Nullable Body carrier, String place, int levels) {}

  Aiming(Space space, CarriedPieces load, CarryAsk q, LengthUnit unit, Resting resting) {
    this.space = space;
    this.load = load;
    this.q = q;
    this.unit = unit;
    this.resting = resting;
    surfaces = new Surfaces(space, load.article(), load.own(), q.tops());
  }

  /**
   * @param start how it stands, turned as it is wanted
   * @throws Refusal if nothing there can carry it
   */
  Aimed aim(Footing start) {
    return switch (load.article().mounting()) {
      case STANDS -> stand(start);
      case WALL -> fix(start);
      case HANGS -> hang(start);
      case OPENING -> inset(start);
    };
  }

  /** Where it was picked up, seen from the middle of the underside. */
  Vec offset(Footing s) {
    return s.seen(load.grip());
  }

  /**
   * The point that the pointer points at, so that something picked up there stays where it is: in a
   * level drawing in the plane of what is carried.
   */
  Vec pointed(Footing start) {
    return q.level() ? planePoint() : aim(start).stance().at();
  }

  // ---- standing

  private record AimedAt(Surfaces.Surface surface, int levels) {}

  /**
   * What is held at a height stays so high, unless one puts it on something: a top that one points
   * at, a level that one chooses, or, in a level drawing, lower or higher than it is.
   */
  private boolean staysHigh(AimedAt found) {
    if (!load.held() || q.tops() || q.down() > 0) {
      return false;
    }
    if (q.at() != null) {
      return true;
    }
    if (q.level()) {
      return Math.abs(planePoint().y() - load.lead().pose().apply(load.grip()).y()) < LIFTED;
    }
    return PartName.is(found.surface().body(), PartName.PartKind.floor);
  }

  /**
   * As long as nobody has turned it, a new piece that stands with its back to walls turns it to the
   * wall that is near.
   */
  private Footing backed(Footing start, Vec at) {
    if (q.turn() != null || !load.fresh() || !load.article().backsToWalls()) {
      return start;
    }
    Spot spot = new Spot(at.x(), at.z());
    Wall near = null;
    double least = load.lead().size().depth() / 2 + BACKED;
    for (Wall w : space.shell().faces()) {
      double off = w.off(spot);
      double along = w.station(spot);
      if (off >= 0 && off < least && along >= 0 && along <= w.length()) {
        near = w;
        least = off;
      }
    }
    return near == null ? start : start.turned(near.turn());
  }

  private Aimed stand(Footing as) {
    AimedAt found = surface(as);
    Surfaces.Surface s = found.surface();
    Footing start = backed(as, s.point());
    double y = s.point().y();
    if (staysHigh(found)) {
      Vec p = q.level() ? planePoint() : s.point();
      Vec off = offset(start);
      double high = load.lead().at().y();
      Footing now = start.at(p.x() - off.x(), high, p.z() - off.z()).on(load.lead().on());
      String words = "held at " + unit.fine(high - space.shell().datum().y());
      return new Aimed(now, null, words, found.levels());
    }
    String high = y > Tolerance.FINE ? ", " + unit.fine(y) + " high" : "";
    Vec g = offset(start);
    Footing now = start.at(s.point().x() - g.x(), y, s.point().z() - g.z()).on(s.on());
    return new Aimed(now, s.body(), "on " + space.nameOf(s.on()) + high, found.levels());
  }

  private AimedAt surface(Footing start) {
    if (q.at() != null) {
      return level(inRoom(q.at()), q.down());
    }
    if (q.level()) {
      return new AimedAt(inPlane(start), 1);
    }
    try {
      return new AimedAt(surfaces.at(q.target(), load.lead().size().depth()), 1);
    } catch (Refusal e) {
      // pointing past the room means the floor as far that way as there is
      Vec d = q.ray().along();
      double t = Math.abs(d.y()) < Tolerance.SAME ? 0 : -q.ray().from().y() / d.y();
      if (t <= 0) {
        throw e;
      }
      Vec p = q.ray().from().plus(d.times(t));
      return level(inRoom(new Spot(p.x(), p.z())), Integer.MAX_VALUE);
    }
  }

  private AimedAt level(Spot spot, int down) {
    List<Surfaces.Surface> all = levels(spot);
    return new AimedAt(all.get(Math.min(down, all.size() - 1)), all.size());
  }

  private List<Surfaces.Surface> levels(Spot spot) {
    List<Surfaces.Surface> all = surfaces.levels(spot);
    if (all.isEmpty()) {
      throw new Refusal("There is no floor under that point; choose one inside the room.");
    }
    return all;
  }

  /** In a level drawing: the highest surface at or below the pointer, in the plane of the mark. */
  private Surfaces.Surface inPlane(Footing start) {
    Vec p = planePoint();
    List<Surfaces.Surface> all = levels(inRoom(new Spot(p.x(), p.z())));
    double under = p.y() - offset(start).y() + Math.max(q.near(), 0.02);
    return all.stream()
        .filter(s -> s.point().y() <= under)
        .findFirst()
        .orElse(all.get(all.size() - 1));
  }

  /** The highest surface under a place that is no higher than so, or null. */
  @Nullable
  Surfaces.Surface under(Vec where, double y) {
    for (Surfaces.Surface s : surfaces.levels(inRoom(new Spot(where.x(), where.z())))) {
      if (s.point().y() <= y + 0.05) {
        return s;
      }
    }
    return null;
  }

  /** Whether no other surface is above a place that is on one. */
  boolean openAbove(Vec where) {
    Surfaces.Surface highest = under(where, Double.MAX_VALUE);
    return highest != null && highest.point().y() <= where.y() + Tolerance.NEAR;
  }

  /** Where the sight of a level drawing meets the upright plane through the mark. */
  Vec planePoint() {
    Vec d = q.ray().along().unit();
    Vec through = load.fresh() ? q.ray().from().along(d, 1) : load.lead().pose().apply(load.grip());
    double t = through.minus(q.ray().from()).dot(d);
    return q.ray().from().along(d, t);
  }

  /** The point itself, or the nearest over the floor. */
  private Spot inRoom(Spot spot) {
    Geometry floor = space.shell().floor();
    var here = floor.getFactory().createPoint(new Coordinate(spot.x(), spot.z()));
    if (floor.contains(here)) {
      return spot;
    }
    Coordinate near = DistanceOp.nearestPoints(floor, here)[0];
    var middle = floor.getCentroid();
    // a hair inside, so that there is floor under it
    double dx = middle.getX() - near.x;
    double dz = middle.getY() - near.y;
    double l = Math.max(Tolerance.SAME, Math.hypot(dx, dz));
    return new Spot(near.x + Tolerance.HAIR * dx / l, near.y + Tolerance.HAIR * dz / l);
  }

  // ---- fixed, hanging, in an opening

  private Aimed fix(Footing start) {
    Wall wall = resting.wall(q.target());
    Spot spot = resting.spot(q.target(), wall);
    Footing now = start.turned(wall.turn());
    Vec g = offset(now);
    Vec t = wall.along();
    double height = load.lead().size().height();
    double half = Math.min(load.lead().size().width(), wall.length()) / 2;
    double s = wall.station(spot) - g.dot(t);
    s = Math.max(half, Math.min(wall.length() - half, s));
    double y = load.fresh() ? load.article().usualHeight(height) : load.lead().at().y();
    if (q.ray() != null && !load.fresh()) {
      double seen = height(wall);
      y = Double.isNaN(seen) ? y : seen - g.y();
    }
    y = Math.max(0, Math.min(wall.height() - height, y));
    double out = load.lead().size().depth() / 2;
    Vec at = wall.from().at(y).along(t, s).along(wall.inward(), out);
    On on = On.wall(wall.name());
    return new Aimed(now.at(at).on(on), null, "on " + space.shell().wallName(wall.name()), 1);
  }

  /** How high on a wall one points; NaN past it. */
  private double height(Wall wall) {
    Vec d = q.ray().along().unit();
    double rate = wall.inward().dot(d);
    if (Math.abs(rate) < Tolerance.SAME) {
      return Double.NaN;
    }
    double t = -wall.off(new Spot(q.ray().from().x(), q.ray().from().z())) / rate;
    return t > 0 ? q.ray().from().y() + t * d.y() : Double.NaN;
  }

  private Aimed hang(Footing start) {
    Vec g = offset(start);
    Spot pointed;
    if (q.level()) {
      Vec p = planePoint();
      pointed = new Spot(p.x(), p.z());
    } else {
      pointed = resting.hangs(q.target());
    }
    Rest rest = resting.hangAt(inRoom(pointed.plus(-g.x(), -g.z())), start.turn());
    // on lines of its own it stays as high as it was hung
    double y = load.onLines() ? load.lead().at().y() : rest.at().y();
    Footing now = start.at(rest.at().x(), y, rest.at().z());
    return new Aimed(now.on(rest.on()), null, "", 1);
  }

  private Aimed inset(Footing start) {
    Opening o = Inset.at(space.shell(), q.target());
    Rest rest = Inset.rest(space.shell(), o);
    Footing now = start.turned(rest.turn()).at(rest.at()).on(rest.on());
    return new Aimed(now, null, "in " + space.nameOf(rest.on()), 1);
  }
}
