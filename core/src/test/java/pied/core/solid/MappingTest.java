package pied.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import pied.core.Rooms;
import pied.core.catalog.Article;
import pied.core.size.Size;

/** How the skin of a part is folded out: nothing stretched, nothing folded over, in metres. */
class MappingTest {
  /** Triangles smaller than this are slivers that nobody sees, m². */
  private static final double SEEN = 1e-8;

  static Stream<Article> articles() {
    return Rooms.SHAPES.catalog().all().stream().filter(a -> a.project() == null);
  }

  /** At its natural size, as small and as large as it comes. */
  private static List<Size> extremes(Article a) {
    List<Size> all = new ArrayList<>(List.of(a.size()));
    all.add(a.nearest(new Size(0.001, 0.001, 0.001)));
    all.add(a.nearest(new Size(50, 50, 50)));
    return all;
  }

  @ParameterizedTest
  @MethodSource("articles")
  void noPartOfAnyArticleIsStretchedOrFolded(Article article) {
    for (Size size : extremes(article)) {
      Mesh mesh = article.recipe().build(size);
      for (float[] uv : List.of(mesh.mapping().upright(), mesh.mapping().along())) {
        for (int t = 0; t < mesh.triangles(); t++) {
          double[] s = stretch(mesh, t, uv);
          if (s != null) {
            String where = article.id() + " " + size + ", triangle " + t + " of " + part(mesh, t);
            assertThat(s[0]).as("longest, " + where).isLessThan(1.2);
            assertThat(s[1]).as("shortest, " + where).isGreaterThan(1 / 1.2);
            assertThat(s[2]).as("not folded over, " + where).isPositive();
          }
        }
      }
    }
  }

  private static String part(Mesh mesh, int t) {
    return mesh.parts().get(mesh.partOf()[t]);
  }

  /**
   * By how much the lengths of a triangle grow at most and at least where it lies, and whether it
   * lies with its face up: the singular values and the sign of the map from its own plane.
   */
  private static double[] stretch(Mesh mesh, int t, float[] uv) {
    Vec a = mesh.vertex(mesh.corners()[3 * t]);
    Vec ab = mesh.vertex(mesh.corners()[3 * t + 1]).minus(a);
    Vec ac = mesh.vertex(mesh.corners()[3 * t + 2]).minus(a);
    double twice = ab.cross(ac).length();
    double longest = Math.max(ab.length(), Math.max(ac.length(), ac.minus(ab).length()));
    if (twice / 2 < SEEN || twice < 1e-3 * longest * longest) {
      return null; // a sliver: single precision says nothing of it
    }
    double x1 = ab.length();
    double x2 = ab.dot(ac) / x1;
    double y2 = twice / x1;
    double u1 = uv[6 * t + 2] - uv[6 * t];
    double v1 = -(uv[6 * t + 3] - uv[6 * t + 1]); // down in what is written
    double u2 = uv[6 * t + 4] - uv[6 * t];
    double v2 = -(uv[6 * t + 5] - uv[6 * t + 1]);
    double a11 = u1 / x1;
    double a21 = v1 / x1;
    double a12 = (u2 - x2 * a11) / y2;
    double a22 = (v2 - x2 * a21) / y2;
    double det = a11 * a22 - a12 * a21;
    double sum = a11 * a11 + a12 * a12 + a21 * a21 + a22 * a22;
    double root = Math.sqrt(Math.max(0, sum * sum / 4 - det * det));
    return new double[] {Math.sqrt(sum / 2 + root), Math.sqrt(Math.max(0, sum / 2 - root)), det};
  }

