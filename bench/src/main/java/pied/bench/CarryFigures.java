package pied.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import pied.core.carry.CarryAsk;
import pied.core.carry.Carrying;
import pied.core.catalog.Catalog;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.material.Finishes;
import pied.core.piece.Form;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Shapes;
import pied.core.piece.Stance;
import pied.core.solid.Vec;
import pied.core.space.Outlines;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.tool.place.Place;
import pied.core.units.LengthUnit;

/**
 * Takes the figures of carrying: one question at 100, 1,000 and 10,000 pieces of about 1,000
 * triangles, as densely furnished; a random piece is carried on a random walk with snaps and stops.
 */
public final class CarryFigures {
  private static final int QUESTIONS = 4000;
  private static final int WARM = 6000;
  private static final double PITCH = 1.3;

  private CarryFigures() {}

  public static void main(String[] args) {
    Shapes shapes = new Shapes(Catalog.shipped());
    Space tea = teaRoom(shapes);
    through(tea, WARM);
    tell("carry-tea-room", through(tea, QUESTIONS));
    List<String> articles = alike(shapes);
    for (int n : new int[] {100, 1000, 10_000}) {
      Space space = space(shapes, articles, n);
      space.bodies();
      walk(space, WARM, 3);
      double[] ms = walk(space, QUESTIONS, 7);
      tell("carry-" + n, ms);
    }
  }

  private static void tell(String bench, double[] ms) {
    Figures.figure(bench, "mean", "ms", Arrays.stream(ms).average().orElse(0));
    Figures.percentiles(bench, ms);
  }

  /** The tea room of {@link LiveFigures}: a stool is carried right through groups of chairs. */
  static Space teaRoom(Shapes shapes) {
    Shell shell = new Shell(Outlines.rectangle(9, 7), 3, 0.2, List.of(), Finishes.NONE);
    Space bare = new Space(shell, List.of(), shapes);
    List<Edit> edits =
        LiveFigures.placed().stream()
            .<Edit>map(
                p ->
                    new Place(
                        p.id(),
                        p.article(),
                        null,
                        new Edit.PlanPoint(Amount.of(p.x()), Amount.of(p.z())),
                        null,
                        null,
                        null,
                        null))
            .toList();
    return Edits.apply(bare, edits, LengthUnit.M, () -> "").space();
  }

  private static double[] through(Space space, int questions) {
    double[] ms = new double[questions];
    for (int i = 0; i < questions; i++) {
      CarryAsk q =
          CarryAsk.onPlan(List.of("p0"), new Spot(LiveFigures.x(i), LiveFigures.z(i)), 0.1);
      long t = System.nanoTime();
      Carrying.answer(space, q, LengthUnit.M);
      ms[i] = (System.nanoTime() - t) / 1e6;
    }
    return ms;
  }

  /** Articles that stand on the floor and have 600 to 1,600 triangles. */
  private static List<String> alike(Shapes shapes) {
    List<String> found = new ArrayList<>();
    long sum = 0;
    for (var a : shapes.catalog().all()) {
      int t = shapes.mesh(a.id(), a.size()).triangles();
      boolean small = a.size().width() < 1.1 && a.size().depth() < 1.1;
      if (a.standsOn().contains("floor")
          && a.mounting().name().equals("STANDS")
          && small
          && t > 600
          && t < 1600) {
        found.add(a.id());
        sum += t;
      }
    }
    Figures.figure("carry", "triangles-a-piece", "", (double) sum / found.size());
    return found;
  }

  private static Space space(Shapes shapes, List<String> articles, int n) {
    int side = (int) Math.ceil(Math.sqrt(n));
    double w = side * PITCH + 1;
    Shell shell =
        new Shell(
            List.of(new Spot(0, 0), new Spot(w, 0), new Spot(w, w), new Spot(0, w)),
            3,
            0.2,
            List.of(),
            Finishes.NONE);
    Random random = new Random(n);
    List<Piece> pieces = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      var a = shapes.catalog().article(articles.get(random.nextInt(articles.size())));
      double x = 0.5 + (i % side + 0.5) * PITCH;
      double z = 0.5 + (i / side + 0.5) * PITCH;
      double turn = 45 * random.nextInt(8);
      pieces.add(
          new Piece(
              "p" + i,
              a.name(),
              new Form(a.id(), a.size()),
              new Stance(new Vec(x, 0, z), turn),
              On.FLOOR,
              Finishes.NONE));
    }
    return new Space(shell, pieces, shapes);
  }

  private static double[] walk(Space space, int questions, long seed) {
    Random random = new Random(seed);
    List<Piece> all = List.copyOf(space.pieces());
    double[] ms = new double[questions];
    Piece p = null;
    double x = 0;
    double z = 0;
    for (int i = 0; i < questions; i++) {
      if (i % 40 == 0) {
        p = all.get(random.nextInt(all.size()));
        x = p.at().x();
        z = p.at().z();
      }
      x += random.nextGaussian() * 0.06;
      z += random.nextGaussian() * 0.06;
      CarryAsk q = CarryAsk.onPlan(List.of(p.id()), new Spot(x, z), 0.1);
      long t = System.nanoTime();
      Carrying.answer(space, q, LengthUnit.M);
      ms[i] = (System.nanoTime() - t) / 1e6;
    }
    return ms;
  }
}
