package pied.core.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import pied.core.Tolerance;
import pied.core.space.Auditorium;
import pied.core.space.Bar;
import pied.core.space.Column;
import pied.core.space.Flight;
import pied.core.space.Opening;
import pied.core.space.PartName;
import pied.core.space.Partition;
import pied.core.space.Platform;
import pied.core.space.Shell;
import pied.core.space.ShellBodies;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Stage;
import pied.core.space.Wall;
import pied.core.units.LengthUnit;

/**
 * The plan of a shell: what a drawing office draws of the bare room, cut at breast height.
 *
 * @param inks from the lowest to the highest
 * @param dimensions chains along the walls, outside
 * @param extent the least and greatest x and z of the floor with its walls
 */
public record ShellPlan(
    List<Ink> inks, List<Label> labels, List<Dimension> dimensions, double[] extent) {
  /** Height at which walls and openings are cut, metres: as usual in drawing offices. */
  public static final double CUT = 1.2;

  /** Draws the plan. */
  public static ShellPlan of(Space space, String title, LengthUnit unit) {
    return new PlanDraughtsman(space, title, unit).draw();
  }

  private static final class PlanDraughtsman {
    private static final GeometryFactory PLANE = new GeometryFactory();

    private final Space space;
    private final Shell shell;
    private final String title;
    private final LengthUnit unit;
    private final List<Ink> inks = new ArrayList<>();
    private final List<Label> labels = new ArrayList<>();
    private final List<Dimension> dimensions = new ArrayList<>();

    PlanDraughtsman(Space space, String title, LengthUnit unit) {
      this.space = space;
      this.shell = SeenShell.of(space);
      this.title = title;
      this.unit = unit;
    }

    ShellPlan draw() {
      inks.add(Ink.rings(Ink.InkStyle.floor, PartName.FLOOR.text(), rings(shell.floor())));
      seats();
      shell.platforms().stream()
          .sorted(Comparator.comparingDouble(Platform::height))
          .forEach(this::platform);
      shell.flights().forEach(this::flight);
      List<Wall> walls = shell.walls();
      walls.forEach(this::wall);
      shell.partitions().forEach(this::partition);
      shell
          .columns()
          .forEach(
              c -> inks.add(Ink.rings(Ink.InkStyle.cut, part(c), rings(ShellBodies.footprint(c)))));
      shell.bars().forEach(this::bar);
      stageLines();
      if (walls.size() <= 40) {
        walls.forEach(w -> new Chains(shell, unit, dimensions).along(w));
      }
      labels.add(new SpaceLabel(space, title, unit).find());
      Envelope e = shell.floor().getEnvelopeInternal();
      for (Wall w : walls) {
        e.expandToInclude(w.outerFrom().x(), w.outerFrom().z());
        e.expandToInclude(w.outerTo().x(), w.outerTo().z());
      }
      for (Opening o : shell.openings()) {
        if (o.opens() == Opening.OpeningWay.out) {
          Wall w = shell.wall(o.wall());
          Spot tip = w.spot(o.from(), -w.thickness() - o.width());
          e.expandToInclude(tip.x(), tip.z());
        }
      }
      return new ShellPlan(
          inks,
          labels,
          dimensions,
          new double[] {e.getMinX(), e.getMinY(), e.getMaxX(), e.getMaxY()});
    }

    private static String part(Column c) {
      return c.name().text();
    }

    // ---- floors

    private void platform(Platform p) {
      inks.add(Ink.rings(Ink.InkStyle.raised, p.name().text(), List.of(ring(p.outline()))));
      Spot at = labelSpot(p.outline());
      labels.add(new Label("height", "+" + unit.text(p.height()), at.x(), at.z()));
    }

    /** Near the corner at the back left, clear of what stands in the middle. */
    private static Spot labelSpot(List<Spot> figure) {
      Envelope e = new Envelope();
      figure.forEach(p -> e.expandToInclude(p.x(), p.z()));
      Spot near =
          new Spot(
              e.getMinX() + Math.min(0.3, e.getWidth() / 2),
              e.getMinY() + Math.min(0.16, e.getHeight() / 2));
      Polygon whole = polygon(figure);
      if (whole.contains(PLANE.createPoint(new Coordinate(near.x(), near.z())))) {
        return near;
      }
      Coordinate c = whole.getInteriorPoint().getCoordinate();
      return new Spot(c.x, c.y);
    }

    private void flight(Flight f) {
      String part = f.name().text();
      double h = f.width() / 2;
      List<double[]> lines = new ArrayList<>();
      if (f.kind() == Flight.FlightKind.steps) {
        for (int i = 1; i < f.count(); i++) {
          lines.add(segment(f.spot(i * f.going(), -h), f.spot(i * f.going(), h)));
        }
      }
      Spot foot = f.spot(f.run() - Math.min(0.08, f.run() / 6), 0);
      Spot head = f.spot(Math.min(0.06, f.run() / 6), 0);
      double arm = Math.min(0.12, f.run() / 4);
      lines.add(segment(foot, head));
      lines.add(segment(head, f.spot(f.down(head) + arm, -arm * 0.6)));
      lines.add(segment(head, f.spot(f.down(head) + arm, arm * 0.6)));
      inks.add(new Ink(Ink.InkStyle.stair, part, List.of(ring(f.outline())), lines));
    }

    private void seats() {
      Stage stage = shell.stage();
      if (stage == null || stage.seats() == null) {
        return;
      }
      double w = Auditorium.seats(stage) * Auditorium.SEAT / 2;
      List<double[]> rows = new ArrayList<>();
      for (int r = 0; r < stage.seats().rows(); r++) {
        double z = Auditorium.row(stage, r);
        rows.add(
            ring(
                List.of(
                    new Spot(-w, z - 0.24),
                    new Spot(w, z - 0.24),
                    new Spot(w, z + 0.24),
                    new Spot(-w, z + 0.24))));
      }
      inks.add(Ink.rings(Ink.InkStyle.seat, null, rows));
      labels.add(new Label("note", "row 1", -w, Auditorium.row(stage, 0) - 0.24, "start"));
    }

    private void stageLines() {
      if (shell.stage() == null) {
        return;
      }
      Envelope e = shell.floor().getEnvelopeInternal();
      inks.add(
          Ink.lines(
              Ink.InkStyle.centre,
              null,
              List.of(new double[] {0, e.getMinY(), 0, Math.max(0, e.getMaxY()) + 0.5})));
      inks.add(
          Ink.lines(
              Ink.InkStyle.setting, null, List.of(new double[] {e.getMinX(), 0, e.getMaxX(), 0})));
      double rake = shell.stage().rake();
      String raked =
          rake > 0 ? ", raked 1 in " + Math.round(1 / rake * 10) / 10.0 + " from here" : "";
      labels.add(
          new Label(
              "note", ("setting line" + raked).replace(".0 ", " "), e.getMaxX() - 0.1, 0, "end"));
      labels.add(new Label("note", "centre line", 0.08, e.getMinY() + 0.5, "start"));
    }

    // ---- walls

    private void wall(Wall w) {
      if (w.open()) {
        Spot at = w.spot(w.length() / 2, -0.14);
        labels.add(new Label("wall", w.name(), at.x(), at.z()));
        return;
      }
      solid(w, polygon(List.of(w.from(), w.to(), w.outerTo(), w.outerFrom())), Ink.InkStyle.cut);
      Spot at = w.spot(clear(w), -w.thickness() / 2);
      labels.add(new Label("wall", w.name(), at.x(), at.z()));
    }

    /** The middle of the longest stretch of a wall without an opening, metres along it. */
    private double clear(Wall w) {
      List<Opening> own = new ArrayList<>(shell.openings());
      own.removeIf(o -> !o.wall().equals(w.name()));
      own.sort(Comparator.comparingDouble(Opening::from));
      double at = w.length() / 2;
      double longest = 0;
      double from = 0;
      for (int i = 0; i <= own.size(); i++) {
        double to = i == own.size() ? w.length() : own.get(i).from();
        if (to - from > longest + Tolerance.FINE) {
          longest = to - from;
          at = (from + to) / 2;
        }
        from = i == own.size() ? to : Math.max(from, own.get(i).to());
      }
      return at;
    }

    private void partition(Partition p) {
      Wall w = p.face();
      Polygon figure = polygon(List.of(w.from(), w.to(), w.outerTo(), w.outerFrom()));
      solid(w, figure, p.height() < CUT ? Ink.InkStyle.low : Ink.InkStyle.cut);
    }

    private void solid(Wall w, Geometry figure, Ink.InkStyle style) {
      List<Opening> own = shell.openings().stream().filter(o -> o.wall().equals(w.name())).toList();
      for (Opening o : own) {
        if (isCut(o)) {
          double deep = o.kind() == Opening.OpeningKind.niche ? o.depth() : w.thickness() + 0.01;
          figure =
              figure.difference(
                  polygon(
                      List.of(
                          w.spot(o.from(), 0.01),
                          w.spot(o.to(), 0.01),
                          w.spot(o.to(), -deep),
                          w.spot(o.from(), -deep))));
        }
      }
      inks.add(Ink.rings(style, PartName.wall(w.name()).text(), rings(figure)));
      own.forEach(o -> opening(w, o));
    }

    private static boolean isCut(Opening o) {
      return o.sill() < CUT && o.head() > CUT;
    }

    private void opening(Wall w, Opening o) {
      String part = o.name().text();
      double t = o.kind() == Opening.OpeningKind.niche ? o.depth() : w.thickness();
      inks.add(
          Ink.rings(
              isCut(o) ? Ink.InkStyle.gap : Ink.InkStyle.overhead,
              part,
              List.of(
                  ring(
                      List.of(
                          w.spot(o.from(), 0),
                          w.spot(o.to(), 0),
                          w.spot(o.to(), -t),
                          w.spot(o.from(), -t))))));
      if (!isCut(o)) {
        return;
      }
      switch (o.kind()) {
        case window -> {
          List<double[]> lines = new ArrayList<>();
          for (double off : new double[] {0, -t * 0.4, -t * 0.6, -t}) {
            lines.add(segment(w.spot(o.from(), off), w.spot(o.to(), off)));
          }
          inks.add(Ink.lines(Ink.InkStyle.glass, part, lines));
        }
        case door -> leaf(w, o, part, o.hinge() == Opening.Hand.left, o.width());
        case doubleDoor -> {
          leaf(w, o, part, true, o.width() / 2);
          leaf(w, o, part, false, o.width() / 2);
        }
        case slidingDoor -> slides(w, o, part);
        default -> {
          // an opening or a niche is its outline
        }
      }
    }

    private void slides(Wall w, Opening o, String part) {
      double t = w.thickness();
      double a = o.from();
      double b = o.to();
      double lap = Math.min(0.04, o.width() / 8);
      double m = (a + b) / 2;
      inks.add(
          Ink.lines(
              Ink.InkStyle.leaf,
              part,
              List.of(
                  segment(w.spot(a, -t * 0.4), w.spot(m + lap, -t * 0.4)),
                  segment(w.spot(m - lap, -t * 0.6), w.spot(b, -t * 0.6)))));
    }

    /** A leaf standing open at a right angle, and the quarter of a circle on which it swings. */
    private void leaf(Wall w, Opening o, String part, boolean atFrom, double width) {
      boolean in = o.opens() == Opening.OpeningWay.in;
      double face = in ? 0 : -w.thickness();
      double hinge = atFrom ? o.from() : o.to();
      double way = atFrom ? 1 : -1;
      double side = in ? 1 : -1;
      inks.add(
          Ink.lines(
              Ink.InkStyle.leaf,
              part,
              List.of(segment(w.spot(hinge, face), w.spot(hinge, face + side * width)))));
      List<double[]> arc = new ArrayList<>();
      int n = 16;
      Spot before = w.spot(hinge, face + side * width);
      for (int i = 1; i <= n; i++) {
        double a = Math.PI / 2 * i / n;
        Spot next = w.spot(hinge + way * width * Math.sin(a), face + side * width * Math.cos(a));
        arc.add(segment(before, next));
        before = next;
      }
      inks.add(Ink.lines(Ink.InkStyle.swing, part, arc));
    }

    private void bar(Bar b) {
      double h = b.length() / 2;
      inks.add(
          Ink.rings(
              Ink.InkStyle.overhead,
              b.name().text(),
              List.of(
                  ring(
                      List.of(
                          new Spot(b.x() - h, b.z() - 0.05),
                          new Spot(b.x() + h, b.z() - 0.05),
                          new Spot(b.x() + h, b.z() + 0.05),
                          new Spot(b.x() - h, b.z() + 0.05))))));
      labels.add(
          new Label("note", b.id() + " at " + unit.text(b.trim()), b.x() + h, b.z() - 0.05, "end"));
    }

    // ---- help

    private static Polygon polygon(List<Spot> figure) {
      Coordinate[] c = new Coordinate[figure.size() + 1];
      for (int i = 0; i < figure.size(); i++) {
        c[i] = new Coordinate(figure.get(i).x(), figure.get(i).z());
      }
      c[figure.size()] = c[0].copy();
      return PLANE.createPolygon(c);
    }

    private static double[] ring(List<Spot> figure) {
      double[] out = new double[2 * figure.size()];
      for (int i = 0; i < figure.size(); i++) {
        out[2 * i] = figure.get(i).x();
        out[2 * i + 1] = figure.get(i).z();
      }
      return out;
    }

    private static double[] segment(Spot a, Spot b) {
      return new double[] {a.x(), a.z(), b.x(), b.z()};
    }
  }

  /** All rings of a figure, outer ones and holes. */
  static List<double[]> rings(Geometry figure) {
    List<double[]> rings = new ArrayList<>();
    for (int i = 0; i < figure.getNumGeometries(); i++) {
      if (figure.getGeometryN(i) instanceof Polygon p && !p.isEmpty()) {
        rings.add(ring(p.getExteriorRing().getCoordinates()));
        for (int k = 0; k < p.getNumInteriorRing(); k++) {
          rings.add(ring(p.getInteriorRingN(k).getCoordinates()));
        }
      }
    }
    return rings;
  }

  private static double[] ring(Coordinate[] closed) {
    double[] out = new double[2 * (closed.length - 1)];
    for (int i = 0; i + 1 < closed.length; i++) {
      out[2 * i] = closed[i].x;
      out[2 * i + 1] = closed[i].y;
    }
    return out;
  }
}
