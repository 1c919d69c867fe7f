package pied.core.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import pied.core.Tolerance;
import pied.core.solid.Body;
import pied.core.solid.Box;
import pied.core.solid.MeshTree;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.PartName;
import pied.core.space.PartName.PartKind;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Wall;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** Draws one elevation or section. */
final class ElevationDraughtsman {
  private static final double HAIR = Tolerance.FINE;

  /** A body as it lies before the eye: its box in the drawing, and its depths toward the eye. */
  record Seen(Body body, Envelope box, double far, double near) {}

  private final Elevations shapes;
  private final Space space;
  private final Shell shell;
  private final LengthUnit unit;
  private final Elevation.ElevationLook look;
  private final Wall wall;
  private final String title;
  private final Eye eye;
  private final Vec zero;

  /** Depth of the cut: what is nearer is taken away. */
  private final double cut;

  /** Depth of the wall looked at; infinitely far for a section. */
  private final double ground;

  private final Envelope frame;
  private final boolean section;
  private final List<Ink> inks = new ArrayList<>();
  private final CutCorners corners = new CutCorners();
  private final MeshTree.RayHit hit = new MeshTree.RayHit();

  /**
   * @param shapes the edges of shapes that were drawn before
   * @throws Refusal if there is no such wall, or the cut lies outside the space
   */
  ElevationDraughtsman(
      Elevations shapes, Space space, Elevation.ElevationLook asked, LengthUnit unit) {
    this.shapes = shapes;
    this.space = space;
    this.shell = space.shell();
    this.unit = unit;
    Standpoint from = Standpoint.of(space, asked, unit);
    look = from.look();
    wall = from.wall();
    section = wall == null;
    title = from.title();
    eye = from.eye();
    zero = from.zero();
    cut = from.cut();
    ground = from.ground();
    frame = from.frame();
  }

  Elevation draw() {
    List<Seen> seen = seen();
    List<Ink> outlines = new ArrayList<>();
    seen.sort(Comparator.comparingDouble(Seen::near));
    for (Seen s : seen) {
      if (crosses(s)) {
        solid(s);
      }
    }
    inks.addAll(corners.inks(eye.u(zero)));
    Set<String> there = seen.stream().map(s -> s.body.id()).collect(Collectors.toSet());
    inks.addAll(
        new WallHatching(shell, eye, zero, frame)
            .inks(cut, there::contains, depth -> outlines(seen, depth)));
    for (Seen s : seen) {
      edges(s, seen);
      if (space.has(s.body.id())) {
        outlines.add(Ink.rings(Ink.InkStyle.piece, s.body.id(), outline(s)));
      }
    }
    openings(outlines);
    List<Label> labels = new ArrayList<>();
    List<Dimension> dimensions = new ArrayList<>();
    new ElevationMeasures(shell, section ? null : wall, eye, frame, unit, labels, dimensions).add();
    return new Elevation(
        title,
        look,
        new double[] {frame.getMinX(), frame.getMinY(), frame.getMaxX(), frame.getMaxY()},
        inks,
        outlines,
        labels,
        dimensions,
        zero,
        eye.right(),
        eye.toEye(),
        Math.toDegrees(Math.atan2(eye.toEye().x(), eye.toEye().z())),
        section ? Elevation.ElevationCut.of(look, shell, unit) : null);
  }

  /** Openings of the wall looked at, behind all pieces. */
  private void openings(List<Ink> outlines) {
    if (section) {
      return;
    }
    List<Ink> own = new ArrayList<>();
    for (Opening o : shell.openings()) {
      if (o.wall().equals(wall.name())) {
        double[] ring = {
          o.from(), -o.sill(), o.to(), -o.sill(), o.to(), -o.head(), o.from(), -o.head()
        };
        own.add(Ink.rings(Ink.InkStyle.gap, o.name().text(), List.of(ring)));
      }
    }
    outlines.addAll(0, own);
  }

  /** What is before the one who looks. */
  List<Seen> seen() {
    List<Seen> seen = new ArrayList<>();
    for (Body b : space.bodies().all()) {
      Seen s = seen(b);
      boolean piece = space.has(b.id());
      boolean gone =
          piece && !section
              ? (s.near + s.far) / 2 > cut || s.far < ground - 0.05
              : s.far > cut - HAIR;
      boolean framed = !PartName.is(b, PartKind.auditorium) || section;
      if (!gone && framed && space.seen(b) && s.box.intersects(frame)) {
        seen.add(s);
      }
    }
    return seen;
  }

  private Seen seen(Body b) {
    Eye own = eye.within(b.pose());
    Box box = b.mesh().box();
    Vec c = box.centre();
    Vec h = box.size().times(0.5);
    Vec at = b.pose().apply(c).minus(zero);
    double du = spread(own.right(), h);
    double dv = spread(own.down(), h);
    double dd = spread(own.toEye(), h);
    double depth = eye.toEye().dot(b.pose().apply(c));
    return new Seen(
        b,
        new Envelope(eye.u(at) - du, eye.u(at) + du, eye.v(at) - dv, eye.v(at) + dv),
        depth - dd,
        depth + dd);
  }

  private static double spread(Vec d, Vec h) {
    return Math.abs(d.x()) * h.x() + Math.abs(d.y()) * h.y() + Math.abs(d.z()) * h.z();
  }

  private boolean crosses(Seen s) {
    return s.near > cut + HAIR && (section || !space.has(s.body.id()));
  }

