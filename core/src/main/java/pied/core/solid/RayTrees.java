package pied.core.solid;

import java.lang.reflect.Constructor;
import java.util.Random;
import pied.core.Nullable;

/**
 * Chooses the tree by which meshes are asked by very many rays. The one that asks a box after the
 * other is always there. Where Java was started with its vector module, another one is tried beside
 * the work ({@link #warm}), and taken from then on if it is quicker here: both meet the same.
 */
public final class RayTrees {
  private static final String VECTORS = "pied.core.solid.VectorTree";

  /** By so much it must be quicker. */
  private static final double WORTH = 1.05;

  private static final int ROUNDS = 40;
  private static final int RAYS = 20_000;
  private static final int RINGS = 60;

  private static volatile @Nullable Constructor<?> quicker;

  private RayTrees() {}

  /** Whether a quicker tree was found. */
  public static boolean isQuicker() {
    return quicker != null;
  }

  /** The quicker tree; null where there is none. */
  static @Nullable RayTree of(Mesh mesh, BoxTree boxes) {
    Constructor<?> c = quicker;
    return c == null ? null : made(c, mesh, boxes);
  }

  private static @Nullable RayTree made(Constructor<?> c, Mesh mesh, BoxTree boxes) {
    try {
      return (RayTree) c.newInstance(mesh, boxes);
    } catch (ReflectiveOperationException | LinkageError e) {
      return null;
    }
  }

  /** The tree that has vectors, whether it is quicker or not; null where Java has none. */
  static @Nullable RayTree vectors(Mesh mesh, BoxTree boxes) {
    Constructor<?> c = found();
    return c == null ? null : made(c, mesh, boxes);
  }

  private static @Nullable Constructor<?> found() {
    try {
      return Class.forName(VECTORS).getDeclaredConstructor(Mesh.class, BoxTree.class);
    } catch (ReflectiveOperationException | LinkageError e) {
      return null;
    }
  }

  /**
   * Tries the other tree until it is compiled, some seconds' work, and measures both.
   *
   * @param between called between two short pieces of work; may wait
   * @return how many times as quick it is; 0 where Java has no vectors
   */
  public static double warm(Runnable between) {
    Mesh ball = ball();
    BoxTree boxes = ball.tree().boxes;
    RayTree other = vectors(ball, boxes);
    if (other == null) {
      return 0;
    }
    RayTree plain = ball.tree().rays();
    double best = 0;
    for (int i = 0; i < ROUNDS; i++) {
      between.run();
      double ratio = seconds(plain) / seconds(other);
      best = i < ROUNDS / 2 ? 0 : Math.max(best, ratio);
    }
    if (best > WORTH) {
      quicker = found();
    }
    return best;
  }

  private static double seconds(RayTree tree) {
    Random random = new Random(7);
    WideTree.WalkStack walk = new WideTree.WalkStack();
    long t = System.nanoTime();
    int met = 0;
    for (int i = 0; i < RAYS; i++) {
      double x = 3 * random.nextDouble() - 1.5;
      double y = 3 * random.nextDouble() - 1.5;
      double a = 2 * Math.PI * random.nextDouble();
      double z = random.nextDouble() - 0.5;
      double flat = Math.sqrt(1 - z * z);
      double dx = flat * Math.cos(a);
      double dy = flat * Math.sin(a);
      met += tree.nearest(x, y, 0.2, dx, dy, z, 1e6, walk) < 0 ? 0 : 1;
      met += tree.any(x, y, 0.2, dx, dy, z, 1, walk) ? 1 : 0;
    }
    return met < 0 ? 0 : (System.nanoTime() - t) / 1e9;
  }

  /** A rough ball, so that rays meet and miss as in a room. */
  private static Mesh ball() {
    double[] xyz = new double[3 * RINGS * RINGS];
    int[] corners = new int[6 * (RINGS - 1) * RINGS];
    int n = 0;
    for (int i = 0; i < RINGS; i++) {
      double rise = Math.PI * i / (RINGS - 1);
      for (int k = 0; k < RINGS; k++) {
        double turn = 2 * Math.PI * k / RINGS;
        double far = 1 + 0.2 * Math.sin(7 * rise) * Math.cos(5 * turn);
        int at = 3 * (i * RINGS + k);
        xyz[at] = far * Math.sin(rise) * Math.cos(turn);
        xyz[at + 1] = far * Math.cos(rise);
        xyz[at + 2] = far * Math.sin(rise) * Math.sin(turn);
        if (i + 1 < RINGS) {
          int next = i * RINGS + (k + 1) % RINGS;
          int[] four = {i * RINGS + k, next, next + RINGS, i * RINGS + k + RINGS};
          for (int j : new int[] {0, 1, 2, 0, 2, 3}) {
            corners[n++] = four[j];
          }
        }
      }
    }
    return Mesh.of(xyz, corners);
  }
}
