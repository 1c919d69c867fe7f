package pied.core.model;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.solid.Vec;
import pied.core.units.Message;
import pied.core.units.Refusal;
import pied.core.units.Text;

/** Gathers the triangles of a file by material; what is no triangle is left out and counted. */
final class Collector {
  /** Most triangles of a file: more is no piece of furniture. */
  static final int MOST = 5_000_000;

  /** What is farther off is nowhere, units. */
  private static final double FARTHEST = 1e12;

  /** Most points, of copies too: more is no piece of furniture either. */
  private static final long MOST_PLACES = 20_000_000;

  private static final int MOST_LOST = 5;

  /** Corners of a face that is cut well; and squares of corners of all of them together. */
  private static final int CUT = 2_000;

  private static final long CUTTING = 20_000_000;

  static final String GREY = "#CFC8BB";

  /** A list of numbers that grows. */
  private static final class Growing {
    double[] xyz = new double[768];
    int[] corners = new int[768];
    int points;
    int n;
    boolean shared;
    String colour = GREY;
    byte[] picture;
    float[] uv = new float[0];

    int point(double x, double y, double z) {
      if (3 * points + 3 > xyz.length) {
        xyz = Arrays.copyOf(xyz, xyz.length * 2);
      }
      xyz[3 * points] = x;
      xyz[3 * points + 1] = y;
      xyz[3 * points + 2] = z;
      return points++;
    }

    void triangle(int a, int b, int c) {
      if (n + 3 > corners.length) {
        corners = Arrays.copyOf(corners, corners.length * 2);
      }
      corners[n] = a;
      corners[n + 1] = b;
      corners[n + 2] = c;
      n += 3;
    }

    /** Leaves out the points that no triangle has. */
    void tidy() {
      int[] number = new int[points];
      for (int i = 0; i < n; i++) {
        number[corners[i]] = 1;
      }
      int left = 0;
      for (int v = 0; v < points; v++) {
        if (number[v] == 1) {
          System.arraycopy(xyz, 3 * v, xyz, 3 * left, 3);
          number[v] = left++;
        }
      }
      if (left < points) {
        for (int i = 0; i < n; i++) {
          corners[i] = number[corners[i]];
        }
        points = left;
      }
    }

    /** Where the last triangle is on the picture. */
    void at(float[] six) {
      if (2 * n > uv.length) {
        uv = Arrays.copyOf(uv, Math.max(2 * n, 2 * uv.length));
      }
      System.arraycopy(six, 0, uv, 2 * n - 6, 6);
    }
  }

  private final Map<String, Growing> parts = new LinkedHashMap<>();
  private final Set<String> lost = new LinkedHashSet<>();
  private int total;
  private int skipped;
  private long places;
  private long cutting;

  private String lastName;
  private Growing last;

  private Growing part(String name) {
    if (last == null || !java.util.Objects.equals(name, lastName)) {
      lastName = name;
      boolean none = name == null || name.isBlank();
      last = parts.computeIfAbsent(none ? "body" : Text.clean(name), k -> new Growing());
    }
    return last;
  }

  void colour(String material, String colour) {
    part(material).colour = colour;
  }

  /** Puts a picture on a material: a PNG or JPEG file. */
  void picture(String material, byte[] file) {
    part(material).picture = file;
  }

  /** A picture is named, but did not come along or cannot be shown. */
  void lost(String picture) {
    if (lost.size() < MOST_LOST) {
      lost.add(Text.clean(picture.length() > 60 ? picture.substring(0, 60) + "…" : picture));
    }
  }

  /** Adds a triangle with corners in {@code p}: nine numbers. */
  void triangle(String material, double[] p) {
    triangle(material, p, null);
  }

  /**
   * Adds a triangle.
   *
   * @param uv six numbers: where its corners are on the picture; or null
   */
  void triangle(String material, double[] p, float[] uv) {
    if (!hasArea(p, 0, 3, 6)) {
      skipped++;
      return;
    }
    count();
    Growing g = part(material);
    int a = g.point(p[0], p[1], p[2]);
    g.point(p[3], p[4], p[5]);
    g.point(p[6], p[7], p[8]);
    g.triangle(a, a + 1, a + 2);
    if (uv != null) {
      g.at(uv);
    }
  }

  private void count() {
    if (++total > MOST) {
      throw new Refusal(
          "The file has more than {} million triangles; that is too heavy.", MOST / 1_000_000);
    }
  }

  /** Whether three points, each three numbers from an index on, are somewhere and not in a line. */
  private static boolean hasArea(double[] p, int a, int b, int c) {
    double ux = p[b] - p[a];
    double uy = p[b + 1] - p[a + 1];
    double uz = p[b + 2] - p[a + 2];
    double vx = p[c] - p[a];
    double vy = p[c + 1] - p[a + 1];
    double vz = p[c + 2] - p[a + 2];
    double nx = uy * vz - uz * vy;
    double ny = uz * vx - ux * vz;
    double nz = ux * vy - uy * vx;
    double longest = Math.max(ux * ux + uy * uy + uz * uz, vx * vx + vy * vy + vz * vz);
    // what is not a number or endless compares as false
    return nx * nx + ny * ny + nz * nz > Tolerance.FLAT_SQUARED * longest * longest
        && bounded(p, a)
        && bounded(p, b)
        && bounded(p, c);
  }

