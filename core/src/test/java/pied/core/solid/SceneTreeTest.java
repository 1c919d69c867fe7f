package pied.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import pied.core.solid.SceneTree.SceneHit;
import pied.core.solid.SceneTree.StandingMesh;

class SceneTreeTest {
  private final Random random = new Random(5);

  private Vec vec(double far) {
    return new Vec(
        (random.nextDouble() - 0.5) * far,
        (random.nextDouble() - 0.5) * far,
        (random.nextDouble() - 0.5) * far);
  }

  private List<StandingMesh> some(int n) {
    List<Mesh> meshes = new ArrayList<>();
    for (int i = 0; i < 3; i++) {
      Vec a = vec(1);
      meshes.add(Mesh.ofBox(a, a.plus(new Vec(0.2 + random.nextDouble(), 0.5, 0.3))));
    }
    List<StandingMesh> all = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      double turn = random.nextDouble() * 360;
      double lean = i % 3 == 0 ? random.nextDouble() * 40 : 0;
      all.add(new StandingMesh(meshes.get(i % 3), Pose.of(vec(12), turn, 30, lean)));
    }
    return all;
  }

  /** What each mesh says by itself, the nearest of all. */
  @Test
  void nearestOfAllIsNearestOfEach() {
    for (int n : new int[] {1, 2, 7, 200}) {
      List<StandingMesh> all = some(n);
      SceneTree tree = new SceneTree(all);
      SceneHit hit = new SceneHit();
      int met = 0;
      for (int r = 0; r < 3000; r++) {
        Vec from = vec(16);
        Vec way = vec(1).unit();
        int skip = r % 4 == 0 ? random.nextInt(n) : SceneTree.ALL;
        double limit = r % 3 == 0 ? 2 : 1e5;
        MeshTree.RayHit one = new MeshTree.RayHit();
        double best = Double.POSITIVE_INFINITY;
        for (int i = 0; i < n; i++) {
          Vec o = all.get(i).pose().unapply(from);
          Vec d = all.get(i).pose().undirect(way);
          MeshTree t = all.get(i).mesh().tree();
          if (i != skip
              && t.nearest(o.x(), o.y(), o.z(), d.x(), d.y(), d.z(), limit, one)
              && one.distance < best) {
            best = one.distance;
          }
        }
        double[] f = {from.x(), from.y(), from.z()};
        double[] w = {way.x(), way.y(), way.z()};
        boolean any = best < Double.POSITIVE_INFINITY;
        assertThat(tree.nearest(f, w, limit, skip, hit)).isEqualTo(any);
        if (any) {
          assertThat(hit.distance).isEqualTo(best, within(1e-4));
          assertThat(hit.mesh).isNotEqualTo(skip);
          met++;
        }
        assertThat(tree.any(f, w, limit, skip, hit)).isEqualTo(any);
      }
      assertThat(met).isPositive();
    }
  }

  @Test
  void nothingIsMetWhereThereIsNothing() {
    SceneTree none = new SceneTree(List.of());
    double[] o = {0, 0, 0};
    double[] d = {0, 1, 0};
    assertThat(none.nearest(o, d, 9, SceneTree.ALL, new SceneHit())).isFalse();
    assertThat(none.any(o, d, 9, SceneTree.ALL, new SceneHit())).isFalse();
  }
}
