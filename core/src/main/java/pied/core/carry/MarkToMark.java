package pied.core.carry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.carry.CarryAsk.CarryMeet;
import pied.core.measure.Marks;
import pied.core.piece.Piece;
import pied.core.place.Resting;
import pied.core.solid.Bodies;
import pied.core.solid.Body;
import pied.core.solid.Box;
import pied.core.solid.Creases;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.PartName;
import pied.core.space.PartName.PartKind;
import pied.core.space.Space;
import pied.core.space.Spot;

/**
 * A mark of the lead goes exactly to what is pointed at: a mark, else a point on an edge, else, in
 * a sight, a point on a face; and it is turned for that if one wants.
 */
final class MarkToMark {
  /** Faces count as upright if their normals rise by less than this: the sine. */
  private static final double UPRIGHT = 0.05;

  /** Something pointed at is looked for at least so near, metres. */
  private static final double LEAST = 0.05;

  /** Edges no farther apart than this are as near, metres. */
  private static final double SAME = Tolerance.SAME;

  private final Space space;
  private final CarriedPieces load;
  private final CarryAsk q;
  private final double within;

  MarkToMark(Space space, CarriedPieces load, CarryAsk q) {
    this.space = space;
    this.load = load;
    this.q = q;
    within = Math.max(LEAST, 2 * q.near());
  }

  /**
   * Where it goes.
   *
   * @param words what is met there
   */
  record MarkMeeting(Footing stance, String words) {}

  /**
   * Where it goes, or null if there is nothing to go to.
   *
   * @param now how the lead stands so far
   * @param level whether it stays as high as it is
   * @param mayTurn whether it may be turned at all
   */
  @Nullable
  MarkMeeting find(Footing now, boolean level, boolean mayTurn) {
    Marks.NamedMark there = there();
    if (there == null) {
      return null;
    }
    List<Footing> ways = new ArrayList<>();
    for (double by : mayTurn ? turns(there, now) : List.of(0.0)) {
      Footing turned = now.turned(now.turn() + by);
      Vec to = there.at().minus(turned.seen(load.mark()));
      ways.add(turned.at(level ? new Vec(to.x(), now.at().y(), to.z()) : to));
    }
    ways.sort(Comparator.comparingDouble(w -> Math.abs(w.turn() - now.turn())));
    Footing best = ways.stream().filter(this::isFree).findFirst().orElse(ways.get(0));
    return new MarkMeeting(best, "on " + there.words());
  }

  private boolean isFree(Footing s) {
    Mesh mesh = space.shapes().mesh(load.lead());
    return space
            .bodies()
            .overlapped(mesh, s.pose(), Resting.CONTACT, b -> !load.own().contains(b.id()))
        == null;
  }

  private Marks.NamedMark there() {
    if (q.at() != null) {
      Marks.NamedMark mark = Marks.nearest(space, q.at(), within, load.own());
      return mark != null ? mark : onPlan(q.at());
    }
    Vec from = q.ray().from();
    Vec along = q.ray().along().unit();
    Marks.NamedMark mark = Marks.nearest(space, from, along, within, load.own());
    return mark != null ? mark : inSight();
  }

  // ---- points on edges and faces

  private Marks.NamedMark onPlan(Spot p) {
    Vec r = new Vec(within, 0, within);
    Box column = new Box(p.at(0).minus(r), p.at(space.shell().height()).plus(r));
    List<Body> around = new ArrayList<>(space.bodies().near(column));
    around.removeIf(b -> load.own().contains(b.id()) || PartName.is(b, PartKind.ceiling));
    return onEdge(around, p.at(0), true);
  }

  private Marks.NamedMark inSight() {
    Bodies.RayMet met = CarryPointed.at(space, q, load.own());
    if (met == null) {
      return null;
    }
    Body b = met.body();
    Marks.NamedMark edge = onEdge(List.of(b), met.point(), false);
    if (edge != null) {
      return edge;
    }
    List<Vec> faces = new ArrayList<>();
    upright(faces, met.normal());
    List<Vec> edges = faces.stream().map(n -> new Vec(-n.z(), 0, n.x())).toList();
    return new Marks.NamedMark(met.point(), "the face of " + space.nameOf(b.id()), faces, edges);
  }

