package pied.core.still;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import pied.core.lighting.LampSource;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.SceneTree;
import pied.core.solid.SceneTree.StandingMesh;

/**
 * Everything that light meets, ready for rays: bodies, what they are made of, lamps, and what is
 * outside. Safe for many threads.
 */
final class StillScene {
  /**
   * A body.
   *
   * @param surfaces by the number of the part of its mesh
   * @param lifted whether it is left out of the picture; light meets it all the same
   * @param lamp whether it shines of what {@link Emitter}s stand for
   */
  record SceneBody(Mesh mesh, Pose pose, LitSurface[] surfaces, boolean lifted, boolean lamp) {
    boolean isSeenThrough() {
      boolean[] used = new boolean[surfaces.length];
      for (int part : mesh.partOf()) {
        used[part] = true;
      }
      for (int i = 0; i < used.length; i++) {
        if (used[i] && surfaces[i].isSeenThrough()) {
          return true;
        }
      }
      return false;
    }
  }

  /** Some of the bodies in a tree of their own. */
  record SomeBodies(SceneTree tree, int[] bodies, int[] placeOf) {
    static SomeBodies of(List<SceneBody> all, java.util.function.Predicate<SceneBody> which) {
      List<StandingMesh> some = new ArrayList<>();
      int[] placeOf = new int[all.size()];
      int[] bodies = new int[all.size()];
      Arrays.fill(placeOf, SceneTree.ALL);
      for (int i = 0; i < placeOf.length; i++) {
        SceneBody b = all.get(i);
        if (which.test(b)) {
          placeOf[i] = some.size();
          bodies[some.size()] = i;
          some.add(new StandingMesh(b.mesh, b.pose));
        }
      }
      return new SomeBodies(new SceneTree(some), Arrays.copyOf(bodies, some.size()), placeOf);
    }

    /** The place of a body in it, as what is to be passed over. */
    int skip(int body) {
      return body < 0 ? SceneTree.ALL : placeOf[body];
    }
  }

  /**
   * A lamp of a body.
   *
   * @param body its number; -1 for none
   * @param radius of what glows on it, metres
   */
  record ShiningBody(LampSource source, double radius, int body) {}

  final SceneBody[] bodies;
  final SomeBodies all;
  final SomeBodies seen;
  final SomeBodies solid;
  final SomeBodies clear;
  final Emitters lamps;
  final Outdoors outdoors;

  /** Where the sun falls within. */
  final SunPatch patch;

  /** Light of all lamps, lumens. */
  final double lampPower;

  /** Whether it stands on paper as a model does: where nothing is, paper is seen, and no sky. */
  final boolean model;

  StillScene(List<SceneBody> all, List<ShiningBody> lamps, Outdoors outdoors, boolean model) {
    bodies = all.toArray(SceneBody[]::new);
    List<SceneBody> list = Arrays.asList(bodies);
    this.all = SomeBodies.of(list, b -> true);
    seen =
        list.stream().anyMatch(SceneBody::lifted) ? SomeBodies.of(list, b -> !b.lifted) : this.all;
    solid = SomeBodies.of(list, b -> !b.isSeenThrough());
    clear = SomeBodies.of(list, SceneBody::isSeenThrough);
    this.lamps =
        new Emitters(lamps.stream().map(l -> new Emitter(l.source, l.radius, l.body)).toList());
    this.outdoors = outdoors;
    lampPower = lamps.stream().mapToDouble(l -> l.source.leaving()).sum();
    this.model = model;
    patch = SunPatch.of(this);
  }

  /** Builds the trees of all meshes, so that the first rays need not. */
  void ready() {
    Arrays.stream(bodies).map(SceneBody::mesh).distinct().parallel().forEach(Mesh::tree);
  }
}