  private static boolean bounded(double[] p, int i) {
    return Math.abs(p[i]) <= FARTHEST
        && Math.abs(p[i + 1]) <= FARTHEST
        && Math.abs(p[i + 2]) <= FARTHEST;
  }

  /** Adds points that triangles share; the number of the first. */
  int points(String material, double[] xyz) {
    places += xyz.length / 3;
    if (places > MOST_PLACES) {
      throw new Refusal(
          "The file has more than {} million points; that is too heavy.", MOST_PLACES / 1_000_000);
    }
    Growing g = part(material);
    int first = g.points;
    int needed = 3 * first + xyz.length;
    if (needed > g.xyz.length) {
      g.xyz = Arrays.copyOf(g.xyz, Math.max(needed, first == 0 ? 0 : 2 * g.xyz.length));
    }
    System.arraycopy(xyz, 0, g.xyz, 3 * first, xyz.length);
    g.points += xyz.length / 3;
    g.shared = true;
    return first;
  }

  /**
   * Adds a triangle between shared points.
   *
   * @param uv as of {@link #triangle}
   */
  void triangle(String material, int a, int b, int c, float[] uv) {
    Growing g = part(material);
    if (!hasArea(g.xyz, 3 * a, 3 * b, 3 * c)) {
      skipped++;
      return;
    }
    count();
    g.triangle(a, b, c);
    if (uv != null) {
      g.at(uv);
    }
  }

  /** Adds a face of three corners or more; it need not be convex. */
  void face(String material, List<Vec> corners) {
    face(material, corners, null);
  }

  /**
   * Adds a face of three corners or more; it need not be convex.
   *
   * @param uv where its corners are on the picture, two numbers each; or null
   */
  void face(String material, List<Vec> corners, @Nullable float[] uv) {
    int n = corners.size();
    if (n < 3 || !corners.stream().allMatch(Collector::bounded)) {
      skipped++;
      return;
    }
    // to cut one takes as long as the square of its corners
    boolean few = n <= CUT && cutting + (long) n * n <= CUTTING;
    if (n == 3 || n == 4 && FaceCut.isConvex(corners) || !few) {
      for (int i = 1; i + 1 < n; i++) {
        add(material, corners, uv, 0, i, i + 1);
      }
      return;
    }
    cutting += (long) n * n;
    for (int[] t : cut(corners, List.of())) {
      add(material, corners, uv, t[0], t[1], t[2]);
    }
  }

  /** Adds a face with holes in it; without pictures. */
  void faceWithHoles(String material, List<Vec> corners, List<List<Vec>> holes) {
    List<Vec> all = new ArrayList<>(corners);
    holes.forEach(all::addAll);
    long n = all.size();
    if (corners.size() < 3 || !all.stream().allMatch(Collector::bounded)) {
      skipped++;
      return;
    }
    cutting += n * n;
    if (cutting > CUTTING) {
      face(material, corners);
      return;
    }
    for (int[] t : cut(corners, holes)) {
      add(material, all, null, t[0], t[1], t[2]);
    }
  }

  private List<int[]> cut(List<Vec> corners, List<List<Vec>> holes) {
    List<int[]> all = FaceCut.of(corners, holes);
    skipped += all.isEmpty() ? 1 : 0;
    return all;
  }

  private void add(String material, List<Vec> c, @Nullable float[] uv, int i, int j, int k) {
    float[] six =
        uv == null
            ? null
            : new float[] {
              uv[2 * i], uv[2 * i + 1], uv[2 * j], uv[2 * j + 1], uv[2 * k], uv[2 * k + 1]
            };
    triangle(material, nine(c.get(i), c.get(j), c.get(k)), six);
  }

  private static boolean bounded(Vec v) {
    return Math.abs(v.x()) <= FARTHEST
        && Math.abs(v.y()) <= FARTHEST
        && Math.abs(v.z()) <= FARTHEST;
  }

  static double[] nine(Vec a, Vec b, Vec c) {
    return new double[] {a.x(), a.y(), a.z(), b.x(), b.y(), b.z(), c.x(), c.y(), c.z()};
  }

  /**
   * What was gathered.
   *
   * @throws Refusal if there is no triangle
   */
  Model model(Double unit, Character up) {
    List<Model.ModelPart> all = new ArrayList<>();
    parts.forEach(
        (name, g) -> {
          if (g.n > 0) {
            if (g.shared) {
              g.tidy();
            }
            all.add(
                new Model.ModelPart(
                    name,
                    g.colour,
                    Arrays.copyOf(g.xyz, 3 * g.points),
                    Arrays.copyOf(g.corners, g.n),
                    g.picture == null ? null : Arrays.copyOf(g.uv, 2 * g.n),
                    g.picture));
          }
        });
    if (all.isEmpty()) {
      throw new Refusal(
          skipped > 0
              ? Message.of(
                  "The file has no triangle that could be used; {} had no area or a corner"
                      + " nowhere.",
                  skipped)
              : Message.of("The file holds no model: there is not one face in it."));
    }
    return new Model(all, unit, up, skipped, List.copyOf(lost));
  }
}
