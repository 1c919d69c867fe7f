package pied.core.edit.size;

import static pied.core.edit.Bench.need;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.Refusal;
import pied.core.catalog.Article;
import pied.core.catalog.Mounting;
import pied.core.edit.Bench;
import pied.core.edit.Edit;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.piece.Piece;
import pied.core.place.Resting;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.Said;

/**
 * Gives pieces a size.
 *
 * @param hold the side that stays where it is; null: a side that touches something stays, else the
 *     middle; and the underside (of what hangs, the top)
 */
@RecordBuilder
public record Resize(List<String> pieces, Measures size, @Nullable Side hold) implements Edit {
  @Override
  public void make(Bench bench) {
    need(size, "size");
    bench.chosen(pieces).forEach(id -> one(bench, bench.piece(id)));
  }

  private void one(Bench bench, Piece p) {
    Article article = bench.space().article(p);
    Size next = measured(bench, p.size(), size, article);
    article.check(p.name(), next);
    Space space = bench.space();
    Vec shift =
        new Vec(
            held(space, p, Side.left, Side.right, next.width() - p.size().width()),
            0,
            held(space, p, Side.back, Side.front, next.depth() - p.size().depth()));
    double up = next.height() - p.size().height();
    boolean fromTop = hold == Side.top || hold == null && article.mounting() == Mounting.HANGS;
    boolean fromMiddle =
        hold == null && article.mounting() == Mounting.WALL && !Double.isNaN(article.usualMiddle());
    double rise = fromTop ? -up : fromMiddle ? -up / 2 : 0;
    Vec at = p.at().plus(p.pose().direct(shift)).plus(new Vec(0, rise, 0));
    Set<String> carried = space.carriedBy(p.id());
    bench.set(p.withSize(next).withAt(at));
    if (!carried.isEmpty()) { // what stands on it stays over its place and comes to rest again
      if (up > 0) {
        bench.alter(carried, q -> q.moved(new Vec(0, up, 0)));
      }
      bench.settle(carried, true);
    }
    bench.carriers(List.of(p.id()));
    bench.sayOverlaps(List.of(p.id()));
  }

  /**
   * The size that comes of new measures by the article's rule.
   *
   * @throws Refusal if one is none
   */
  public static Size measured(Bench bench, Size now, Measures m, Article article) {
    double[] asked = {
      m.width() == null ? Double.NaN : bench.length(m.width(), now.width()),
      m.depth() == null ? Double.NaN : bench.length(m.depth(), now.depth()),
      m.height() == null ? Double.NaN : bench.length(m.height(), now.height())
    };
    for (double v : asked) {
      if (v <= 0) {
        throw new Refusal("A size must be more than zero; " + Said.length(v) + " was asked for.");
      }
      if (v > Size.MOST) {
        throw new Refusal("Nothing here is larger than " + Said.length(Size.MOST) + ".");
      }
    }
    return article.sizing().follow(now, asked);
  }

  /**
   * How far the middle moves along one of the piece's own directions when it grows by so much: half
   * of it away from the side that holds.
   */
  private double held(Space space, Piece p, Side low, Side high, double growth) {
    if (growth == 0) {
      return 0;
    }
    boolean holdsLow = hold == low;
    boolean holdsHigh = hold == high;
    if (hold == null) {
      holdsLow = touches(space, p, low);
      holdsHigh = !holdsLow && touches(space, p, high);
      if (space.article(p).mounting() == Mounting.WALL && low == Side.back) {
        holdsLow = true;
        holdsHigh = false;
      }
    }
    return holdsLow ? growth / 2 : holdsHigh ? -growth / 2 : 0;
  }

  private static boolean touches(Space space, Piece p, Side side) {
    Reach r = Reach.of(space, p, side);
    return r != null && Math.abs(r.distance()) < Resting.CONTACT; // an overlap is no touching
  }
}
