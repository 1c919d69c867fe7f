package pied.core.solid;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The edges of a mesh where two of its faces meet. */
public final class Creases {
  /** Faces that meet at more than this angle have an edge one sees. */
  private static final double CREASE = Math.cos(Math.toRadians(32));

  private Creases() {}

  /**
   * An edge between two faces.
   *
   * @param n outward normal of one of them, of length 1
   * @param m that of the other
   */
  public record Edge(Vec from, Vec to, Vec n, Vec m) {
    /** Whether it is an edge one sees wherever one stands. */
    public boolean sharp() {
      return n.dot(m) < CREASE;
    }
  }

  /** All edges that two triangles share. */
  public static List<Edge> all(Mesh mesh) {
    int[] weld = mesh.welded();
    int[] c = mesh.corners();
    Map<Long, Vec> first = new HashMap<>();
    List<Edge> edges = new ArrayList<>();
    for (int t = 0; t < c.length; t += 3) {
      Vec a = mesh.vertex(c[t]);
      Vec n = mesh.vertex(c[t + 1]).minus(a).cross(mesh.vertex(c[t + 2]).minus(a));
      if (n.length() < 1e-14) {
        continue;
      }
      n = n.unit();
      for (int k = 0; k < 3; k++) {
        int p = weld[c[t + k]];
        int q = weld[c[t + (k + 1) % 3]];
        long key = ((long) Math.min(p, q) << 32) | Math.max(p, q);
        Vec other = first.remove(key);
        if (other == null) {
          first.put(key, n);
        } else {
          edges.add(new Edge(mesh.vertex(p), mesh.vertex(q), n, other));
        }
      }
    }
    return edges;
  }

  /** Those one sees wherever one stands. */
  public static List<Edge> sharp(Mesh mesh) {
    return all(mesh).stream().filter(Edge::sharp).toList();
  }
}
