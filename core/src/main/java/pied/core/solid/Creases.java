package pied.core.solid;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The edges of a mesh where two of its faces meet. */
public final class Creases {
  /** Faces that meet at more than this angle have an edge one sees. */
  private static final double CREASE = Math.cos(Math.toRadians(32));

  /**
   * Of the faces at an edge: whether one looks toward the eye, one away, and their number is odd.
   */
  private static final int TOWARD = 1;

  private static final int AWAY = 2;
  private static final int ODD = 4;

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

  /**
   * Edges at which the surface turns away from an eye: between faces that look toward it and
   * others, and where it is open. Where bodies share an edge all their faces there count.
   *
   * @param facing a face looks toward the eye if it does by more than this: the cosine
   * @return the two ends of each
   */
  public static List<Vec[]> turning(Mesh mesh, Vec toEye, double facing) {
    int[] weld = mesh.welded();
    int[] c = mesh.corners();
    Map<Long, Integer> met = new LinkedHashMap<>();
    for (int t = 0; t < c.length; t += 3) {
      Vec a = mesh.vertex(c[t]);
      Vec n = mesh.vertex(c[t + 1]).minus(a).cross(mesh.vertex(c[t + 2]).minus(a));
      if (n.length() < 1e-14) {
        continue;
      }
      int side = n.unit().dot(toEye) > facing ? TOWARD : AWAY;
      for (int k = 0; k < 3; k++) {
        int p = weld[c[t + k]];
        int q = weld[c[t + (k + 1) % 3]];
        long key = ((long) Math.min(p, q) << 32) | Math.max(p, q);
        met.merge(key, side | ODD, (was, is) -> (was | side) ^ ODD);
      }
    }
    List<Vec[]> edges = new ArrayList<>();
    met.forEach(
        (key, is) -> {
          if ((is & ODD) != 0 || (is & TOWARD) != 0 && (is & AWAY) != 0) {
            edges.add(new Vec[] {mesh.vertex((int) (key >> 32)), mesh.vertex((int) (long) key)});
          }
        });
    return edges;
  }

  /** Those one sees wherever one stands. */
  public static List<Edge> sharp(Mesh mesh) {
    return all(mesh).stream().filter(Edge::sharp).toList();
  }
}
