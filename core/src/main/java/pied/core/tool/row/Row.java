package pied.core.tool.row;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.RepeatedArticle;
import pied.core.edit.Walls;
import pied.core.piece.Piece;
import pied.core.piece.Stance;
import pied.core.solid.Vec;
import pied.core.space.Rule;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.tool.repeat.Repeating;
import pied.core.units.Refusal;

/**
 * Repeats something in a row, in rows behind one another, and in tiers; or adjusts such a row. What
 * is not said is as it was.
 *
 * @param pieces what is repeated, which is the first of them
 * @param group id of the row to adjust
 * @param of articles to repeat instead
 * @param count in a row; typed as "6 x 9" it is so many rows of so many
 * @param gap from side to side
 * @param pitch from middle to middle
 * @param rows behind the first one
 * @param tiers over one another
 * @param length from end to end that is to be filled; 0 to go by the count again
 * @param evened whether the gaps grow until the length is just filled
 * @param staggered whether every other row is half a place to the side
 * @param along which way it goes; the way the sides of the first one are if nothing is said
 * @param wall name of the wall, of {@link RowLine#wall}
 * @param at where the first one stands that is not there yet
 * @param turning degrees up to which each is turned by chance, either way; 0 for none
 * @param refill whether places that were taken out are filled again
 */
@JsonTypeName("row")
@RecordBuilder
public record Row(
    @Nullable List<String> pieces,
    @Nullable String group,
    @Nullable List<RepeatedArticle> of,
    @Nullable Amount count,
    @Nullable Amount gap,
    @Nullable Amount pitch,
    @Nullable Amount rows,
    @Nullable Amount rowGap,
    @Nullable Amount rowPitch,
    @Nullable Amount tiers,
    @Nullable Amount tierGap,
    @Nullable Amount length,
    @Nullable Boolean evened,
    @Nullable Boolean staggered,
    @Nullable RowLine along,
    @Nullable String wall,
    @Nullable PlanPoint at,
    @Nullable Amount turning,
    @Nullable Boolean refill)
    implements Edit, RowBuilder.With {

  /**
   * Which way a row goes: to a side of the first one, in a direction of the space, or by a wall.
   */
  public enum RowLine {
    right,
    left,
    front,
    back,
    up,
    across,
    deep,
    wall
  }

  /** Usual gap, metres. */
  private static final double GAP = 0.1;

  private static final Pattern BLOCK = Pattern.compile("\\s*(\\d+)\\s*[x*×]\\s*(\\d+)\\s*");

  @Override
  public void make(EditSession session) {
    Matcher block = BLOCK.matcher(count == null || count.text() == null ? "" : count.text());
    if (block.matches()) {
      withRows(Amount.typed(block.group(1))).withCount(Amount.typed(block.group(2))).make(session);
      return;
    }
    Repeating r = Repeating.of(session, pieces, group, of);
    RowRule old = r.old(RowRule.class);
    if (old == null) {
      Stance first = first(r);
      old = begun(first, way(session, first));
    } else if (along != null) {
      old = old.withWay(way(session, new Stance(old.at(), old.turn())));
    }
    Double filled = old.length();
    if (length != null) {
      double l = r.length(length, filled == null ? 0 : filled);
      filled = l == 0 ? null : l;
    } else if (count != null) {
      filled = null;
    }
    r.lay(
        old.withCount(Repeating.count(count, old.count()))
            .withApart(r.apart(gap, pitch, old.apart()))
            .withRows(atLeastOne(Repeating.count(rows, old.rows())))
            .withRowsApart(r.apart(rowGap, rowPitch, old.rowsApart()))
            .withTiers(atLeastOne(Repeating.count(tiers, old.tiers())))
            .withTiersApart(r.apart(tierGap, null, old.tiersApart()))
            .withLength(filled)
            .withEvened(evened == null ? old.evened() : evened)
            .withStaggered(staggered == null ? old.staggered() : staggered)
            .withTurning(turning(old.turning())),
        Boolean.TRUE.equals(refill));
  }

  private double turning(double now) {
    double v = turning == null ? now : turning.angle(now);
    if (!(v >= 0 && v <= 180)) {
      throw new Refusal("They can be turned at random by up to 180°.");
    }
    return v;
  }

  /** As it begins, where nothing is said of it. */
  private static RowRule begun(Stance first, Vec way) {
    Rule.Apart usual = new Rule.Apart(GAP, false);
    Rule.Apart touching = new Rule.Apart(0, false);
    return new RowRule(
        first.at(), first.turn(), way, 4, usual, null, false, 1, usual, 1, touching, false, 0);
  }

  private static int atLeastOne(int n) {
    if (n < 1) {
      throw new Refusal("One row at least is needed.");
    }
    return n;
  }

  private Stance first(Repeating r) {
    Piece p = r.first();
    if (p != null && at == null) {
      return p.stance();
    }
    if (at == null) {
      throw new Refusal("Say where the first one stands.");
    }
    double x = r.length(at.x(), 0);
    double z = r.length(at.z(), 0);
    double y = r.session().space().shell().floorAt(new Spot(x, z));
    if (Double.isNaN(y)) {
      throw new Refusal("There is no floor at that point; choose one inside the room.");
    }
    if (p == null) {
      return r.begins(new Spot(x, z));
    }
    return new Stance(new Vec(x, y, z), p.turn());
  }

  private Vec way(EditSession session, Stance first) {
    Vec right = level(first, new Vec(1, 0, 0));
    Vec front = level(first, new Vec(0, 0, 1));
    return switch (along == null ? RowLine.right : along) {
      case right -> right;
      case left -> right.times(-1);
      case front -> front;
      case back -> front.times(-1);
      case up -> Vec.UP;
      case across -> new Vec(1, 0, 0);
      case deep -> new Vec(0, 0, 1);
      case wall -> {
        Wall w = Walls.named(session.space().shell(), wall);
        // toward the end that is farther away
        boolean forth = w.station(new Spot(first.at().x(), first.at().z())) < w.length() / 2;
        yield forth ? w.along() : w.along().times(-1);
      }
    };
  }

  private static Vec level(Stance s, Vec own) {
    return new Stance(Vec.ZERO, s.turn()).pose().direct(own);
  }
}
