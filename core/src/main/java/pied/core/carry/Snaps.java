package pied.core.carry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.catalog.Clearance;
import pied.core.catalog.Mounting;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.solid.Bodies;
import pied.core.solid.Body;
import pied.core.solid.Box;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.PartName;
import pied.core.space.PartName.PartKind;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.units.LengthUnit;

/**
 * What holds a piece that is near it: walls and pieces it touches, edges and middles in line with
 * neighbours, equal gaps, centre line, datum, middles of walls, openings and tables, and the free
 * room it asks for. Each of its two directions is held by one thing at most, the nearest.
 */
final class Snaps {
  /** Neighbours farther than this hold nothing, metres. */
  private static final double AROUND = 3;

  private static final int MOST_NEIGHBOURS = 60;

  /** So much of the reach of a snap each rank is worth: contact holds before a mere line. */
  private static final double RANK = 0.2;

  private final Space space;
  private final Piece piece;
  private final Set<String> own;
  private final double near;
  private final LengthUnit unit;
  private final Distances distances;
  private final List<Piece> neighbours = new ArrayList<>();

  /**
   * @param piece what is carried, where it is wanted
   * @param own pieces that do not count
   * @param near how near, metres
   */
  Snaps(
      Space space,
      Piece piece,
      Set<String> own,
      double near,
      LengthUnit unit,
      Distances distances) {
    this.space = space;
    this.distances = distances;
    this.piece = piece;
    this.own = own;
    this.near = near;
    this.unit = unit;
    Box box = piece.pose().box(space.shapes().mesh(piece).box());
    Vec around = new Vec(AROUND, 0.05, AROUND);
    for (Body b : space.bodies().near(box.grown(around))) {
      if (space.has(b.id()) && !own.contains(b.id()) && neighbours.size() < MOST_NEIGHBOURS) {
        neighbours.add(space.piece(b.id()));
      }
    }
  }

  /**
   * What holds it in one direction.
   *
   * @param by how far it is moved along the direction, metres
   * @param rank the lower the firmer
   * @param wall the wall it stands against, or null
   * @param low the side whose distance must be {@code gap} for this to be true; null for none
   * @param high likewise
   */
  record Held(
      double by,
      int rank,
      String words,
      Vec from,
      Vec to,
      String wall,
      Side low,
      Side high,
      double gap) {
    double weight(double near) {
      return Math.abs(by) + rank * RANK * near;
    }
  }

  /**
   * The best hold in a direction, or null.
   *
   * @param axis level, of length 1
   * @param half half the size of the piece in that direction
   * @param low and high: its sides that way; null if it may not be measured from them
   */
  Held best(Vec axis, double half, Side low, Side high) {
    List<Held> all = new ArrayList<>();
    if (low != null) {
      touching(all, low, high);
    }
    lines(all, axis, half);
    return choose(all);
  }

  /**
   * The best hold upward, of what is fixed to a wall: in line with others, or at its usual height.
   */
  Held upward(double usual) {
    List<Held> all = new ArrayList<>();
    double lo = piece.at().y();
    double h = piece.size().height();
    add(all, usual - lo, 2, "at its usual height", null, null, null);
    for (Piece n : neighbours) {
      if (n.on().kind() == On.OnKind.wall) {
        double a = n.at().y();
        double b = a + n.size().height();
        add(all, a - lo, 3, "underside level with " + n.name(), piece.at(), n.at(), null);
        add(all, b - lo - h, 3, "top level with " + n.name(), piece.at(), n.at(), null);
        add(
            all,
            (a + b) / 2 - lo - h / 2,
            3,
            "middle level with " + n.name(),
            piece.at(),
            n.at(),
            null);
      }
    }
    return choose(all);
  }

  private Held choose(List<Held> all) {
    return all.stream().min(Comparator.comparingDouble(h -> h.weight(near))).orElse(null);
  }

  private void add(
      List<Held> all, double by, int rank, String words, Vec from, Vec to, String wall) {
    if (Math.abs(by) <= near) {
      all.add(new Held(by, rank, words, from, to, wall, null, null, 0));
    }
  }

  /** Adds what holds only as long as the distance on a side, or on two, is this. */
  private void gap(
      List<Held> all, double by, int rank, String words, Reach r, Vec to, Side other, double gap) {
    if (Math.abs(by) <= near) {
      String wall = gap == 0 ? wall(r.to()) : null;
      Vec from = gap == 0 ? null : r.fromPoint();
      all.add(new Held(by, rank, words, from, gap == 0 ? null : to, wall, r.side(), other, gap));
    }
  }

  // ---- what it touches

  private void touching(List<Held> all, Side low, Side high) {
    Reach a = distances.of(low);
    Reach b = distances.of(high);
    for (Reach r : new Reach[] {a, b}) {
      if (r != null) {
        double sign = r == b ? 1 : -1;
        gap(all, sign * r.distance(), 0, "against " + r.toName(), r, null, null, 0);
        clearance(all, r, sign);
        if (space.has(r.to()) && r.distance() > 0 && r.distance() < AROUND) {
          sameGap(all, r, sign);
        }
      }
    }
    if (a != null && b != null && a.distance() > 0 && b.distance() > 0) {
      double gap = (a.distance() + b.distance()) / 2;
      String words = "the same to both sides, " + unit.fine(gap);
      gap(all, gap - a.distance(), 3, words, a, b.toPoint(), high, gap);
    }
  }

  private static String wall(String body) {
    PartName part = PartName.read(body);
    return part.kind() == PartKind.wall || part.kind() == PartKind.skirting ? part.id() : null;
  }

