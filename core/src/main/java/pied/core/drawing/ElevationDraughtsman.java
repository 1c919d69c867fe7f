package pied.core.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
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
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.units.LengthUnit;
import pied.core.units.Message;
import pied.core.units.Refusal;

/** Draws one elevation or section. */
final class ElevationDraughtsman {
  /** One stands no farther from a wall than this to look at it, metres. */
  private static final double STEP_BACK = 2;

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
    section = asked.way() != Elevation.LookWay.wall;
    Envelope floor = shell.floor().getEnvelopeInternal();
    double under = shell.stage() == null ? 0 : -shell.stage().level();
    double thick =
        shell.walls().stream().mapToDouble(Wall::thickness).max().orElse(shell.thickness());
    if (!section) {
      wall = asked.wall() == null ? null : shell.wall(asked.wall());
      if (wall == null || wall.open()) {
        throw new Refusal("There is no wall “{}” to look at.", asked.wall());
      }
      Vec toEye = wall.inward();
      eye = Eye.level(toEye);
      zero = wall.from().at(0);
      ground = toEye.dot(zero);
      double free = free(wall);
      double at = asked.at() == null ? Math.min(STEP_BACK, free / 2) : asked.at();
      if (!(at > 0.01 && at <= 400)) {
        throw new Refusal(
            "One looks at a wall from {} to {} before it.",
            Message.bare(0.01),
            Message.length(400));
      }
      cut = ground + at;
      look = new Elevation.ElevationLook(Elevation.LookWay.wall, wall.name(), at);
      frame = new Envelope(-thick, wall.length() + thick, -shell.height() - 0.2, 0.2 - under);
      title = "Elevation of " + space.shell().wallName(wall.name());
      return;
    }
    wall = null;
    ground = Double.NEGATIVE_INFINITY;
    boolean along = asked.way().along();
    Vec toEye = asked.way().toEye();
    double least = along ? floor.getMinX() : floor.getMinY();
    double most = along ? floor.getMaxX() : floor.getMaxY();
    // a stage is looked into from just behind its setting line
    double usual =
        shell.stage() != null && asked.way() == Elevation.LookWay.back ? -0.05 : (least + most) / 2;
    double at = asked.at() == null ? usual : asked.at();
    if (!(at > least && at < most)) {
      throw new Refusal(
          "The cut lies outside; it can be from {} to {}{}",
          unit.fine(least),
          unit.fine(most),
          along ? " across." : " deep.");
    }
    eye = Eye.level(toEye);
    zero = Vec.ZERO;
    cut = (along ? toEye.x() : toEye.z()) * at;
    look = new Elevation.ElevationLook(asked.way(), null, at);
    double a = along ? floor.getMinY() : floor.getMinX();
    double b = along ? floor.getMaxY() : floor.getMaxX();
    double side = along ? eye.right().z() : eye.right().x();
    frame =
        new Envelope(
            Math.min(side * a, side * b) - thick,
            Math.max(side * a, side * b) + thick,
            -shell.height() - 0.2,
            0.2 - under);
    title =
        "Section at "
            + unit.fine(at)
            + (along ? " across" : " deep")
            + ", looking "
            + asked.way().words(shell.stage() != null);
  }

  /** How deep the space is before a wall, metres. */
  private double free(Wall w) {
    Spot from = w.spot(w.length() / 2, Tolerance.NEAR);
    var met =
        space
            .bodies()
            .ray(
                from.at(Math.min(1.5, shell.height() / 2)),
                w.inward(),
                1e4,
                b -> PartName.is(b, PartKind.wall));
    return met == null ? STEP_BACK * 2 : met.distance();
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
