package pied.core.solid;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import pied.core.Nullable;
import pied.core.Tolerance;

/** Points and triangles of one part under construction; shading is worked out at the end. */
public final class MeshMaker {
  /** Faces that meet more gently than this are shaded as one curve, degrees. */
  private static final double CREASE = Math.cos(Math.toRadians(38));

  private final List<Vec> points = new ArrayList<>();
  private final List<int[]> faces = new ArrayList<>();
  private final List<float[]> pictured = new ArrayList<>();

  public int point(double x, double y, double z) {
    points.add(new Vec(x, y, z));
    return points.size() - 1;
  }

  public int point(Vec p) {
    points.add(p);
    return points.size() - 1;
  }

  public void triangle(int a, int b, int c) {
    if (a != b && b != c && c != a) {
      faces.add(new int[] {a, b, c});
    }
  }

  /**
   * A triangle with a picture on it; then all of them have one.
   *
   * @param uv where its corners are on the picture, two numbers each
   */
  public void triangle(int a, int b, int c, float[] uv) {
    int before = faces.size();
    triangle(a, b, c);
    if (faces.size() > before) {
      pictured.add(uv);
    }
  }

  /** Whether nothing has been made yet. */
  public boolean empty() {
    return faces.isEmpty();
  }

  /** Four corners, counter-clockwise seen from outside. */
  public void quad(int a, int b, int c, int d) {
    triangle(a, b, c);
    triangle(a, c, d);
  }

  /**
   * A closed skin over rings of equally many points, with flat ends; rings run along the outside.
   */
  public void skin(List<int[]> rings, boolean closeEnds) {
    for (int r = 0; r + 1 < rings.size(); r++) {
      int[] a = rings.get(r);
      int[] b = rings.get(r + 1);
      for (int i = 0; i < a.length; i++) {
        int j = (i + 1) % a.length;
        quad(a[i], a[j], b[j], b[i]);
      }
    }
    if (closeEnds) {
      fan(rings.get(0), true);
      fan(rings.get(rings.size() - 1), false);
    }
  }

  private void fan(int[] ring, boolean backwards) {
    for (int i = 1; i + 1 < ring.length; i++) {
      if (backwards) {
        triangle(ring[0], ring[i + 1], ring[i]);
      } else {
        triangle(ring[0], ring[i], ring[i + 1]);
      }
    }
  }

  /** The mesh, with normals smoothed up to the crease and triangles of no area left out. */
  public Mesh mesh(String finish) {
    Mesh m = meshOfAny(finish);
    if (m == null) {
      throw new IllegalArgumentException("A mesh needs a triangle with an area");
    }
    return m;
  }

  /** The same; null where nothing with an area is left. */
  public @Nullable Mesh meshOfAny(String finish) {
    int[] same = weld();
    List<int[]> kept = new ArrayList<>();
    List<Vec> normals = new ArrayList<>();
    float[] uv = pictured.isEmpty() ? null : new float[6 * faces.size()];
    for (int i = 0; i < faces.size(); i++) {
      int[] f = faces.get(i);
      int a = same[f[0]];
      int b = same[f[1]];
      int c = same[f[2]];
      if (a == b || b == c || c == a) {
        continue;
      }
      Vec n = points.get(b).minus(points.get(a)).cross(points.get(c).minus(points.get(a)));
      if (uv != null) {
        System.arraycopy(pictured.get(i), 0, uv, 6 * kept.size(), 6);
      }
      kept.add(new int[] {a, b, c});
      normals.add(n);
    }
    return kept.isEmpty() ? null : shaded(kept, normals, uv, finish);
  }

  /** A corner for every way in which a point is shaded by the faces about it. */
  private Mesh shaded(List<int[]> kept, List<Vec> normals, @Nullable float[] uv, String finish) {
    Map<Integer, List<Integer>> around = around(kept);
    record Shaded(int point, int nx, int ny, int nz) {}
    Map<Shaded, Integer> vertices = new HashMap<>();
    List<Vec> place = new ArrayList<>();
    List<Vec> shade = new ArrayList<>();
    int[] corners = new int[3 * kept.size()];
    for (int t = 0; t < kept.size(); t++) {
      for (int k = 0; k < 3; k++) {
        int v = kept.get(t)[k];
        Vec n = smooth(normals.get(t), around.get(v), normals);
        Shaded key =
            new Shaded(
                v,
                (int) Math.round(n.x() * 500),
                (int) Math.round(n.y() * 500),
                (int) Math.round(n.z() * 500));
        Integer at = vertices.get(key);
        if (at == null) {
          at = place.size();
          vertices.put(key, at);
          place.add(points.get(v));
          shade.add(n);
        }
        corners[3 * t + k] = at;
      }
    }
    double[] xyz = flat(place);
    double[] n = flat(shade);
    float[] ns = new float[n.length];
    for (int i = 0; i < n.length; i++) {
      ns[i] = (float) n[i];
    }
    float[] places = uv == null ? null : Arrays.copyOf(uv, 2 * corners.length);
    return new Mesh(xyz, ns, corners, null, List.of(finish), places);
  }

  /** The faces about every point. */
  private static Map<Integer, List<Integer>> around(List<int[]> faces) {
    Map<Integer, List<Integer>> around = new HashMap<>();
    for (int t = 0; t < faces.size(); t++) {
      for (int v : faces.get(t)) {
        around.computeIfAbsent(v, k -> new ArrayList<>()).add(t);
      }
    }
    return around;
  }

  private static double[] flat(List<Vec> all) {
    double[] xyz = new double[3 * all.size()];
    for (int i = 0; i < all.size(); i++) {
      xyz[3 * i] = all.get(i).x();
      xyz[3 * i + 1] = all.get(i).y();
      xyz[3 * i + 2] = all.get(i).z();
    }
    return xyz;
  }

  private static Vec smooth(Vec own, List<Integer> neighbours, List<Vec> normals) {
    double length = own.length();
    if (length < Tolerance.SMALL) {
      return Vec.UP;
    }
    Vec unit = own.times(1 / length);
    Vec sum = Vec.ZERO;
    for (int t : neighbours) {
      Vec n = normals.get(t);
      double l = n.length();
      if (l > Tolerance.SMALL && n.dot(unit) / l > CREASE) {
        sum = sum.plus(n);
      }
    }
    return sum.unit();
  }

  private int[] weld() {
    record MeshPlace(long x, long y, long z) {}
    Map<MeshPlace, Integer> seen = new HashMap<>(2 * points.size());
    int[] same = new int[points.size()];
    for (int i = 0; i < same.length; i++) {
      Vec p = points.get(i);
      MeshPlace key =
          new MeshPlace(Math.round(p.x() * 1e7), Math.round(p.y() * 1e7), Math.round(p.z() * 1e7));
      Integer before = seen.putIfAbsent(key, i);
      same[i] = before == null ? i : before;
    }
    return same;
  }
}
