package pied.core.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleFunction;
import java.util.function.Predicate;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import pied.core.material.Finish;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.PartName;
import pied.core.space.Shell;
import pied.core.space.ShellBodies;
import pied.core.space.Wall;

/** Joints on the walls one looks at squarely, where nothing hides them. */
final class WallHatching {
  private static final GeometryFactory PLANE = new GeometryFactory();

  /** What turns away from the eye by less than about a degree is looked at squarely. */
  private static final double SQUARELY = 0.9998;

  private final Shell shell;
  private final Eye eye;
  private final Vec zero;
  private final Envelope frame;

  WallHatching(Shell shell, Eye eye, Vec zero, Envelope frame) {
    this.shell = shell;
    this.eye = eye;
    this.zero = zero;
    this.frame = frame;
  }

  /**
   * The lines on all of them.
   *
   * @param cut what is nearer is taken away
   * @param there whether the body of a wall is drawn
   * @param nearer outlines in the drawing of what is nearer to the eye than a depth
   */
  List<Ink> inks(double cut, Predicate<String> there, DoubleFunction<List<double[]>> nearer) {
    Map<String, Finish> looks = ShellBodies.looks(shell);
    List<Ink> inks = new ArrayList<>();
    for (Wall w : shell.walls()) {
      String name = PartName.wall(w.name()).text();
      double depth = eye.toEye().dot(w.from().at(0));
      boolean squarely = w.inward().dot(eye.toEye()) > SQUARELY;
      Finish finish = looks.get(name);
      if (w.open() || !squarely || depth >= cut || !there.test(name)) {
        continue;
      }
      if (finish != null && Hatching.has(finish)) {
        List<double[]> lines = lines(w, finish, nearer.apply(depth));
        if (!lines.isEmpty()) {
          inks.add(Ink.lines(Ink.InkStyle.hatch, name, lines));
        }
      }
    }
    return inks;
  }

  private List<double[]> lines(Wall w, Finish finish, List<double[]> before) {
    Vec foot = ShellBodies.leftFoot(w);
    double right = eye.u(foot.minus(zero));
    double down = eye.v(foot);
    Geometry region = rectangle(0, -(w.height() - w.base()), w.length(), 0);
    Envelope in = new Envelope(frame);
    in.translate(-right, -down);
    region = OverlayNGRobust.overlay(region, PLANE.toGeometry(in), OverlayNG.INTERSECTION);
    for (Opening o : shell.openings()) {
      if (o.wall().equals(w.name())) {
        double from = eye.u(w.from().at(0).along(w.along(), o.from()).minus(zero)) - right;
        double to = eye.u(w.from().at(0).along(w.along(), o.to()).minus(zero)) - right;
        double low = -o.sill() - down;
        region =
            OverlayNGRobust.overlay(
                region,
                rectangle(Math.min(from, to), -o.head() - down, Math.max(from, to), low),
                OverlayNG.DIFFERENCE);
      }
    }
    List<Geometry> hiding = new ArrayList<>();
    for (double[] ring : before) {
      Geometry figure = figure(ring, right, down);
      if (figure.getEnvelopeInternal().intersects(region.getEnvelopeInternal())) {
        hiding.add(figure);
      }
    }
    if (!hiding.isEmpty()) {
      region = OverlayNGRobust.overlay(region, OverlayNGRobust.union(hiding), OverlayNG.DIFFERENCE);
    }
    List<double[]> lines = Hatching.of(finish, region);
    for (double[] l : lines) {
      l[0] += right;
      l[1] += down;
      l[2] += right;
      l[3] += down;
    }
    return lines;
  }

  private static Geometry rectangle(double x, double y, double toX, double toY) {
    return PLANE.toGeometry(new Envelope(x, toX, y, toY));
  }

  private static Geometry figure(double[] ring, double right, double down) {
    Coordinate[] c = new Coordinate[ring.length / 2 + 1];
    for (int i = 0; i < c.length; i++) {
      int k = 2 * (i % (ring.length / 2));
      c[i] = new Coordinate(ring[k] - right, ring[k + 1] - down);
    }
    return PLANE.createPolygon(c).buffer(0);
  }
}
