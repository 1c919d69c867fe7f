package pied.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class LighterTest {
  /** A sphere of radius 1 in rings, closed, wound outward. */
  private static Mesh sphere(int rings) {
    int around = 2 * rings;
    double[] xyz = new double[3 * ((rings - 1) * around + 2)];
    for (int r = 1; r < rings; r++) {
      for (int i = 0; i < around; i++) {
        double a = Math.PI * r / rings;
        double b = 2 * Math.PI * i / around;
        int v = 3 * ((r - 1) * around + i);
        xyz[v] = Math.sin(a) * Math.cos(b);
        xyz[v + 1] = Math.cos(a);
        xyz[v + 2] = -Math.sin(a) * Math.sin(b);
      }
    }
    int top = (rings - 1) * around;
    xyz[3 * top + 1] = 1;
    xyz[3 * top + 4] = -1;
    int[] c = new int[6 * around * (rings - 1)];
    int n = 0;
    for (int i = 0; i < around; i++) {
      int j = (i + 1) % around;
      for (int r = 0; r < rings - 2; r++) {
        int[] q = {r * around + i, (r + 1) * around + i, (r + 1) * around + j, r * around + j};
        for (int k : new int[] {0, 1, 2, 0, 2, 3}) {
          c[n++] = q[k];
        }
      }
      for (int k : new int[] {top, i, j, top + 1, top - around + j, top - around + i}) {
        c[n++] = k;
      }
    }
    return Mesh.of(xyz, c);
  }

  /** A flat plate of n × n squares, the left half one part and the right half another. */
  private static Mesh plate(int n) {
    double[] xyz = new double[3 * (n + 1) * (n + 1)];
    for (int i = 0; i <= n; i++) {
      for (int k = 0; k <= n; k++) {
        xyz[3 * (i * (n + 1) + k)] = (double) i / n;
        xyz[3 * (i * (n + 1) + k) + 2] = (double) k / n;
      }
    }
    int[] c = new int[6 * n * n];
    int[] part = new int[2 * n * n];
    for (int i = 0; i < n; i++) {
      for (int k = 0; k < n; k++) {
        int a = i * (n + 1) + k;
        int[] q = {a, a + 1, a + n + 2, a, a + n + 2, a + n + 1};
        System.arraycopy(q, 0, c, 6 * (i * n + k), 6);
        part[2 * (i * n + k)] = part[2 * (i * n + k) + 1] = i < n / 2 ? 0 : 1;
      }
    }
    return new Mesh(xyz, null, c, part, List.of("oak", "linen"));
  }

  private static double area(Mesh m, int part) {
    double sum = 0;
    for (int t = 0; t < m.triangles(); t++) {
      Vec a = m.vertex(m.corners()[3 * t]);
      Vec b = m.vertex(m.corners()[3 * t + 1]).minus(a);
      sum +=
          m.partOf()[t] == part
              ? b.cross(m.vertex(m.corners()[3 * t + 2]).minus(a)).length() / 2
              : 0;
    }
    return sum;
  }

  @Test
  void aSphereStaysClosedAndRound() {
    Mesh heavy = sphere(90); // 32,040 triangles
    Lighter.Lightened r = Lighter.of(heavy, 5000);
    assertThat(r.mesh().triangles()).isLessThanOrEqualTo(5000).isGreaterThan(4000);
    assertThat(heavy.isClosed()).isTrue();
    assertThat(r.mesh().isClosed()).isTrue();
    // 5,000 triangles of a sphere are about 0.08 long, so their middles lie 0.0005 to 0.002 inside
    assertThat(r.error()).isBetween(0.0002, 0.006);
    assertThat(r.mesh().volume()).isCloseTo(heavy.volume(), within(0.02));
    for (int v = 0; v < r.mesh().xyz().length / 3; v++) {
      assertThat(r.mesh().vertex(v).length()).isCloseTo(1, within(1e-12));
    }
  }

  @Test
  void aFlatPlateLosesNothing() {
    Lighter.Lightened r = Lighter.of(plate(60), 40);
    assertThat(r.mesh().triangles()).isLessThanOrEqualTo(40);
    assertThat(r.error()).isLessThan(1e-9);
    assertThat(area(r.mesh(), 0)).isCloseTo(0.5, within(1e-9));
    assertThat(area(r.mesh(), 1)).isCloseTo(0.5, within(1e-9));
    assertThat(r.mesh().box().max().x()).isEqualTo(1);
    assertThat(r.mesh().parts()).containsExactly("oak", "linen");
  }

  @Test
  void theErrorIsThatOfWhatIsLost() {
    // a box of 12 triangles cannot lose one without losing a corner
    Mesh box = Mesh.ofBox(Vec.ZERO, new Vec(1, 1, 1));
    Lighter.Lightened same = Lighter.of(box, 12);
    assertThat(same.mesh().triangles()).isEqualTo(12);
    assertThat(same.error()).isLessThan(1e-9);
    // a tower of height 0.2 on a plate stays, while the plate goes
    Mesh tower =
        Mesh.join(List.of(plate(20), Mesh.ofBox(new Vec(0.41, 0, 0.41), new Vec(0.61, 0.2, 0.61))));
    Lighter.Lightened kept = Lighter.of(tower, 24);
    assertThat(kept.mesh().box().max().y()).isEqualTo(0.2);
    assertThat(kept.error()).isLessThan(1e-9);
  }
}
