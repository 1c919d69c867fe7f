package pied.core.edit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import pied.core.Effort;
import pied.core.Refusal;
import pied.core.catalog.Article;
import pied.core.catalog.Mounting;
import pied.core.measure.Side;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Rest;
import pied.core.place.Resting;
import pied.core.solid.Mesh;
import pied.core.solid.Travel;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.space.Spot;

/** Several pieces set by one: onto it, beside it, at its height. */
final class Together {
  /** Places are tried so far apart, metres. */
  private static final double STEP = 0.02;

  private static final int MOST_TRIED = 1500;

  /** On the floor, places are tried so far apart as a share of how far away they are. */
  private static final double COARSER = 0.15;

  /** So far in from the edge of what carries it the middle of a piece has to be, metres. */
  private static final double RIM = 0.01;

  private Together() {}

  /** The space after, and what there is to say. */
  record Done(Space space, List<String> said) {}

  // ---- onto

  /**
   * Lets pieces come to rest on one thing, kept apart and moved aside as little as may be.
   *
   * @param onto a piece; null for the floor
   * @throws Refusal if it cannot carry anything
   */
  static Done onto(Space space, List<String> ids, String onto, Effort effort) {
    Piece carrier = onto == null ? null : space.piece(onto);
    if (carrier != null && !space.article(carrier).carries()) {
      throw new Refusal("Nothing can stand on " + carrier.name() + ".");
    }
    List<String> own = new ArrayList<>(ids);
    own.remove(onto);
    Set<String> carried = space.carriedBy(own);
    if (onto != null && carried.contains(onto)) {
      throw new Refusal(carrier.name() + " stands on one of them.");
    }
    own.removeIf(id -> carried.contains(id) && own.contains(space.piece(id).on().id()));
    own.sort(Comparator.comparingDouble(id -> -area(space.piece(id))));
    Set<String> waiting = new LinkedHashSet<>(own);
    List<String> said = new ArrayList<>();
    Space now = space;
    for (String id : own) {
      waiting.remove(id);
      Space next = one(now, now.piece(id), carrier, waiting, effort);
      if (next == null) {
        String on = carrier == null ? "the floor" : carrier.name();
        said.add(now.piece(id).name() + " does not fit on " + on + ".");
      } else {
        now = next;
      }
    }
    return new Done(now, said);
  }

  private static double area(Piece p) {
    return p.size().width() * p.size().depth();
  }

  /** The space with one more at rest, or null if there is no place for it. */
  private static Space one(
      Space space, Piece p, Piece carrier, Set<String> waiting, Effort effort) {
    Article article = space.article(p);
    if (article.mounting() != Mounting.STANDS || carrier != null && !article.standsOnTops()) {
      return null;
    }
    Set<String> own = space.withCarried(List.of(p.id()));
    Set<String> ignored = new HashSet<>(own);
    ignored.addAll(waiting);
    ignored.addAll(space.carriedBy(waiting));
    Resting resting = new Resting(space, article, p.size(), p.lean(), ignored);
    On wanted = carrier == null ? On.FLOOR : On.piece(carrier.id());
    Mesh mesh = space.shapes().mesh(p);
    for (Vec from : places(space, p, carrier)) {
      effort.goOn();
      Rest rest = resting.settle(from, p.turn(), b -> false);
      boolean free =
          rest.on().equals(wanted)
              && space
                  .bodies()
                  .overlapping(
                      mesh,
                      Piece.pose(rest.at(), p.turn(), p.lean()),
                      Resting.CONTACT,
                      b -> !ignored.contains(b.id()))
                  .isEmpty();
      if (free) {
        Vec by = rest.at().minus(p.at());
        List<Piece> moved = new ArrayList<>();
        own.forEach(id -> moved.add(space.piece(id).withAt(space.piece(id).at().plus(by))));
        Space next = space.with(moved);
        return next.with(next.piece(p.id()).withOn(rest.on()).withHeld(false));
      }
    }
    return null;
  }

  /** Where it might come down from, the nearest to where it is first. */
  private static List<Vec> places(Space space, Piece p, Piece carrier) {
    Vec middle = carrier == null ? p.at() : carrier.at();
    Vec u = carrier == null ? new Vec(1, 0, 0) : carrier.pose().direct(new Vec(1, 0, 0));
    Vec v = carrier == null ? new Vec(0, 0, 1) : carrier.pose().direct(new Vec(0, 0, 1));
    double halfU = carrier == null ? 3 : Math.max(0, carrier.size().width() / 2 - RIM);
    double halfV = carrier == null ? 3 : Math.max(0, carrier.size().depth() / 2 - RIM);
    double y = carrier == null ? space.shell().height() : 0;
    if (carrier != null) {
      y = carrier.pose().box(space.shapes().mesh(carrier).box()).max().y() + 2 * Resting.CONTACT;
    }
    Vec off = p.at().minus(middle);
    double a = clamp(off.dot(u), halfU);
    double b = clamp(off.dot(v), halfV);
    List<Vec> all = new ArrayList<>();
    double most = Math.hypot(halfU, halfV) * 2;
    double step = STEP;
    for (double r = 0; r <= most && all.size() < MOST_TRIED; r += step) {
      // a floor is wide: the farther away, the coarser, so that all of it is looked at
      step = carrier == null ? Math.max(STEP, COARSER * r) : STEP;
      int n = Math.max(1, (int) Math.round(2 * Math.PI * r / (1.5 * step)));
      for (int i = 0; i < n; i++) {
        double s = a + r * Math.cos(2 * Math.PI * i / n);
        double t = b + r * Math.sin(2 * Math.PI * i / n);
        if (Math.abs(s) <= halfU + 1e-12 && Math.abs(t) <= halfV + 1e-12) {
          Vec at = middle.along(u, s).along(v, t);
          double floor = carrier == null ? space.shell().floorAt(new Spot(at.x(), at.z())) : y;
          if (!Double.isNaN(floor)) {
            all.add(new Vec(at.x(), carrier == null ? floor + 2 * Resting.CONTACT : y, at.z()));
          }
        }
      }
    }
    return all;
  }

