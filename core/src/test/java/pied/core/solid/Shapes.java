package pied.core.solid;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.joml.Quaterniond;

/** Plain bodies for tests. */
final class Shapes {
  private Shapes() {}

  static Mesh box(double x0, double y0, double z0, double x1, double y1, double z1) {
    return Mesh.ofBox(new Vec(x0, y0, z0), new Vec(x1, y1, z1));
  }

  /**
   * A solid of revolution about the vertical from (radius, height) pairs, bottom to top, closed.
   */
  static Mesh turned(int around, double... profile) {
    int rings = profile.length / 2;
    double[] p = new double[3 * (rings * around + 2)];
    for (int r = 0; r < rings; r++) {
      for (int i = 0; i < around; i++) {
        double a = 2 * Math.PI * i / around;
        int v = 3 * (r * around + i);
        p[v] = profile[2 * r] * Math.cos(a);
        p[v + 1] = profile[2 * r + 1];
        p[v + 2] = profile[2 * r] * Math.sin(a);
      }
    }
    int low = rings * around;
    p[3 * low + 1] = profile[1];
    p[3 * low + 4] = profile[profile.length - 1];
    List<Integer> c = new ArrayList<>();
    for (int i = 0; i < around; i++) {
      int j = (i + 1) % around;
      c.addAll(List.of(low, i, j));
      for (int r = 0; r + 1 < rings; r++) {
        int a = r * around;
        int b = a + around;
        c.addAll(List.of(a + i, b + i, a + j, a + j, b + i, b + j));
      }
      int t = (rings - 1) * around;
      c.addAll(List.of(low + 1, t + j, t + i));
    }
    return Mesh.of(p, c.stream().mapToInt(Integer::intValue).toArray());
  }

  static Mesh sphere(double r, int around) {
    int rings = around / 2;
    double[] profile = new double[2 * (rings - 1)];
    for (int i = 1; i < rings; i++) {
      double a = Math.PI * i / rings;
      profile[2 * i - 2] = r * Math.sin(a);
      profile[2 * i - 1] = -r * Math.cos(a);
    }
    Mesh m = turned(around, profile);
    double[] p = m.xyz().clone();
    p[p.length - 5] = -r;
    p[p.length - 2] = r;
    return Mesh.of(p, m.corners());
  }

  /** A stool: seat 0.40 square, 0.04 thick, its underside at 0.40, four legs 0.04 square. */
  static Mesh stool() {
    List<Mesh> parts = new ArrayList<>();
    parts.add(box(-0.2, 0.40, -0.2, 0.2, 0.44, 0.2));
    for (double x : new double[] {-0.2, 0.16}) {
      for (double z : new double[] {-0.2, 0.16}) {
        parts.add(box(x, 0, z, x + 0.04, 0.40, z + 0.04));
      }
    }
    return Mesh.join(parts);
  }

  /** A tray 0.4 × 0.3, base 0.01 thick, with a rim 0.03 high and 0.01 wide. */
  static Mesh tray() {
    return Mesh.join(
        List.of(
            box(-0.2, 0, -0.15, 0.2, 0.01, 0.15),
            box(-0.2, 0.01, -0.15, -0.19, 0.03, 0.15),
            box(0.19, 0.01, -0.15, 0.2, 0.03, 0.15),
            box(-0.19, 0.01, -0.15, 0.19, 0.03, -0.14),
            box(-0.19, 0.01, 0.14, 0.19, 0.03, 0.15)));
  }

  /** A closed lump: a sphere with every vertex pulled in or out. */
  static Mesh lump(Random random, double size) {
    Mesh s = sphere(size, 8 + 2 * random.nextInt(5));
    double[] p = s.xyz().clone();
    for (int i = 0; i < p.length; i += 3) {
      double f = 0.5 + 0.7 * random.nextDouble();
      p[i] *= f;
      p[i + 1] *= f;
      p[i + 2] *= f;
    }
    return Mesh.of(p, s.corners());
  }

  static Mesh shuffled(Mesh m, Random random) {
    int n = m.triangles();
    int[] c = m.corners().clone();
    for (int i = n - 1; i > 0; i--) {
      int j = random.nextInt(i + 1);
      int turn = random.nextInt(3);
      int[] t = {c[3 * j], c[3 * j + 1], c[3 * j + 2]};
      System.arraycopy(c, 3 * i, c, 3 * j, 3);
      for (int k = 0; k < 3; k++) {
        c[3 * i + k] = t[(k + turn) % 3];
      }
    }
    return Mesh.of(m.xyz(), c);
  }

  static Vec direction(Random r) {
    return new Vec(r.nextGaussian(), r.nextGaussian(), r.nextGaussian()).unit();
  }

  static Quaterniond rotation(Random r) {
    return new Quaterniond(r.nextGaussian(), r.nextGaussian(), r.nextGaussian(), r.nextGaussian())
        .normalize();
  }
}
