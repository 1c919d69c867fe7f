package pied.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import pied.core.catalog.Catalog;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.piece.Shapes;
import pied.core.show.Viewpoint;
import pied.core.solid.Body;
import pied.core.solid.RayTrees;
import pied.core.solid.SceneTree;
import pied.core.solid.SceneTree.StandingMesh;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.still.StillGrade;
import pied.core.still.StillRun;
import pied.core.still.StillWish;
import pied.core.tool.place.Place;
import pied.core.units.LengthUnit;

/**
 * Takes the figures of stills: how long small ones of the tea room of {@link LiveFigures} under six
 * lamps take, how many rays a second are followed in them, and how many the tree alone follows.
 */
public final class StillFigures {
  private static final int THREADS = 2;
  private static final int ROUNDS = 3;
  private static final int RAYS = 1_000_000;
  private static final Viewpoint VIEW =
      Viewpoint.ready("v", "corner", new Vec(0.6, 1.6, 6.4), new Vec(5, 0.8, 2.5), false);

  private StillFigures() {}

  public static void main(String[] args) throws InterruptedException {
    Space space = lit();
    stills(space, "");
    tree(space, "");
    double quicker = RayTrees.warm(() -> {});
    Figures.figure("still-tree", "vectors-when-tried", "times as quick", quicker);
    if (RayTrees.isQuicker()) {
      stills(space, "-vectors");
      tree(space, "-vectors");
    }
  }

  private static void stills(Space space, String by) {
    for (StillGrade grade : new StillGrade[] {StillGrade.draft, StillGrade.good}) {
      for (int round = 0; round < ROUNDS; round++) {
        StillWish wish = new StillWish(VIEW, 480, 270, grade, null, null, false, false, null);
        long t = System.nanoTime();
        StillRun run = new StillRun(space, wish, THREADS);
        run.run(() -> true);
        run.result();
        double s = (System.nanoTime() - t) / 1e9;
        Figures.figure("still-" + grade + by, "480x270", "s", s);
        Figures.figure("still-" + grade + by, "rays", "rays/s", run.rays() / run.seconds());
      }
    }
  }

  private static Space lit() {
    Space space = CarryFigures.teaRoom(new Shapes(Catalog.shipped()));
    List<Edit> edits = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      Edit.PlanPoint at =
          new Edit.PlanPoint(Amount.of(1.5 + 3 * (i % 3)), Amount.of(2.6 + 2.8 * (i / 3)));
      edits.add(new Place("lamp" + i, "globe-pendant", null, at, null, null, null, null));
    }
    return Edits.apply(space, edits, LengthUnit.M, () -> "").space();
  }

  /** From points of the room in all directions, as light goes that was scattered. */
  private static void tree(Space space, String by) throws InterruptedException {
    List<Body> bodies = space.bodies().all();
    SceneTree tree =
        new SceneTree(bodies.stream().map(b -> new StandingMesh(b.mesh(), b.pose())).toList());
    for (int round = 0; round < ROUNDS; round++) {
      Thread[] threads = new Thread[THREADS];
      long t = System.nanoTime();
      for (int i = 0; i < THREADS; i++) {
        int seed = i;
        threads[i] = new Thread(() -> cast(tree, seed));
        threads[i].start();
      }
      for (Thread thread : threads) {
        thread.join();
      }
      double s = (System.nanoTime() - t) / 1e9;
      Figures.figure("still-tree" + by, "nearest", "rays/s", THREADS * RAYS / s);
    }
  }

  private static void cast(SceneTree tree, int seed) {
    Random random = new Random(seed);
    SceneTree.SceneHit hit = new SceneTree.SceneHit();
    double[] from = new double[3];
    double[] way = new double[3];
    for (int i = 0; i < RAYS; i++) {
      from[0] = 9 * random.nextDouble();
      from[1] = 3 * random.nextDouble();
      from[2] = 7 * random.nextDouble();
      way[1] = 2 * random.nextDouble() - 1;
      double a = 2 * Math.PI * random.nextDouble();
      double flat = Math.sqrt(1 - way[1] * way[1]);
      way[0] = flat * Math.cos(a);
      way[2] = flat * Math.sin(a);
      tree.nearest(from, way, 100, SceneTree.ALL, hit);
    }
  }
}
