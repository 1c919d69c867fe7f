package pied.core.paper;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Point;
import org.locationtech.jts.index.quadtree.Quadtree;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.locationtech.jts.operation.union.UnaryUnionOp;
import pied.core.Tolerance;
import pied.core.catalog.Mounting;
import pied.core.drawing.Eye;
import pied.core.drawing.Ink;
import pied.core.drawing.Label;
import pied.core.drawing.LineDrawing;
import pied.core.drawing.Lines;
import pied.core.drawing.ShellPlan;
import pied.core.paper.Mark.Anchor;
import pied.core.piece.Piece;
import pied.core.schedule.PartSchedule;
import pied.core.solid.Box;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.units.Deadline;
import pied.core.units.LengthUnit;

/**
 * The plan of a space, cut at breast height and seen from above; or the ceiling plan, seen as in a
 * mirror on the floor: what hangs, and what is fixed above the cut.
 */
final class PlanBoard {
  /** Seen from below, x to the right all the same. */
  private static final Eye MIRROR = new Eye(new Vec(1, 0, 0), new Vec(0, 0, 1), new Vec(0, -1, 0));

  /** Edges shorter than this on paper only blacken it, millimetres. */
  private static final double SHORT = 0.5;

  /** Less than this is not seen, m². */
  private static final double LEAST = Tolerance.FINE;

  private static final String SOLID = "#8F8A83";
  private static final String WHITE = "#FFFFFF";

  private final Space space;
  private final LengthUnit unit;
  private final boolean ceiling;
  private final Lines lines;
  private final SheetNumbers numbers;
  private final boolean numbered;
  private final Deadline deadline;
  private final Board board;
  private final SheetMeasures measures;
  private final Legend legend = new Legend();

  PlanBoard(
      Space space,
      LengthUnit unit,
      boolean ceiling,
      int scale,
      Lines lines,
      SheetNumbers numbers,
      boolean numbered,
      Deadline deadline) {
    this.space = space;
    this.unit = unit;
    this.ceiling = ceiling;
    this.lines = lines;
    this.numbers = numbers;
    this.numbered = numbered;
    this.deadline = deadline;
    this.board = new Board(scale);
    this.measures = new SheetMeasures(board);
  }

  Board draw(String name) {
    // rows of seats are no part of what is built from a plan
    ShellPlan whole = ShellPlan.of(space, name, unit);
    double[] e = whole.extent();
    ShellPlan plan =
        new ShellPlan(
            whole.inks().stream().filter(i -> i.style() != Ink.InkStyle.seat).toList(),
            whole.labels().stream().filter(l -> l.y() < e[3] + 0.01).toList(),
            whole.dimensions(),
            e);
    List<Ink> below = plan.inks().stream().filter(this::below).toList();
    // solid first, then what is in it
    below.stream().filter(i -> i.style() == Ink.InkStyle.cut).forEach(this::ink);
    measures.avoid(board.drawCut());
    below.stream().filter(i -> i.style() != Ink.InkStyle.cut).forEach(this::ink);
    pieces();
    plan.inks().stream().filter(i -> !below(i)).forEach(this::ink);
    plan.labels().stream().filter(l -> !l.kind().equals("space")).forEach(this::label);
    measures.add(plan.dimensions());
    if (numbered) {
      mark();
      number();
    }
    plan.labels().stream().filter(l -> l.kind().equals("space")).forEach(this::label);
    return board;
  }

  /** Numbers and names of what is on it, and how many there are of each. */
  Legend legend() {
    return legend;
  }

  // ---- the shell

  private boolean below(Ink i) {
    return switch (i.style()) {
      case overhead, centre, setting -> false;
      default -> true;
    };
  }

  private void ink(Ink i) {
    boolean floor =
        i.style() == Ink.InkStyle.raised
            || i.style() == Ink.InkStyle.stair
            || i.style() == Ink.InkStyle.seat
            || i.style() == Ink.InkStyle.floor;
    if (ceiling && floor) {
      return;
    }
    switch (i.style()) {
      case floor -> {
        // paper
      }
      case cut -> board.cut(i.rings(), SOLID);
      case low -> board.area(i.rings(), WHITE, Pen.OUTLINE);
      case gap -> board.area(i.rings(), WHITE, Pen.THIN);
      case raised, stair -> {
        board.area(i.rings(), null, Pen.OUTLINE);
        i.lines().forEach(l -> board.line(l, Pen.EDGE));
      }
      default -> {
        Pen pen = pen(i.style());
        i.rings().forEach(r -> board.line(closed(r), pen));
        i.lines().forEach(l -> board.line(l, pen));
      }
    }
  }

