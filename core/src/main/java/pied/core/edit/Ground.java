package pied.core.edit;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import pied.core.solid.Box;
import pied.core.space.Flight;
import pied.core.space.Platform;
import pied.core.space.Shell;

/** Where on the plan the floor, what is raised on it, or the ceiling is another in two shells. */
final class Ground {
  private static final GeometryFactory PLANE = new GeometryFactory();

  private final boolean everywhere;
  private final List<PreparedGeometry> figures = new ArrayList<>();

  Ground(Shell before, Shell after) {
    double was = before.stage() == null ? 0 : before.stage().rake();
    double is = after.stage() == null ? 0 : after.stage().rake();
    everywhere = was != is;
    if (!before.outline().equals(after.outline())) {
      differs(before.within(), after.within());
    }
    if (!before.floor().equalsExact(after.floor())) {
      differs(before.floor(), after.floor());
    }
    for (Platform p : only(before.platforms(), after.platforms())) {
      add(Shell.figure(p.outline()));
    }
    for (Flight f : only(before.flights(), after.flights())) {
      add(Shell.figure(f.outline()));
    }
  }

  /** What is in one of two lists only. */
  private static <T> List<T> only(List<T> a, List<T> b) {
    List<T> all = new ArrayList<>(a);
    all.addAll(b);
    all.removeIf(t -> a.contains(t) && b.contains(t));
    return all;
  }

  private void differs(Geometry a, Geometry b) {
    add(OverlayNGRobust.overlay(a, b, OverlayNG.SYMDIFFERENCE));
  }

  private void add(Geometry figure) {
    if (!figure.isEmpty()) {
      figures.add(PreparedGeometryFactory.prepare(figure));
    }
  }

  /** Whether it is another somewhere under or over a box. */
  boolean isAnother(Box box) {
    if (everywhere) {
      return true;
    }
    Envelope e = new Envelope(box.min().x(), box.max().x(), box.min().z(), box.max().z());
    for (PreparedGeometry f : figures) {
      if (f.getGeometry().getEnvelopeInternal().intersects(e)
          && f.intersects(PLANE.toGeometry(e))) {
        return true;
      }
    }
    return false;
  }
}
