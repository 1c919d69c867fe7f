package pied.core.drawing;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;
import pied.core.Tolerance;
import pied.core.solid.Box;
import pied.core.solid.Vec;
import pied.core.space.Bar;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/** Finds room on a plan for the name of the space, clear of what stands in it. */
final class SpaceLabel {
  private static final GeometryFactory PLANE = new GeometryFactory();

  private final Space space;
  private final Shell shell;
  private final String title;
  private final LengthUnit unit;

  SpaceLabel(Space space, String title, LengthUnit unit) {
    this.space = space;
    this.shell = space.shell();
    this.title = title;
    this.unit = unit;
  }

  /** The name goes where most room is left between the pieces. */
  Label find() {
    Geometry free = shell.within();
    PreparedGeometry walls = PreparedGeometryFactory.prepare(free);
    Envelope e = free.getEnvelopeInternal();
    List<Envelope> taken = new ArrayList<>();
    space
        .pieces()
        .forEach(
            p -> {
              var b = space.bodies().body(p.id()).box();
              taken.add(new Envelope(b.min().x(), b.max().x(), b.min().z(), b.max().z()));
            });
    for (Bar b : shell.bars()) {
      double h = b.length() / 2;
      taken.add(new Envelope(b.x() - h, b.x() + h, b.z() - 0.2, b.z() + 0.1));
    }
    double best = -1;
    Coordinate at = free.getInteriorPoint().getCoordinate();
    for (int i = 1; i < 24; i++) {
      for (int k = 1; k < 24; k++) {
        Coordinate c =
            new Coordinate(
                e.getMinX() + e.getWidth() * i / 24, e.getMinY() + e.getHeight() * k / 24);
        if (best > 0 && crowded(c, best)) {
          continue;
        }
        double room = room(walls, taken, c, best);
        if (room > best + Tolerance.FINE) {
          best = room;
          at = c;
        }
      }
    }
    double wide = 4 * Math.max(best, 0.01);
    String text = title + "\n" + unit.area(shell.area());
    return new Label("space", text, at.x, at.y, "middle", wide);
  }

  /** Whether a piece is within so much room about a point. */
  private boolean crowded(Coordinate c, double room) {
    Box box =
        new Box(
            new Vec(c.x - 2 * room, 0, c.y - room),
            new Vec(c.x + 2 * room, shell.height(), c.y + room));
    return space.bodies().any(box, b -> space.has(b.id()));
  }

  /**
   * How much room there is for a line of text about a point: half the height of the free space,
   * which is to be twice as wide.
   *
   * @param least less is of no interest
   */
  private static double room(
      PreparedGeometry walls, List<Envelope> taken, Coordinate c, double least) {
    double room = 2;
    for (Envelope t : taken) {
      double dx = Math.max(0, Math.max(t.getMinX() - c.x, c.x - t.getMaxX()));
      double dz = Math.max(0, Math.max(t.getMinY() - c.y, c.y - t.getMaxY()));
      room = Math.min(room, Math.max(dx / 2, dz));
      if (room <= least) {
        return least;
      }
    }
    double fits = 0;
    for (int i = 0; i < 7; i++) {
      double r = (fits + room) / 2;
      Envelope box = new Envelope(c.x - 2 * r, c.x + 2 * r, c.y - r, c.y + r);
      if (walls.covers(PLANE.toGeometry(box))) {
        fits = r;
      } else {
        room = r;
      }
    }
    return fits;
  }
}
