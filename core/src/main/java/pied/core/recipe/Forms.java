package pied.core.recipe;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import pied.core.Tolerance;
import pied.core.solid.MeshMaker;
import pied.core.solid.Prism;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/** The forms recipes are made of. Each is a closed skin; lengths in metres. */
final class Forms {
  private static final GeometryFactory PLANE = new GeometryFactory();

  private Forms() {}

  /** A board between two corners, its edges eased (cut at 45°) by so much. */
  static MeshMaker board(Vec a, Vec b, double ease) {
    double e =
        Math.min(ease, 0.45 * Math.min(b.x() - a.x(), Math.min(b.y() - a.y(), b.z() - a.z())));
    return e <= Tolerance.FINE ? sharp(a, b) : eased(a, b, e);
  }

  private static MeshMaker sharp(Vec a, Vec b) {
    MeshMaker s = new MeshMaker();
    int[] v = new int[8];
    for (int i = 0; i < 8; i++) {
      v[i] =
          s.point(
              (i & 1) == 0 ? a.x() : b.x(),
              (i & 2) == 0 ? a.y() : b.y(),
              (i & 4) == 0 ? a.z() : b.z());
    }
    s.quad(v[0], v[4], v[6], v[2]);
    s.quad(v[1], v[3], v[7], v[5]);
    s.quad(v[0], v[1], v[5], v[4]);
    s.quad(v[2], v[6], v[7], v[3]);
    s.quad(v[0], v[2], v[3], v[1]);
    s.quad(v[4], v[5], v[7], v[6]);
    return s;
  }

  private static MeshMaker eased(Vec a, Vec b, double e) {
    MeshMaker s = new MeshMaker();
    int[][] v = corners(s, a, b, e);
    int[][] faces = {
      {0, 4, 6, 2}, {1, 3, 7, 5}, {0, 1, 5, 4}, {2, 6, 7, 3}, {0, 2, 3, 1}, {4, 5, 7, 6}
    };
    for (int f = 0; f < 6; f++) {
      int k = f / 2;
      int[] c = faces[f];
      s.quad(v[c[0]][k], v[c[1]][k], v[c[2]][k], v[c[3]][k]);
      for (int i = 0; i < 4; i++) {
        int p = c[i];
        int q = c[(i + 1) % 4];
        int other = 3 - k - Integer.numberOfTrailingZeros(p ^ q);
        if (k < other) { // every edge once
          s.quad(v[q][k], v[p][k], v[p][other], v[q][other]);
        }
      }
    }
    for (int i = 0; i < 8; i++) {
      boolean even = Integer.bitCount(i) % 2 == 0;
      s.triangle(v[i][0], v[i][even ? 2 : 1], v[i][even ? 1 : 2]);
    }
    return s;
  }

  /** Every corner of the box becomes three points, one in each of its faces. */
  private static int[][] corners(MeshMaker s, Vec a, Vec b, double e) {
    int[][] v = new int[8][3];
    for (int i = 0; i < 8; i++) {
      double[] out = {
        (i & 1) == 0 ? a.x() : b.x(), (i & 2) == 0 ? a.y() : b.y(), (i & 4) == 0 ? a.z() : b.z()
      };
      for (int k = 0; k < 3; k++) {
        double[] p = out.clone();
        for (int m = 0; m < 3; m++) {
          if (m != k) {
            p[m] += (i >> m & 1) == 0 ? e : -e;
          }
        }
        v[i][k] = s.point(p[0], p[1], p[2]);
      }
    }
    return v;
  }

