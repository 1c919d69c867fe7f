package pied.core.solid;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pied.core.BoundedCache;
import pied.core.Tolerance;

/** The edges of a mesh where two of its faces meet. */
public final class Creases {
  /** Faces that meet at more than this angle have an edge one sees. */
  private static final double CREASE = Math.cos(Math.toRadians(32));

  /** An edge with the normals of all faces at it. */
  private record CreaseMet(Vec from, Vec to, List<Vec> normals) {}

  private static final Map<Mesh, List<CreaseMet>> MET = BoundedCache.weakly();
  private static final Map<Mesh, List<CreaseEdge>> ALL = BoundedCache.weakly();

  private Creases() {}

  /**
   * An edge between two faces.
   *
   * @param n outward normal of one of them, of length 1
   * @param m that of the other
   */
  public record CreaseEdge(Vec from, Vec to, Vec n, Vec m) {
    /** Whether it is an edge one sees wherever one stands. */
    public boolean sharp() {
      return n.dot(m) < CREASE;
    }
  }

  /** All edges that two triangles share. */
  public static List<CreaseEdge> all(Mesh mesh) {
    return ALL.computeIfAbsent(mesh, Creases::found);
  }

  private static List<CreaseEdge> found(Mesh mesh) {
    List<CreaseEdge> edges = new ArrayList<>();
    for (CreaseMet m : MET.computeIfAbsent(mesh, Creases::met)) {
      for (int i = 1; i < m.normals.size(); i += 2) {
        edges.add(new CreaseEdge(m.from, m.to, m.normals.get(i), m.normals.get(i - 1)));
      }
    }
    return edges;
  }

  /**
   * Edges at which the surface turns away from an eye: between faces that look toward it and
   * others, and where it is open. Where bodies share an edge all their faces there count.
   *
   * @param facing a face looks toward the eye if it does by more than this: the cosine
   * @return the two ends of each
   */
  public static List<Vec[]> turning(Mesh mesh, Vec toEye, double facing) {
    List<Vec[]> edges = new ArrayList<>();
    for (CreaseMet m : MET.computeIfAbsent(mesh, Creases::met)) {
      boolean toward = false;
      boolean away = false;
      for (Vec n : m.normals) {
        boolean faces = n.dot(toEye) > facing;
        toward |= faces;
        away |= !faces;
      }
      if (m.normals.size() % 2 == 1 || toward && away) {
        edges.add(new Vec[] {m.from, m.to});
      }
    }
    return edges;
  }

  private static List<CreaseMet> met(Mesh mesh) {
    int[] weld = mesh.welded();
    int[] c = mesh.corners();
    Map<Long, CreaseMet> met = new LinkedHashMap<>();
    for (int t = 0; t < c.length; t += 3) {
      Vec a = mesh.vertex(c[t]);
      Vec n = mesh.vertex(c[t + 1]).minus(a).cross(mesh.vertex(c[t + 2]).minus(a));
      if (n.length() < Tolerance.FLAT) {
        continue;
      }
      Vec unit = n.unit();
      for (int k = 0; k < 3; k++) {
        int p = weld[c[t + k]];
        int q = weld[c[t + (k + 1) % 3]];
        long key = ((long) Math.min(p, q) << 32) | Math.max(p, q);
        met.computeIfAbsent(
                key, x -> new CreaseMet(mesh.vertex(p), mesh.vertex(q), new ArrayList<>(2)))
            .normals
            .add(unit);
      }
    }
    return List.copyOf(met.values());
  }

  /** Those one sees wherever one stands. */
  public static List<CreaseEdge> sharp(Mesh mesh) {
    return all(mesh).stream().filter(CreaseEdge::sharp).toList();
  }
}
