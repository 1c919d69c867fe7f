package pied.core.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.algorithm.ConvexHull;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import pied.core.piece.Piece;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/**
 * A space drawn so small that only the outlines of its pieces count: the figures they would leave
 * if they stood in snow, without hollows.
 *
 * @param inks the bare space
 * @param figures rings x, z, x, z…, metres, from the lowest to the highest
 * @param extent least and greatest x and z
 */
public record SpaceCard(List<Ink> inks, List<double[]> figures, double[] extent) {
  private static final GeometryFactory PLANE = new GeometryFactory();

  /** Draws it; costs a look at every point of every piece. */
  public static SpaceCard of(Space space) {
    ShellPlan plan = ShellPlan.of(space, "", LengthUnit.M);
    List<double[]> figures =
        space.pieces().stream()
            .sorted(Comparator.comparingDouble(p -> p.at().y() + p.size().height()))
            .map(p -> figure(space, p))
            .toList();
    return new SpaceCard(plan.inks(), figures, plan.extent());
  }

  private static double[] figure(Space space, Piece p) {
    Mesh mesh = space.shapes().mesh(p);
    int n = mesh.xyz().length / 3;
    List<Coordinate> points = new ArrayList<>(n);
    for (int i = 0; i < n; i++) {
      Vec v = p.pose().apply(mesh.vertex(i));
      points.add(new Coordinate(v.x(), v.z()));
    }
    Geometry hull = new ConvexHull(points.toArray(Coordinate[]::new), PLANE).getConvexHull();
    Coordinate[] ring = hull.getCoordinates();
    double[] out = new double[2 * Math.max(0, ring.length - 1)];
    for (int i = 0; i + 1 < ring.length; i++) {
      out[2 * i] = Math.rint(ring[i].x * 1e3) / 1e3;
      out[2 * i + 1] = Math.rint(ring[i].y * 1e3) / 1e3;
    }
    return out;
  }
}