  /**
   * A padded block between two corners: round corners, its top swelling by {@code crown}.
   *
   * @param n into how many strips each side is divided
   */
  static MeshMaker cushion(Vec a, Vec b, double corner, double crown, int n) {
    Vec half = b.minus(a).times(0.5);
    Vec mid = a.plus(b).times(0.5);
    double body = half.y() - crown / 2;
    double r = Math.min(corner, 0.999 * Math.min(half.x(), Math.min(body, half.z())));
    MeshMaker s = new MeshMaker();
    record FormPlace(long x, long y, long z) {}
    Map<FormPlace, Integer> at = new HashMap<>();
    for (int side = 0; side < 6; side++) {
      int[][] grid = new int[n + 1][n + 1];
      for (int i = 0; i <= n; i++) {
        for (int j = 0; j <= n; j++) {
          double[] p = new double[3];
          int k = side / 2;
          p[k] = side % 2 == 0 ? -1 : 1;
          p[(k + 1) % 3] = spread(i, n);
          p[(k + 2) % 3] = spread(j, n);
          FormPlace key =
              new FormPlace(Math.round(p[0] * 1e6), Math.round(p[1] * 1e6), Math.round(p[2] * 1e6));
          Integer v = at.get(key);
          if (v == null) {
            v = s.point(rounded(p, half, body, r, crown).plus(mid));
            at.put(key, v);
          }
          grid[i][j] = v;
        }
      }
      for (int i = 0; i < n; i++) {
        for (int j = 0; j < n; j++) {
          if (side % 2 == 1) {
            s.quad(grid[i][j], grid[i + 1][j], grid[i + 1][j + 1], grid[i][j + 1]);
          } else {
            s.quad(grid[i][j], grid[i][j + 1], grid[i + 1][j + 1], grid[i + 1][j]);
          }
        }
      }
    }
    return s;
  }

  /** Grid lines of a cushion stand close where it is round: -1..1. */
  private static double spread(int i, int n) {
    double t = 2.0 * i / n - 1;
    return Math.signum(t) * Math.pow(Math.abs(t), 0.6);
  }

  private static Vec rounded(double[] p, Vec half, double body, double r, double crown) {
    double[] h = {half.x(), body, half.z()};
    double[] inner = new double[3];
    double[] d = new double[3];
    double l = 0;
    for (int k = 0; k < 3; k++) {
      // points near the rim of a side go round the corner, the others stay on the flat
      double q = p[k] * h[k];
      inner[k] = Math.max(-(h[k] - r), Math.min(h[k] - r, q));
      d[k] = Math.abs(p[k]) == 1 ? p[k] * r : (q - inner[k]);
      l += d[k] * d[k];
    }
    l = Math.sqrt(l);
    double x = inner[0] + d[0] / l * r;
    double y = inner[1] + d[1] / l * r;
    double z = inner[2] + d[2] / l * r;
    double u = x / h[0];
    double w = z / h[2];
    double swell = Math.max(0, 1 - u * u) * Math.max(0, 1 - w * w);
    double up = (y + body) / (2 * body); // the underside stays flat, the top takes all of the crown
    return new Vec(x, y - crown / 2 + crown * swell * up, z);
  }

  /** A profile of (radius, height) pairs turned about the vertical through {@code at}. */
  static MeshMaker turned(Vec at, List<double[]> profile, int around) {
    MeshMaker s = new MeshMaker();
    List<int[]> rings = new ArrayList<>();
    for (double[] p : profile) {
      int[] ring = new int[around];
      if (p[0] < Tolerance.SIZE) {
        java.util.Arrays.fill(ring, s.point(at.x(), at.y() + p[1], at.z()));
      } else {
        for (int i = 0; i < around; i++) {
          double a = 2 * Math.PI * i / around;
          ring[i] =
              s.point(at.x() + p[0] * Math.sin(a), at.y() + p[1], at.z() + p[0] * Math.cos(a));
        }
      }
      rings.add(ring);
    }
    s.skin(rings, true);
    return s;
  }

  /**
   * A tube along a path.
   *
   * @param radii one a point of the path
   * @param flat thickness across the path's own plane as a share of the width, 1 for round
   */
  static MeshMaker tube(List<Vec> path, double[] radii, double flat, int around) {
    MeshMaker s = new MeshMaker();
    List<int[]> rings = new ArrayList<>();
    Vec side = null;
    for (int i = 0; i < path.size(); i++) {
      Vec before = i == 0 ? null : path.get(i).minus(path.get(i - 1)).unit();
      Vec after = i == path.size() - 1 ? null : path.get(i + 1).minus(path.get(i)).unit();
      Vec along = before == null ? after : after == null ? before : before.plus(after).unit();
      if (side == null) {
        side = Math.abs(along.y()) > 0.9 ? new Vec(1, 0, 0) : along.cross(Vec.UP).unit();
      }
      side = side.minus(along.times(side.dot(along))).unit(); // carried on without twisting
      Vec other = side.cross(along).unit();
      // at a bend the ring is as wide as the mitre asks
      double mitre = before == null || after == null ? 1 : 1 / Math.max(0.5, along.dot(after));
      Vec bend = before == null || after == null ? Vec.ZERO : after.minus(before);
      Vec out = bend.length() > Tolerance.SAME ? bend.unit() : Vec.ZERO;
      int[] ring = new int[around];
      for (int k = 0; k < around; k++) {
        double t = 2 * Math.PI * k / around;
        Vec r = side.times(Math.cos(t) * radii[i]).plus(other.times(Math.sin(t) * radii[i] * flat));
        r = r.plus(out.times(r.dot(out) * (mitre - 1)));
        ring[k] = s.point(path.get(i).plus(r));
      }
      rings.add(ring);
    }
    for (int i = 0; i < rings.size(); i++) { // rings run so that the skin faces outward
      int[] r = rings.get(i);
      int[] turned = new int[around];
      for (int k = 0; k < around; k++) {
        turned[k] = r[around - 1 - k];
      }
      rings.set(i, turned);
    }
    s.skin(rings, true);
    return s;
  }