  private void clearance(List<Held> all, Reach r, double sign) {
    for (Clearance c : space.article(piece).clearances()) {
      if (c.side().equals(r.side().name()) || c.side().equals("around")) {
        String words = unit.fine(c.free()) + " clear " + c.why();
        gap(all, sign * (r.distance() - c.free()), 2, words, r, r.toPoint(), null, c.free());
      }
    }
  }

  /** The gap between the neighbour on one side and the next one beyond. */
  private void sameGap(List<Held> all, Reach r, double sign) {
    Piece n = space.piece(r.to());
    Vec way = piece.pose().direct(r.side().outward());
    for (Side s : Side.values()) {
      if (n.pose().direct(s.outward()).dot(way) > 1 - Tolerance.SAME) {
        Reach next = beyond(n, s);
        if (next != null && space.has(next.to()) && next.distance() > 0.005) {
          double g = next.distance();
          String words = unit.fine(g) + " from " + n.name() + ", as that from " + next.toName();
          gap(all, sign * (r.distance() - g), 3, words, r, next.toPoint(), null, g);
        }
      }
    }
  }

  /** The gap of a neighbour on a side: the same for every question about this space. */
  private Reach beyond(Piece n, Side s) {
    return space.kept(
        List.of("beyond", n.id(), s, own),
        () -> {
          Set<String> both = new HashSet<>(own);
          both.add(n.id());
          both.addAll(space.carriedBy(n.id()));
          return Reach.of(space, n, s, both, AROUND);
        });
  }

  // ---- lines

  private void lines(List<Held> all, Vec axis, double half) {
    double centre = piece.at().dot(axis);
    for (Piece n : neighbours) {
      double theirs = half(n, axis);
      if (Double.isNaN(theirs) || n.id().equals(piece.on().id())) {
        continue;
      }
      double c = n.at().dot(axis);
      String name = n.name();
      add(
          all,
          c - theirs - (centre - half),
          3,
          "in line with " + name,
          edge(axis, -half),
          n.at(),
          null);
      add(
          all,
          c + theirs - (centre + half),
          3,
          "in line with " + name,
          edge(axis, half),
          n.at(),
          null);
      add(all, c - centre, 3, "middle in line with " + name, piece.at(), n.at(), null);
    }
    over(all, axis, centre);
    ofTheShell(all, axis, centre);
  }

  /** In the middle of what it stands on, or over that of what it hangs over. */
  private void over(List<Held> all, Vec axis, double centre) {
    if (piece.on().kind() == On.OnKind.piece && space.has(piece.on().id())) {
      Piece under = space.piece(piece.on().id());
      add(
          all,
          under.at().dot(axis) - centre,
          2,
          "in the middle of " + under.name(),
          piece.at(),
          under.at(),
          null);
    }
    Piece beneath = beneath();
    if (beneath != null) {
      String words = "over the middle of " + beneath.name();
      add(all, beneath.at().dot(axis) - centre, 1, words, piece.at(), beneath.at(), null);
    }
  }

  /** What stands on the floor beneath something that hangs, such as the table under a lamp. */
  private @Nullable Piece beneath() {
    if (space.article(piece).mounting() != Mounting.HANGS) {
      return null;
    }
    Bodies.RayMet met =
        space.bodies().ray(piece.at(), Vec.DOWN, 1e3, b -> !own.contains(b.id()) && space.seen(b));
    Piece p = met == null || !space.has(met.body().id()) ? null : space.piece(met.body().id());
    while (p != null && p.on().kind() == On.OnKind.piece) {
      p = space.piece(p.on().id());
    }
    return p;
  }

  private Vec edge(Vec axis, double by) {
    return piece.at().along(axis, by);
  }

  /** Half the size of a piece along a direction that is one of its own; NaN if it is not. */
  private static double half(Piece n, Vec axis) {
    if (Math.abs(n.pose().direct(new Vec(1, 0, 0)).dot(axis)) > 1 - Tolerance.SAME) {
      return n.size().width() / 2;
    }
    if (Math.abs(n.pose().direct(new Vec(0, 0, 1)).dot(axis)) > 1 - Tolerance.SAME) {
      return n.size().depth() / 2;
    }
    return Double.NaN;
  }

  private void ofTheShell(List<Held> all, Vec axis, double centre) {
    boolean across = Math.abs(axis.x()) > 1 - Tolerance.SAME;
    boolean deep = Math.abs(axis.z()) > 1 - Tolerance.SAME;
    double y = piece.at().y();
    if (across && space.shell().stage() != null) {
      Vec on = new Vec(0, y, piece.at().z());
      add(
          all,
          (0 - piece.at().x()) * axis.x(),
          2,
          "on the centre line",
          on,
          new Vec(0, y, 0),
          null);
    }
    Vec datum = space.shell().datum();
    if (across || deep) {
      add(all, datum.dot(axis) - centre, 4, "in line with the datum", piece.at(), datum, null);
    }
    Spot here = new Spot(piece.at().x(), piece.at().z());
    for (Wall w : space.shell().faces()) {
      if (Math.abs(w.along().dot(axis)) < 1 - Tolerance.SAME || w.distance(here) > AROUND) {
        continue;
      }
      Vec middle = w.spot(w.length() / 2, 0).at(y);
      String of = space.shell().wallName(w.name());
      add(all, middle.dot(axis) - centre, 3, "in the middle of " + of, piece.at(), middle, null);
      for (Opening o : space.shell().openings()) {
        if (o.wall().equals(w.name())) {
          Vec m = w.spot(o.from() + o.width() / 2, 0).at(y);
          String words = String.format(Locale.ROOT, "in the middle of the %s", o.words());
          add(all, m.dot(axis) - centre, 3, words, piece.at(), m, null);
        }
      }
    }
  }
}
