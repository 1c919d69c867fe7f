package pied.core.carry;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.Supplier;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.carry.CarryAsk.CarryKeep;
import pied.core.carry.CarryResult.CarrySnap;
import pied.core.catalog.Mounting;
import pied.core.measure.Side;
import pied.core.piece.Piece;
import pied.core.place.Resting;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/** What is carried is held, in each of its directions, by what is nearest there. */
final class Holding {
  /** Nothing holds from farther away, however small all is drawn, metres. */
  private static final double FARTHEST = 0.15;

  private final Space space;
  private final CarryAsk q;
  private final CarriedPieces load;
  private final LengthUnit unit;
  private final Distances distances;
  private final CarryWays ways;
  private final Function<Vec, List<Piece>> placed;
  private final List<Snaps.Held> found = new ArrayList<>();
  private Footing now;

  /**
   * @param placed all that is carried, when the lead stands at a place
   */
  Holding(
      Space space,
      CarryAsk q,
      CarriedPieces load,
      LengthUnit unit,
      Distances distances,
      CarryWays ways,
      Function<Vec, List<Piece>> placed) {
    this.space = space;
    this.q = q;
    this.load = load;
    this.unit = unit;
    this.distances = distances;
    this.ways = ways;
    this.placed = placed;
  }

  /** It has been moved aside since: the lines it was held in are left. */
  void leaveLines() {
    found.removeIf(h -> h.low() == null);
  }

  /**
   * Where it is held.
   *
   * @param from where it is without that
   * @param exactly whether a number was typed, so that nothing may hold it
   * @param free where it may be held
   */
  Footing hold(Footing from, boolean exactly, Predicate<Footing> free) {
    now = from;
    boolean fits = load.article().mounting() != Mounting.OPENING;
    boolean raising = q.keep() == CarryKeep.height && !load.onWall();
    if (q.near() == 0 || exactly || !fits || raising) {
      return now;
    }
    Vec kept = ways.kept();
    Vec u = now.right();
    Vec v = now.front();
    boolean level = now.lean().by() == 0;
    boolean alongU = kept == null || Math.abs(kept.dot(u)) > 1 - Tolerance.SAME;
    boolean alongV = kept == null || Math.abs(kept.dot(v)) > 1 - Tolerance.SAME;
    double width = load.lead().size().width() / 2;
    double depth = load.lead().size().depth() / 2;
    Supplier<Snaps.Held> sideways =
        () -> held(u, snaps().best(u, width, level ? Side.left : null, Side.right), free);
    Snaps.Held wide = alongU ? sideways.get() : null;
    Snaps.Held deep = null;
    if (alongV && !load.onWall()) {
      deep = held(v, snaps().best(v, depth, level ? Side.back : null, Side.front), free);
      if (alongU && deep != null && Math.abs(deep.by()) > Tolerance.SAME) {
        // what is round is elsewhere now to what is beside it
        Snaps.Held again = sideways.get();
        wide = again == null ? wide : again;
      }
    }
    Snaps.Held high = null;
    if (load.onWall() && (kept == null || q.keep() == CarryKeep.height)) {
      double usual = load.article().usualHeight(load.lead().size().height());
      high = held(Vec.UP, snaps().upward(usual), free);
    }
    for (Snaps.Held h : new Snaps.Held[] {wide, deep, high}) {
      if (h != null) {
        found.add(h);
      }
    }
    return now;
  }

  /** It is held so, if there is something to hold it and room for it there. */
  private @Nullable Snaps.Held held(Vec axis, @Nullable Snaps.Held by, Predicate<Footing> free) {
    if (by == null) {
      return null;
    }
    Footing there = now.moved(axis.times(by.by()));
    if (Math.abs(by.by()) > Tolerance.SAME && !free.test(there)) {
      return null;
    }
    now = there;
    return by;
  }

  private Snaps snaps() {
    List<Piece> all = placed.apply(now.at());
    distances.at(all);
    return new Snaps(
        space, all.get(all.size() - 1), load.own(), Math.min(q.near(), FARTHEST), unit, distances);
  }

  /**
   * What held it and still is so: stopping may have come in between, or one hold undone another.
   */
  List<CarrySnap> said(Map<Side, Double> reaches, String exact) {
    List<Snaps.Held> all =
        found.stream().filter(h -> so(h, h.low(), reaches) && so(h, h.high(), reaches)).toList();
    List<CarrySnap> said = new ArrayList<>();
    if (all.size() == 2 && all.stream().allMatch(h -> h.wall() != null)) {
      List<String> walls = all.stream().map(Snaps.Held::wall).distinct().sorted().toList();
      String words =
          walls.size() == 1
              ? "against " + space.shell().wallName(walls.get(0))
              : "in the corner of walls " + walls.get(0) + " and " + walls.get(1);
      said.add(new CarrySnap(words, null, null));
    } else {
      for (Snaps.Held h : all) {
        if (said.stream().noneMatch(other -> other.words().equals(h.words()))) {
          said.add(new CarrySnap(h.words(), h.from(), h.to()));
        }
      }
    }
    if (!exact.isEmpty()) {
      said.add(new CarrySnap(exact, null, null));
    }
    return said;
  }

  private static boolean so(Snaps.Held h, @Nullable Side side, Map<Side, Double> reaches) {
    return side == null
        || Math.abs(reaches.getOrDefault(side, Double.POSITIVE_INFINITY) - h.gap())
            < Resting.CONTACT;
  }
}
