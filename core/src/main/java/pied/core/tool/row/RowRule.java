package pied.core.tool.row;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Set;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.solid.Vec;
import pied.core.space.Bounds;
import pied.core.space.Motion;
import pied.core.space.Repetition;
import pied.core.space.Rule.Apart;
import pied.core.space.Space;
import pied.core.space.Validity;
import pied.core.tool.repeat.Arrangement;
import pied.core.tool.repeat.LaidOut;
import pied.core.tool.repeat.Mixed;
import pied.core.units.Deadline;

/**
 * A row, or rows behind one another, and over one another.
 *
 * @param at where the first is
 * @param turn of all of them, degrees
 * @param way from one to the next, level or up, of length 1
 * @param count in a row; how many fit where there is a length
 * @param length metres from end to end that are filled; null to go by the count
 * @param evened whether the gaps grow until the length is just filled
 * @param rows behind the first, each as far behind as it says
 * @param tiers over one another
 * @param staggered whether every other row is half a place to the side
 * @param turning degrees up to which each is turned by chance, either way; 0 for none
 */
@JsonTypeName("row")
@RecordBuilder
public record RowRule(
    Vec at,
    double turn,
    Vec way,
    int count,
    Apart apart,
    @Nullable Double length,
    boolean evened,
    int rows,
    Apart rowsApart,
    int tiers,
    Apart tiersApart,
    boolean staggered,
    double turning)
    implements Arrangement, RowRuleBuilder.With {
  @Override
  public RowRule moved(Motion m) {
    return withAt(m.of(at)).withTurn(turn + m.turn()).withWay(m.direct(way));
  }

  @Override
  public String called() {
    return rows > 1 || tiers > 1 ? "block" : "row";
  }

  @Override
  public boolean sound() {
    return at != null
        && Validity.near(at)
        && way != null
        && Math.abs(way.length() - 1) < Tolerance.FINE
        && Bounds.within(count, 1, Repetition.MOST_PLACES)
        && Bounds.within(rows, 1, Repetition.MOST_PLACES)
        && Bounds.within(tiers, 1, Repetition.MOST_PLACES)
        && (long) count * rows * tiers <= Repetition.MOST_PLACES
        && Apart.isSound(apart)
        && Apart.isSound(rowsApart)
        && Apart.isSound(tiersApart)
        && turning >= 0
        && turning <= 180
        && Bounds.length(length);
  }

  @Override
  public LaidOut laid(Space space, Mixed mix, Set<String> ignored, Deadline deadline) {
    return new RowLayout(this, mix).laid();
  }

  @Override
  public Edit adjusting(String group) {
    boolean several = rows > 1;
    boolean tiered = tiers > 1;
    return RowBuilder.builder()
        .group(group)
        .count(length == null ? Amount.of(count) : null)
        .gap(Arrangement.gap(apart))
        .pitch(Arrangement.pitch(apart))
        .length(Arrangement.amount(length))
        .evened(length == null ? null : evened)
        .rows(several ? Amount.of(rows) : null)
        .rowGap(several ? Arrangement.gap(rowsApart) : null)
        .rowPitch(several ? Arrangement.pitch(rowsApart) : null)
        .staggered(several ? staggered : null)
        .tiers(tiered ? Amount.of(tiers) : null)
        .tierGap(tiered ? Arrangement.gap(tiersApart) : null)
        .turning(turning == 0 ? null : Amount.of(turning))
        .build();
  }

  @Override
  public Edit refilling(String group) {
    return RowBuilder.builder().group(group).refill(true).build();
  }
}