  /**
   * An outline in the plane across {@code axis} (0 x, 1 y, 2 z), drawn out from one place to
   * another. The outline's two coordinates are the directions after the axis, in the order x, y, z,
   * x.
   */
  static MeshMaker extrude(
      List<double[]> outline, List<List<double[]>> holes, int axis, double from, double to) {
    Polygon polygon =
        PLANE.createPolygon(
            ring(outline), holes.stream().map(Forms::ring).toArray(LinearRing[]::new));
    if (!polygon.isValid()) {
      throw new Refusal("An extruded outline crosses itself");
    }
    MeshMaker s = new MeshMaker();
    Prism.add(s, polygon, (c, far) -> place(c, axis, far ? to : from));
    return s;
  }

  private static Vec place(Coordinate c, int axis, double at) {
    return switch (axis) {
      case 0 -> new Vec(at, c.x, c.y);
      case 1 -> new Vec(c.y, at, c.x);
      default -> new Vec(c.x, c.y, at);
    };
  }

  private static LinearRing ring(List<double[]> points) {
    Coordinate[] c = new Coordinate[points.size() + 1];
    for (int i = 0; i < points.size(); i++) {
      c[i] = new Coordinate(points.get(i)[0], points.get(i)[1]);
    }
    c[points.size()] = c[0].copy();
    return PLANE.createLinearRing(c);
  }

  /**
   * Cloth hanging in folds between x and y ranges, waving within the z range; closed.
   *
   * @param facets of a fold
   */
  static MeshMaker drape(Vec a, Vec b, int folds, int facets, double thick) {
    int n = Math.max(2, folds * facets);
    double mid = (a.z() + b.z()) / 2;
    double amplitude = (b.z() - a.z() - thick) / 2;
    MeshMaker s = new MeshMaker();
    List<int[]> rings = new ArrayList<>();
    for (int i = 0; i <= n; i++) {
      double t = (double) i / n;
      double x = a.x() + (b.x() - a.x()) * t;
      double phase = 2 * Math.PI * folds * t;
      double low = mid + amplitude * Math.sin(phase);
      double high = mid + 0.7 * amplitude * Math.sin(phase); // gathered above, falling wider
      rings.add(
          new int[] {
            s.point(x, a.y(), low - thick / 2),
            s.point(x, b.y(), high - thick / 2),
            s.point(x, b.y(), high + thick / 2),
            s.point(x, a.y(), low + thick / 2)
          });
    }
    s.skin(rings, true);
    return s;
  }

  /** A rounded line through points (Catmull–Rom), the points themselves kept. */
  static List<double[]> curved(List<double[]> points, int steps) {
    List<double[]> out = new ArrayList<>();
    for (int i = 0; i + 1 < points.size(); i++) {
      double[] p1 = points.get(i);
      double[] p2 = points.get(i + 1);
      double[] p0 = i == 0 ? p1 : points.get(i - 1);
      double[] p3 = i + 2 < points.size() ? points.get(i + 2) : p2;
      for (int k = 0; k < steps; k++) {
        double t = (double) k / steps;
        double[] q = new double[p1.length];
        for (int m = 0; m < q.length; m++) {
          q[m] =
              0.5
                  * (2 * p1[m]
                      + (p2[m] - p0[m]) * t
                      + (2 * p0[m] - 5 * p1[m] + 4 * p2[m] - p3[m]) * t * t
                      + (3 * p1[m] - p0[m] - 3 * p2[m] + p3[m]) * t * t * t);
        }
        out.add(q);
      }
    }
    out.add(points.get(points.size() - 1));
    return out;
  }
}