  @Test
  void aBoxLiesAsOneLooksAtItAndAlongItsLength() {
    // a plank 2 m wide, 0.1 high, 0.3 deep
    Mesh plank = Mesh.ofBox(new Vec(-1, 0, -0.15), new Vec(1, 0.1, 0.15));
    float[] up = plank.mapping().upright();
    for (int i = 0; i < plank.corners().length; i++) {
      Vec p = plank.vertex(plank.corners()[i]);
      if (normal(plank, i / 3).z() > 0.9) { // its front: to the right is x, down is -y
        assertThat(up[2 * i]).isCloseTo((float) p.x(), within(1e-6f));
        assertThat(up[2 * i + 1]).isCloseTo((float) -p.y(), within(1e-6f));
      }
      if (normal(plank, i / 3).y() > 0.9) { // its top: down is toward the front
        assertThat(up[2 * i]).isCloseTo((float) p.x(), within(1e-6f));
        assertThat(up[2 * i + 1]).isCloseTo((float) p.z(), within(1e-6f));
      }
    }
    // standing on end its wood runs upward: along is what was down
    Mesh post = Mesh.ofBox(new Vec(-0.05, 0, -0.05), new Vec(0.05, 2, 0.05));
    float[] along = post.mapping().along();
    for (int i = 0; i < post.corners().length; i++) {
      Vec p = post.vertex(post.corners()[i]);
      if (normal(post, i / 3).z() > 0.9) {
        assertThat(Math.abs(along[2 * i])).isCloseTo((float) p.y(), within(1e-6f));
      }
    }
  }

  @Test
  void aRoundLegIsFoldedOutInOnePieceThatPartsAtTheBack() {
    MeshMaker maker = new MeshMaker();
    int around = 24;
    double r = 0.05;
    List<int[]> rings = new ArrayList<>();
    for (double y : new double[] {0, 0.7}) {
      int[] ring = new int[around];
      for (int i = 0; i < around; i++) {
        double a = 2 * Math.PI * i / around;
        ring[i] = maker.point(r * Math.sin(a), y, r * Math.cos(a));
      }
      rings.add(ring);
    }
    maker.skin(rings, true);
    Mesh leg = maker.mesh("leg");
    float[] uv = leg.mapping().upright();
    double low = 9;
    double top = -9;
    for (int t = 0; t < leg.triangles(); t++) {
      if (Math.abs(normal(leg, t).y()) > 0.5) {
        continue;
      }
      for (int k = 0; k < 3; k++) {
        low = Math.min(low, uv[6 * t + 2 * k]);
        top = Math.max(top, uv[6 * t + 2 * k]);
        // a point of its front lies where it is seen
        Vec p = leg.vertex(leg.corners()[3 * t + k]);
        if (p.z() > 0.99 * r) {
          assertThat(uv[6 * t + 2 * k]).isCloseTo((float) p.x(), within(0.007f));
        }
      }
    }
    double chord = 2 * r * Math.sin(Math.PI / around);
    assertThat(top - low).isCloseTo(around * chord, within(0.02));
  }

  @Test
  void twoBoardsOfAnySizeShowTheSameLengthOfWhatRepeats() {
    Mesh large = Mesh.ofBox(new Vec(-1.5, 0, -0.1), new Vec(1.5, 0.02, 0.1));
    Mesh small = Mesh.ofBox(new Vec(-0.15, 0, -0.1), new Vec(0.15, 0.02, 0.1));
    assertThat(extent(large)).isCloseTo(3, within(1e-5));
    assertThat(extent(small)).isCloseTo(0.3, within(1e-5));
    // mirrored or standing elsewhere nothing is written the other way round
    assertThat(extent(small.at(Pose.of(new Vec(3, 1, 2), 33)))).isCloseTo(0.3, within(1e-5));
    Mesh mirrored = large.mirrored();
    for (int t = 0; t < mirrored.triangles(); t++) {
      assertThat(stretch(mirrored, t, mirrored.mapping().upright())[2]).isPositive();
    }
  }

  private static double extent(Mesh m) {
    float[] uv = m.mapping().along();
    double low = 9;
    double top = -9;
    for (int i = 0; i < uv.length; i += 2) {
      low = Math.min(low, uv[i]);
      top = Math.max(top, uv[i]);
    }
    return top - low;
  }

  private static Vec normal(Mesh m, int t) {
    Vec a = m.vertex(m.corners()[3 * t]);
    return m.vertex(m.corners()[3 * t + 1])
        .minus(a)
        .cross(m.vertex(m.corners()[3 * t + 2]).minus(a))
        .unit();
  }
}
