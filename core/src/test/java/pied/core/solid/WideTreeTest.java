package pied.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import pied.core.Choices;

/** Rays through the tree against looking at every triangle. */
class WideTreeTest {
  private static final double[] AXIS = {0, 0, 1, -1, 0.3, -0.7};

  private final MeshTree.RayHit hit = new MeshTree.RayHit();

  /** The distance to the nearest triangle in doubles; infinite for none. */
  private static double nearest(Mesh m, Vec o, Vec d, double slack) {
    double best = Double.POSITIVE_INFINITY;
    for (int t = 0; t < m.triangles(); t++) {
      Vec a = m.vertex(m.corners()[3 * t]);
      Vec u = m.vertex(m.corners()[3 * t + 1]).minus(a);
      Vec v = m.vertex(m.corners()[3 * t + 2]).minus(a);
      Vec p = d.cross(v);
      double det = u.dot(p);
      if (det != 0) {
        Vec to = o.minus(a);
        double s = to.dot(p) / det;
        Vec q = to.cross(u);
        double r = d.dot(q) / det;
        double far = v.dot(q) / det;
        if (s >= -slack && r >= -slack && s + r <= 1 + slack && far >= 0) {
          best = Math.min(best, far);
        }
      }
    }
    return best;
  }

  /** What lies on an edge to within what floats can tell may be met or not. */
  private void agrees(Mesh m, Vec o, Vec d) {
    double surely = nearest(m, o, d, -1e-4);
    double perhaps = nearest(m, o, d, 1e-4);
    boolean met = m.tree().nearest(o.x(), o.y(), o.z(), d.x(), d.y(), d.z(), 1e9, hit);
    boolean any =
        m.tree().any(o.x(), o.y(), o.z(), d.x(), d.y(), d.z(), 1e9, new MeshTree.RayHit());
    if (Double.isFinite(surely)) {
      assertThat(met).isTrue();
      assertThat(any).isTrue();
      assertThat(hit.distance).isLessThan(surely + 1e-5 * (1 + surely));
    }
    if (met) {
      assertThat(hit.distance).isGreaterThan(perhaps - 1e-5 * (1 + perhaps));
      Vec at = o.along(d, hit.distance);
      Vec a = m.vertex(m.corners()[3 * hit.triangle]);
      Vec u = m.vertex(m.corners()[3 * hit.triangle + 1]).minus(a);
      Vec v = m.vertex(m.corners()[3 * hit.triangle + 2]).minus(a);
      Vec there = a.along(u, hit.u()).along(v, hit.v());
      assertThat(there.distance(at)).isLessThan(1e-3 * (1 + hit.distance));
    } else {
      assertThat(any).isFalse();
    }
  }

  @Property(tries = 60)
  void raysFromAnywhereAgree(@ForAll Choices r) {
    Mesh m = Shapes.lump(r, 0.2 + r.nextDouble());
    for (int i = 0; i < 40; i++) {
      double far = r.nextInt(3) == 0 ? 500 * r.nextDouble() : 3 * r.nextDouble();
      Vec o = Shapes.direction(r).times(far);
      Vec d =
          r.nextBoolean() ? Shapes.direction(r) : o.times(-1).plus(Shapes.direction(r).times(0.3));
      agrees(m, o, d.length() < 1e-6 ? Vec.UP : d.unit());
    }
  }

  /** Along walls and floors, where a direction has zeros and a box no thickness. */
  @Property(tries = 40)
  void raysAlongTheDirectionsOfARoomAgree(@ForAll Choices r) {
    Mesh m = r.nextBoolean() ? Shapes.stool() : Shapes.tray();
    for (int i = 0; i < 40; i++) {
      Vec d =
          new Vec(
              AXIS[r.nextInt(AXIS.length)],
              AXIS[r.nextInt(AXIS.length)],
              AXIS[r.nextInt(AXIS.length)]);
      Vec o =
          new Vec(r.nextDouble() - 0.5, r.nextDouble() - 0.2, r.nextDouble() - 0.5)
              .minus(d.times(r.nextInt(3)));
      if (d.length() > 0) {
        agrees(m, o, d.unit());
      }
    }
  }

  /** A million thin triangles along a line make a deep tree. */
  @Test
  void aDeepTreeIsWalkedToItsEnd() {
    int n = 3000;
    double[] p = new double[9 * n];
    int[] c = new int[3 * n];
    for (int i = 0; i < n; i++) {
      double x = Math.pow(1.02, i % 700) * 1e-4 + i * 1e-6;
      double[] t = {x, 0, 0, x, 1, 0, x, 0, 1};
      System.arraycopy(t, 0, p, 9 * i, 9);
      for (int k = 0; k < 3; k++) {
        c[3 * i + k] = 3 * i + k;
      }
    }
    Mesh m = Mesh.of(p, c);
    Random random = new Random(2);
    for (int i = 0; i < 200; i++) {
      double x = 120 * random.nextDouble();
      agrees(m, new Vec(x, 0.2, 0.3), new Vec(random.nextBoolean() ? 1 : -1, 0, 0));
    }
  }

  /** From a kilometre away floats tell a tenth of a millimetre; the distance is one of doubles. */
  @Test
  void fromFarAwayTheDistanceIsStillExact() {
    Mesh m = Shapes.box(-0.5, -0.5, -0.5, 0.5, 0.5, 0.5);
    boolean met = m.tree().nearest(1000.123456, 0.1, 0.2, -1, 0, 0, 1e9, hit);
    assertThat(met).isTrue();
    assertThat(hit.distance).isCloseTo(999.623456, within(1e-9));
    assertThat(m.tree().nearest(1000.123456, 0.1, 0.2, -1, 0, 0, 999.6, hit)).isFalse();
    assertThat(m.tree().nearest(1000.123456, 0.1, 0.2, 1, 0, 0, 1e9, hit)).isFalse();
  }
}
