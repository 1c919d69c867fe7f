package pied.core.drawing;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.algorithm.ConvexHull;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.PrecisionModel;
import org.locationtech.jts.geom.TopologyException;
import org.locationtech.jts.operation.overlayng.UnaryUnionNG;
import org.locationtech.jts.operation.polygonize.Polygonizer;
import org.locationtech.jts.simplify.TopologyPreservingSimplifier;
import pied.core.Tolerance;
import pied.core.solid.Creases;
import pied.core.solid.Mesh;
import pied.core.solid.MeshTree;
import pied.core.solid.Vec;

/**
 * A mesh drawn in lines, hidden lines removed.
 *
 * @param outlines closed rings x, y, x, y…, metres: the outline of what is seen, and its holes
 * @param lines segments x1, y1, x2, y2: the edges seen inside the outline
 */
public record LineDrawing(List<double[]> outlines, List<double[]> lines) {
  /** The two looks that every shape has. */
  public enum View {
    plan(Eye.PLAN),
    front(Eye.FRONT);

    private final Eye eye;

    View(Eye eye) {
      this.eye = eye;
    }

    public Eye eye() {
      return eye;
    }
  }

  /** How much room it takes, roughly. */
  public long bytes() {
    long numbers = outlines.stream().mapToLong(o -> o.length).sum();
    return 8 * (numbers + 4L * lines.size()) + 24L * (outlines.size() + lines.size());
  }

  /** Outlines keep to this grid, metres: a tenth of a millimetre. */
  private static final double GRID = Tolerance.HAIR;

  /** Where that fails, to a coarser one. */
  private static final double[] GRIDS = {GRID, 10 * GRID};

  /** A face looks toward the eye if it does by more than this: the cosine. */
  private static final double FACING = Tolerance.SAME;

  /** Beyond any mesh, metres. */
  private static final double FAR = 1e3;

  /** Draws a mesh. */
  public static LineDrawing of(Mesh mesh, View view) {
    return of(mesh, view.eye);
  }

  /** Draws a mesh as it is looked at. */
  public static LineDrawing of(Mesh mesh, Eye eye) {
    List<double[]> lines =
        SeenEdges.unhidden(mesh, eye).stream().map(e -> line(eye, e.from(), e.to())).toList();
    return new LineDrawing(outlines(mesh, eye), lines);
  }

  /** A segment of a drawing, to a tenth of a millimetre. */
  static double[] line(Eye eye, Vec p, Vec q) {
    return new double[] {fine(eye.u(p)), fine(eye.v(p)), fine(eye.u(q)), fine(eye.v(q))};
  }

  private static double fine(double v) {
    return Math.rint(v * 1e4) / 1e4 + 0.0;
  }

  /**
   * The outline of what is seen of a mesh, and its holes: closed rings.
   *
   * <p>Only edges at which the surface turns away from the eye can be of the outline. They are cut
   * at one another into cells, and a cell belongs to what is seen if a line of sight through it
   * meets the mesh. This costs what the outline costs, and not what all the triangles would.
   */
  static List<double[]> outlines(Mesh mesh, Eye view) {
    for (double grid : GRIDS) {
      try {
        return outlines(mesh, view, grid);
      } catch (TopologyException | IllegalArgumentException | IllegalStateException e) {
        continue; // lines that lie too near to each other to be told apart
      }
    }
    return hulls(mesh, view);
  }

  /** An outline that never fails: the hull of each part of a mesh. */
  static List<double[]> hulls(Mesh mesh, Eye view) {
    GeometryFactory plane = new GeometryFactory();
    List<double[]> rings = new ArrayList<>();
    for (int part = 0; part < mesh.parts().size(); part++) {
      List<Coordinate> points = new ArrayList<>();
      for (int i = 0; i < mesh.corners().length; i++) {
        if (mesh.partOf()[i / 3] == part) {
          Vec p = mesh.vertex(mesh.corners()[i]);
          points.add(new Coordinate(fine(view.u(p)), fine(view.v(p))));
        }
      }
      Geometry hull = new ConvexHull(points.toArray(Coordinate[]::new), plane).getConvexHull();
      if (hull instanceof Polygon polygon) {
        rings.add(ring(polygon.getExteriorRing()));
      }
    }
    return rings;
  }