  private static Pen pen(Ink.InkStyle style) {
    return switch (style) {
      case overhead -> Pen.OVERHEAD;
      case centre, setting -> Pen.CENTRE;
      case leaf -> Pen.OUTLINE;
      case swing -> Pen.THIN;
      default -> Pen.EDGE;
    };
  }

  static double[] closed(double[] ring) {
    double[] out = java.util.Arrays.copyOf(ring, ring.length + 2);
    out[ring.length] = ring[0];
    out[ring.length + 1] = ring[1];
    return out;
  }

  private void label(Label l) {
    double x = l.x() * board.k();
    double y = l.y() * board.k();
    switch (l.kind()) {
      case "wall" -> {
        board.add(new Mark.MarkArea(List.of(circle(x, y, 2.4)), WHITE, Pen.EDGE));
        board.text(l.text(), x, y + 1, Board.TEXT, Anchor.middle, true);
      }
      case "space" -> {
        String[] both = l.text().split("\n");
        place(both[0], x, y, Board.LARGE, both.length > 1 ? both[1] : "");
      }
      case "height" -> {
        if (!board.about(l.text(), x, y, Board.SMALL, 1e9)) {
          board.text(l.text(), x, y, Board.SMALL, Anchor.middle, false);
        }
      }
      default -> board.text(l.text(), x, y - 0.8, Board.SMALL, Anchor.valueOf(l.anchor()), false);
    }
  }

  /** The name of the space, clear of all numbers; smaller where there is little room. */
  private void place(String name, double x, double y, double size, String area) {
    for (double s = size; s >= Board.SMALL; s *= 0.8) {
      for (double down = 0; down < 60; down += 3) {
        for (double way : new double[] {down, -down}) {
          Mark.MarkText one = new Mark.MarkText(name, x, y + way, s, Anchor.middle, 0, true);
          Mark.MarkText two =
              new Mark.MarkText(area, x, y + way + s, s * 0.6, Anchor.middle, 0, false);
          if (board.texts().free(TakenRoom.box(one)) && board.texts().free(TakenRoom.box(two))) {
            board.put(one);
            board.put(two);
            return;
          }
        }
      }
    }
  }

  static double[] circle(double x, double y, double r) {
    double[] ring = new double[64];
    for (int i = 0; i < 32; i++) {
      ring[2 * i] = x + r * Math.cos(Math.PI * i / 16);
      ring[2 * i + 1] = y + r * Math.sin(Math.PI * i / 16);
    }
    return ring;
  }

  // ---- pieces

  private boolean overhead(Piece p) {
    return space.shapes().low(p) > ShellPlan.CUT;
  }

  private boolean shown(Piece p) {
    return !ceiling || overhead(p) || space.article(p).mounting() == Mounting.HANGS;
  }

  /** What covers comes first: the highest of the plan, the lowest of the ceiling. */
  private List<Piece> order() {
    List<Piece> all = new ArrayList<>(space.pieces().stream().filter(this::shown).toList());
    Comparator<Piece> high = Comparator.comparingDouble(space.shapes()::high);
    all.sort(ceiling ? Comparator.comparingDouble(space.shapes()::low) : high.reversed());
    return all;
  }

  private void pieces() {
    Quadtree covered = new Quadtree();
    for (Piece p : order()) {
      deadline.check();
      LineDrawing drawing = drawn(p);
      Geometry foot = figure(drawing.outlines());
      Geometry outline = lines(drawing.outlines(), true);
      if (overhead(p) && !ceiling) {
        draw(outline, Pen.OVERHEAD);
        continue;
      }
      Geometry over = over(covered, foot);
      if (over != null && !shows(foot, over)) {
        // it covers nothing either: however many are in one place, one of them is looked at
        draw(outline, Pen.HIDDEN);
        continue;
      }
      Geometry edges = lines(drawing.lines(), false);
      if (over == null) {
        draw(outline, Pen.OUTLINE);
        draw(edges, Pen.DETAIL);
      } else {
        draw(OverlayNGRobust.overlay(outline, over, OverlayNG.DIFFERENCE), Pen.OUTLINE);
        draw(OverlayNGRobust.overlay(edges, over, OverlayNG.DIFFERENCE), Pen.DETAIL);
        draw(OverlayNGRobust.overlay(outline, over, OverlayNG.INTERSECTION), Pen.HIDDEN);
      }
      covered.insert(foot.getEnvelopeInternal(), foot);
    }
  }