  private static double clamp(double v, double half) {
    return Math.max(-half, Math.min(half, v));
  }

  // ---- beside

  /**
   * Sets pieces beside the lead, one after the other, with an exact gap between the sides.
   *
   * @param ids the lead last
   * @param flush front or back, or null for the middles
   * @param stay whether they stay where they are in the other direction
   */
  static Done beside(
      Space space, List<String> ids, Side side, double gap, Side flush, boolean stay) {
    if (ids.size() < 2) {
      throw new Refusal("Select what is to stand beside it as well; the lead is picked last.");
    }
    if (side == null || side == Side.under) {
      throw new Refusal("Say on which side: left, right, front, back or top.");
    }
    if (gap < 0) {
      throw new Refusal("A gap is 0 or more.");
    }
    Piece lead = space.piece(ids.get(ids.size() - 1));
    Vec way = side == Side.top ? Vec.UP : lead.pose().direct(side.outward());
    Piece last = lead;
    Space now = space;
    List<String> said = new ArrayList<>();
    for (String id : ids.subList(0, ids.size() - 1)) {
      Piece p = now.piece(id);
      Vec to = next(now, last, lead, p, way, gap, flush, stay);
      Set<String> own = now.withCarried(List.of(id));
      Vec by = to.minus(p.at());
      List<Piece> moved = new ArrayList<>();
      for (String o : own) {
        moved.add(now.piece(o).withAt(now.piece(o).at().plus(by)));
      }
      now = now.with(moved);
      now =
          now.with(
              now.piece(id).withOn(Resting.of(now, now.piece(id)).carrier(now.piece(id).pose())));
      last = now.piece(id);
    }
    return new Done(now, said);
  }

  private static Vec next(
      Space space, Piece last, Piece lead, Piece p, Vec way, double gap, Side flush, boolean stay) {
    // beside the middle of the last one, in line with the lead, and at the height it stands at
    Vec from = last.at().minus(p.at());
    Vec along = p.at().along(way, from.dot(way));
    boolean up = way.y() > 0.5;
    Vec at =
        up
            ? new Vec(last.at().x(), last.at().y() + last.size().height(), last.at().z())
            : new Vec(along.x(), sameHeight(space, last, p), along.z());
    if (!up && !stay) {
      Vec across = new Vec(way.z(), 0, -way.x());
      double off = lead.at().dot(across) - at.dot(across);
      if (flush == Side.front || flush == Side.back) {
        Vec out = lead.pose().direct(flush.outward());
        if (Math.abs(out.dot(across)) > 0.5) {
          double sign = Math.signum(out.dot(across));
          off += sign * (half(space, lead, out) - half(space, p, out));
        }
      }
      at = at.along(across, off);
    }
    Vec start = at.along(way, 2 * (half(space, last, way) + half(space, p, way)) + 1);
    Travel.Stop stop =
        Travel.of(
            space.shapes().mesh(p),
            Piece.pose(start, p.turn(), p.lean()),
            space.shapes().mesh(last),
            last.pose(),
            way.times(-1),
            1e4);
    if (stop.meets()) {
      return start.along(way, gap - stop.distance());
    }
    // they would pass each other: the boxes are set side by side
    double apart = half(space, last, way) + half(space, p, way) + gap;
    return at.along(way, apart - (up ? half(space, last, way) : 0));
  }

  /** What stands keeps to the floor it would have there: that of the one beside it. */
  private static double sameHeight(Space space, Piece last, Piece p) {
    boolean both =
        space.article(p).mounting() == Mounting.STANDS
            && space.article(last).mounting() == Mounting.STANDS;
    return both ? last.at().y() : p.at().y();
  }

  /** Half of what a piece measures in a direction. */
  private static double half(Space space, Piece p, Vec way) {
    double lo = 1e300;
    double hi = -1e300;
    double[] xyz = space.shapes().mesh(p).xyz();
    Vec own = p.pose().undirect(way);
    for (int i = 0; i + 2 < xyz.length; i += 3) {
      double d = xyz[i] * own.x() + xyz[i + 1] * own.y() + xyz[i + 2] * own.z();
      lo = Math.min(lo, d);
      hi = Math.max(hi, d);
    }
    return (hi - lo) / 2;
  }

  // ---- at one height

  /** Brings pieces to the height of the lead, the last of them. */
  static Done level(Space space, List<String> ids, Side side) {
    if (ids.size() < 2 || side != Side.top && side != Side.under) {
      throw new Refusal(
          "Select several, the lead last, and say whether top or underside is meant.");
    }
    Piece lead = space.piece(ids.get(ids.size() - 1));
    Space now = space;
    for (String id : ids.subList(0, ids.size() - 1)) {
      Piece p = now.piece(id);
      double y =
          side == Side.under
              ? lead.at().y()
              : lead.at().y() + lead.size().height() - p.size().height();
      Vec by = new Vec(0, y - p.at().y(), 0);
      Set<String> own = now.withCarried(List.of(id));
      List<Piece> moved = new ArrayList<>();
      for (String o : own) {
        moved.add(now.piece(o).withAt(now.piece(o).at().plus(by)));
      }
      now = now.with(moved);
      Piece q = now.piece(id);
      now = now.with(q.withOn(Resting.of(now, q).carrier(q.pose())));
    }
    return new Done(now, List.of());
  }
}