  private static List<double[]> outlines(Mesh mesh, Eye view, double grid) {
    GeometryFactory plane = new GeometryFactory(new PrecisionModel(1 / grid));
    List<double[]> rings = new ArrayList<>();
    List<Geometry> edges = turning(mesh, view, plane);
    if (edges.isEmpty()) {
      return rings;
    }
    Polygonizer cells = new Polygonizer();
    cells.add(UnaryUnionNG.union(plane.buildGeometry(edges), plane.getPrecisionModel()));
    List<Geometry> seen = new ArrayList<>();
    for (Object o : cells.getPolygons()) {
      if (covered(mesh, view, ((Polygon) o).getInteriorPoint().getCoordinate())) {
        seen.add(((Polygon) o).norm());
      }
    }
    seen.sort(null); // cells come in no order; the same mesh is to have the same lines
    if (seen.isEmpty()) {
      return rings;
    }
    Geometry all = UnaryUnionNG.union(plane.buildGeometry(seen), plane.getPrecisionModel()).norm();
    all = TopologyPreservingSimplifier.simplify(all, 4 * grid);
    for (int i = 0; i < all.getNumGeometries(); i++) {
      if (all.getGeometryN(i) instanceof Polygon polygon) {
        rings.add(ring(polygon.getExteriorRing()));
        for (int k = 0; k < polygon.getNumInteriorRing(); k++) {
          if (Math.abs(
                  org.locationtech.jts.algorithm.Area.ofRing(
                      polygon.getInteriorRingN(k).getCoordinates()))
              > Tolerance.FINE) {
            rings.add(ring(polygon.getInteriorRingN(k)));
          }
        }
      }
    }
    return rings;
  }

  /** Edges between what faces the eye and what does not, and those of one face only. */
  private static List<Geometry> turning(Mesh mesh, Eye view, GeometryFactory plane) {
    List<Geometry> edges = new ArrayList<>();
    for (Vec[] e : Creases.turning(mesh, view.toEye(), FACING)) {
      Coordinate p = at(plane, view, e[0]);
      Coordinate q = at(plane, view, e[1]);
      if (!p.equals2D(q)) {
        edges.add(plane.createLineString(new Coordinate[] {p, q}));
      }
    }
    return edges;
  }

  /** Whether a line of sight through a point of the drawing meets the mesh. */
  private static boolean covered(Mesh mesh, Eye view, Coordinate c) {
    // exactly between two faces it may pass through neither
    return meets(mesh, view, c.x, c.y)
        || meets(mesh, view, c.x + 1.7e-5, c.y - 1.3e-5)
        || meets(mesh, view, c.x - 1.1e-5, c.y + 1.9e-5);
  }

  private static boolean meets(Mesh mesh, Eye view, double u, double v) {
    Vec from = view.right().times(u).plus(view.down().times(v)).plus(view.toEye().times(FAR));
    Vec d = view.toEye().times(-1);
    return mesh.tree()
        .any(from.x(), from.y(), from.z(), d.x(), d.y(), d.z(), 2 * FAR, new MeshTree.RayHit());
  }

  private static Coordinate at(GeometryFactory plane, Eye view, Vec p) {
    Coordinate c = new Coordinate(view.u(p), view.v(p));
    plane.getPrecisionModel().makePrecise(c);
    return c;
  }

  private static double[] ring(LinearRing ring) {
    Coordinate[] c = ring.getCoordinates();
    double[] out = new double[2 * (c.length - 1)];
    for (int i = 0; i + 1 < c.length; i++) {
      out[2 * i] = fine(c[i].x);
      out[2 * i + 1] = fine(c[i].y);
    }
    return out;
  }
}
