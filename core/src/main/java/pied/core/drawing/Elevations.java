package pied.core.drawing;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.BoundedCache;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/**
 * Draws elevations and sections. Keeps the edges of shapes it has drawn before. Safe for threads.
 */
public final class Elevations {
  /** Of the memory there is. */
  private static final double SHARE = 0.1;

  private record ElevationKey(int mesh, Eye eye) {}

  record ElevationShape(Mesh mesh, List<SeenEdges.SeenEdge> edges, List<double[]> outlines) {
    /** Roughly: an edge is two points and what it belongs to. */
    long bytes() {
      return mesh.bytes()
          + 120L * edges.size()
          + outlines.stream().mapToLong(o -> 16 + 8L * o.length).sum();
    }
  }

  private final Map<ElevationKey, ElevationShape> kept =
      BoundedCache.room(SHARE, ElevationShape::bytes);

  /**
   * Draws what is seen.
   *
   * @throws Refusal if there is no such wall, or the cut lies outside the space
   */
  public Elevation draw(Space space, Elevation.ElevationLook look, LengthUnit unit) {
    return new ElevationDraughtsman(this, space, look, unit).draw();
  }

  /**
   * What is on the sheet of an elevation or a section.
   *
   * @param zero the point of the space at 0, 0
   * @param pieces ids of those that are seen
   */
  public record ElevationSheet(Eye eye, Vec zero, Set<String> pieces) {}

  /**
   * The same without drawing it.
   *
   * @throws Refusal if there is no such wall, or the cut lies outside the space
   */
  public static ElevationSheet sheet(Space space, Elevation.ElevationLook look) {
    ElevationDraughtsman d = new ElevationDraughtsman(new Elevations(), space, look, LengthUnit.M);
    Set<String> pieces = new HashSet<>();
    d.seen().forEach(s -> pieces.add(s.body().id()));
    return new ElevationSheet(d.eye(), d.zero(), pieces);
  }

  /** The edges and outlines of a mesh before an eye. */
  ElevationShape shape(Mesh mesh, Eye eye) {
    ElevationKey key = new ElevationKey(System.identityHashCode(mesh), eye);
    ElevationShape shape = kept.get(key);
    if (shape == null || shape.mesh != mesh) {
      shape =
          new ElevationShape(mesh, SeenEdges.unhidden(mesh, eye), LineDrawing.outlines(mesh, eye));
      kept.put(key, shape);
    }
    return shape;
  }
}