  /**
   * The point of an edge that is nearest to a point, seen from above if wanted; null for none. Of
   * several over each other that is meant which has a face toward the point.
   */
  private Marks.NamedMark onEdge(List<Body> bodies, Vec p, boolean flat) {
    Marks.NamedMark best = null;
    double least = within;
    boolean looks = false;
    for (Body b : bodies) {
      for (Creases.CreaseEdge e : edges(b)) {
        Vec at = nearest(b.pose(), e, p, flat);
        Vec to = at.minus(p);
        double off = flat ? Math.hypot(to.x(), to.z()) : to.length();
        if (off > least + SAME) {
          continue;
        }
        Marks.NamedMark mark = mark(b, e, at);
        boolean toward = mark.faces().stream().anyMatch(n -> n.dot(to) < 0);
        if (off < least - SAME || toward && !looks) {
          least = off;
          looks = toward;
          best = mark;
        }
      }
    }
    return best;
  }

  private List<Creases.CreaseEdge> edges(Body b) {
    return space.kept(List.of("creases", b.id()), () -> Creases.sharp(b.mesh()));
  }

  /** The point of an edge that is nearest to a point; on the plan if wanted. */
  private static Vec nearest(Pose pose, Creases.CreaseEdge e, Vec p, boolean flat) {
    Vec a = pose.apply(e.from());
    Vec d = pose.apply(e.to()).minus(a);
    Vec to = p.minus(a);
    double along = flat ? d.x() * to.x() + d.z() * to.z() : d.dot(to);
    double length = flat ? d.x() * d.x() + d.z() * d.z() : d.dot(d);
    double t = length < Tolerance.NONE ? 0 : Math.max(0, Math.min(1, along / length));
    return a.plus(d.times(t));
  }

  private Marks.NamedMark mark(Body b, Creases.CreaseEdge e, Vec at) {
    List<Vec> faces = new ArrayList<>();
    upright(faces, b.pose().direct(e.n()));
    upright(faces, b.pose().direct(e.m()));
    Vec way = b.pose().direct(e.to().minus(e.from()).unit());
    List<Vec> edges =
        Math.abs(way.y()) < UPRIGHT ? List.of(new Vec(way.x(), 0, way.z()).unit()) : List.of();
    return new Marks.NamedMark(at, "an edge of " + space.nameOf(b.id()), faces, edges);
  }

  private static void upright(List<Vec> faces, Vec n) {
    if (Math.abs(n.y()) < UPRIGHT) {
      faces.add(new Vec(n.x(), 0, n.z()).unit());
    }
  }

  // ---- turning

  /** The turns at which a side lies flat on a face there, or an edge runs along one, degrees. */
  private List<Double> turns(Marks.NamedMark there, Footing now) {
    Piece lead = load.lead(now);
    int x = (int) Math.signum(load.mark().x());
    int z = (int) Math.signum(load.mark().z());
    List<Double> turns = new ArrayList<>();
    if (q.meet() == CarryMeet.faces) {
      for (Vec own : Marks.faces(lead, x, z)) {
        there.faces().forEach(n -> turns.add(between(own, n.times(-1))));
      }
    } else if (q.meet() == CarryMeet.edges) {
      for (Vec own : Marks.edges(lead, x, z)) {
        for (Vec e : there.edges()) {
          turns.add(between(own, e));
          turns.add(between(own, e.times(-1)));
        }
      }
    }
    return turns.isEmpty() ? List.of(0.0) : turns;
  }

  /** The turn that takes one level direction to another, degrees, counter-clockwise from above. */
  private static double between(Vec a, Vec b) {
    double sin = a.z() * b.x() - a.x() * b.z();
    double t = Math.toDegrees(Math.atan2(sin, a.dot(b)));
    return Math.abs(t) < Tolerance.SAME ? 0 : t;
  }
}