  /** What lies over a foot already, or null. */
  private static Geometry over(Quadtree covered, Geometry foot) {
    @SuppressWarnings("unchecked")
    List<Geometry> near = covered.query(foot.getEnvelopeInternal());
    List<Geometry> meets = near.stream().filter(g -> g.intersects(foot)).toList();
    return meets.isEmpty() ? null : UnaryUnionOp.union(meets);
  }

  private static boolean shows(Geometry foot, Geometry over) {
    return OverlayNGRobust.overlay(foot, over, OverlayNG.DIFFERENCE).getArea() > LEAST;
  }

  /** What outlines enclose: rings within others are holes. */
  private static Geometry figure(List<double[]> rings) {
    Geometry all = TakenRoom.PLANE.createPolygon();
    for (double[] r : rings) {
      Geometry ring = Board.figure(r);
      all = all.isEmpty() ? ring : OverlayNGRobust.overlay(all, ring, OverlayNG.SYMDIFFERENCE);
    }
    return all;
  }

  /** The lines of a piece where it stands. */
  private LineDrawing drawn(Piece p) {
    Eye eye = ceiling ? MIRROR : Eye.PLAN;
    boolean upright = p.lean().by() == 0;
    LineDrawing own = lines.lines(p.shape(), upright ? eye : eye.within(p.pose()));
    Pose pose = upright ? Pose.of(p.at(), p.turn()) : Pose.of(p.at(), 0);
    return new LineDrawing(moved(own.outlines(), pose), moved(own.lines(), pose));
  }

  private static List<double[]> moved(List<double[]> all, Pose pose) {
    List<double[]> out = new ArrayList<>(all.size());
    for (double[] xy : all) {
      double[] to = new double[xy.length];
      for (int i = 0; i < xy.length; i += 2) {
        Vec v = pose.apply(new Vec(xy[i], 0, xy[i + 1]));
        to[i] = v.x();
        to[i + 1] = v.z();
      }
      out.add(to);
    }
    return out;
  }

  private static Geometry lines(List<double[]> all, boolean rings) {
    List<LineString> out = new ArrayList<>();
    for (double[] xy : all) {
      double[] own = rings ? closed(xy) : xy;
      Coordinate[] c = new Coordinate[own.length / 2];
      for (int i = 0; i < c.length; i++) {
        c[i] = new Coordinate(own[2 * i], own[2 * i + 1]);
      }
      out.add(TakenRoom.PLANE.createLineString(c));
    }
    return TakenRoom.PLANE.createMultiLineString(out.toArray(LineString[]::new));
  }

  private void draw(Geometry g, Pen pen) {
    double least = pen == Pen.DETAIL ? SHORT / board.k() : 0;
    for (int i = 0; i < g.getNumGeometries(); i++) {
      if (g.getGeometryN(i) instanceof LineString l && !l.isEmpty() && l.getLength() >= least) {
        double[] xy = new double[2 * l.getNumPoints()];
        for (int k = 0; k < l.getNumPoints(); k++) {
          xy[2 * k] = l.getCoordinateN(k).x;
          xy[2 * k + 1] = l.getCoordinateN(k).y;
        }
        board.line(xy, pen);
      }
    }
  }

  /** Doors and windows have marks of their own, outside their walls. */
  private void mark() {
    for (PartSchedule.OpeningRow r : PartSchedule.openings(space)) {
      Opening o = r.opening();
      String opens = r.hand() + (r.hand().isEmpty() || r.opens().isEmpty() ? "" : ", ") + r.opens();
      legend.mark(
          r.mark(), r.name() + (opens.isEmpty() ? "" : ", " + opens), PartSchedule.size(o, unit));
      Wall w = space.shell().wall(o.wall());
      Spot at = w.spot(o.from() + o.width() / 2, -w.thickness());
      double k = board.k();
      if (!board.about(r.mark(), at.x() * k, at.z() * k, Board.SMALL, o.width() * k)) {
        legend.leftOut();
      }
    }
  }

  private void number() {
    for (Piece p : order()) {
      deadline.check();
      SheetNumbers.LegendEntry e = numbers.of(p);
      legend.add(e);
      Geometry foot = figure(drawn(p).outlines());
      Point in = foot.getInteriorPoint();
      Box box = p.pose().box(space.shapes().mesh(p).box());
      double room =
          Math.min(box.max().x() - box.min().x(), box.max().z() - box.min().z()) * board.k();
      String text = String.valueOf(e.number());
      if (ceiling) {
        text += "  +" + unit.text(space.shapes().low(p));
      }
      double x = in.getX() * board.k();
      double y = in.getY() * board.k();
      if (!board.about(text, x, y, Board.SMALL, room)) {
        legend.leftOut();
      }
    }
  }
}