  private void solid(Seen s) {
    Geometry figure = Slices.of(s.body, eye, cut);
    if (figure == null) {
      return;
    }
    Envelope range =
        new Envelope(
            frame.getMinX() + eye.u(zero),
            frame.getMaxX() + eye.u(zero),
            frame.getMinY(),
            frame.getMaxY());
    figure = figure.intersection(new GeometryFactory().toGeometry(range));
    corners.add(s.body, figure);
    List<double[]> rings = ShellPlan.rings(figure);
    rings.forEach(
        r -> {
          for (int i = 0; i < r.length; i += 2) {
            r[i] -= eye.u(zero);
          }
        });
    Ink.InkStyle style =
        space.has(s.body.id()) || PartName.is(s.body, PartKind.opening)
            ? Ink.InkStyle.cutPiece
            : Ink.InkStyle.cut;
    if (!rings.isEmpty()) {
      inks.add(Ink.rings(style, s.body.id(), rings));
    }
  }

  /** The lines of a body that neither it nor another hides. */
  private void edges(Seen s, List<Seen> all) {
    Pose pose = s.body.pose();
    boolean crossing = crosses(s);
    List<SeenEdges.SeenEdge> own =
        crossing
            ? SeenEdges.facing(s.body.mesh(), eye.within(pose))
            : shapes.shape(s.body.mesh(), eye.within(pose)).edges();
    List<Seen> before = new ArrayList<>();
    for (Seen o : all) {
      if ((o != s || crossing) && o.near > s.far && o.box.intersects(s.box)) {
        before.add(o);
      }
    }
    List<double[]> lines = new ArrayList<>();
    for (SeenEdges.SeenEdge e : own) {
      SeenEdges.SeenEdge there =
          new SeenEdges.SeenEdge(pose.apply(e.from()), pose.apply(e.to()), pose.direct(e.lift()));
      if (crossing) {
        there = behind(there);
        if (there == null) {
          continue;
        }
      }
      List<Seen> over = over(there, before);
      if (over.isEmpty()) {
        add(lines, there.from(), there.to());
      } else {
        SeenEdges.trace(there, eye, p -> open(p, over), (a, b) -> add(lines, a, b));
      }
    }
    if (!lines.isEmpty()) {
      boolean piece = space.has(s.body.id());
      inks.add(Ink.lines(piece ? Ink.InkStyle.piece : Ink.InkStyle.edge, s.body.id(), lines));
    }
  }

  /** Those before an edge: the others need not be asked at every point of it. */
  private List<Seen> over(SeenEdges.SeenEdge e, List<Seen> before) {
    double u = eye.u(zero);
    Envelope box =
        new Envelope(eye.u(e.from()) - u, eye.u(e.to()) - u, eye.v(e.from()), eye.v(e.to()));
    box.expandBy(Tolerance.NEAR); // points are looked at a little off the surface
    List<Seen> over = new ArrayList<>();
    for (Seen o : before) {
      if (o.box.intersects(box)) {
        over.add(o);
      }
    }
    return over;
  }

  /** The part of an edge that lies behind the cut, or null. */
  private SeenEdges.SeenEdge behind(SeenEdges.SeenEdge e) {
    double a = eye.toEye().dot(e.from()) - cut + HAIR;
    double b = eye.toEye().dot(e.to()) - cut + HAIR;
    if (a > 0 && b > 0) {
      return null;
    }
    Vec from = a > 0 ? e.at(a / (a - b)) : e.from();
    Vec to = b > 0 ? e.at(a / (a - b)) : e.to();
    return new SeenEdges.SeenEdge(from, to, e.lift());
  }

  private boolean open(Vec p, List<Seen> before) {
    double limit = section ? cut - eye.toEye().dot(p) : Double.POSITIVE_INFINITY;
    double u = eye.u(p) - eye.u(zero);
    double v = eye.v(p);
    for (Seen o : before) {
      if (!o.box.contains(u, v)) {
        continue;
      }
      double own = space.has(o.body.id()) ? limit : cut - eye.toEye().dot(p);
      if (own <= 0) {
        continue;
      }
      Vec q = o.body.pose().unapply(p);
      Vec d = o.body.pose().undirect(eye.toEye());
      if (o.body
          .mesh()
          .tree()
          .any(q.x(), q.y(), q.z(), d.x(), d.y(), d.z(), Math.min(own, 1e4), hit)) {
        return false;
      }
    }
    return true;
  }

  private void add(List<double[]> lines, Vec a, Vec b) {
    double[] l = LineDrawing.line(eye, a.minus(zero), b.minus(zero));
    double[] in = Clip.segment(l, frame);
    if (in != null && Math.hypot(in[2] - in[0], in[3] - in[1]) >= SeenEdges.SHORT) {
      lines.add(in);
    }
  }

  /** Of all that stands before a depth. */
  private List<double[]> outlines(List<Seen> seen, double depth) {
    List<double[]> all = new ArrayList<>();
    for (Seen s : seen) {
      if ((s.near + s.far) / 2 > depth) {
        all.addAll(outline(s));
      }
    }
    return all;
  }

  private List<double[]> outline(Seen s) {
    Pose pose = s.body.pose();
    double du = eye.u(pose.at().minus(zero));
    double dv = eye.v(pose.at());
    List<double[]> rings = new ArrayList<>();
    for (double[] ring : shapes.shape(s.body.mesh(), eye.within(pose)).outlines()) {
      double[] moved = ring.clone();
      for (int i = 0; i < moved.length; i += 2) {
        moved[i] += du;
        moved[i + 1] += dv;
      }
      rings.add(moved);
    }
    return rings;
  }

  Eye eye() {
    return eye;
  }

  Vec zero() {
    return zero;
  }
}
