package pied.core.tool.ring;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.space.Bounds;
import pied.core.space.Motion;
import pied.core.space.Repetition;
import pied.core.space.Rule.RepeatFacing;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Validity;
import pied.core.tool.repeat.Arrangement;
import pied.core.tool.repeat.LaidOut;
import pied.core.tool.repeat.Mixed;
import pied.core.units.Deadline;

/**
 * Around something.
 *
 * @param at its middle on the plan
 * @param around the name of the piece, and id; null for a point
 * @param outline of that on the plan, convex; none for a point
 * @param gap to the outline, or to the point, metres, on the plan
 * @param radius from the middle to the places instead, metres; null to go by the gap
 * @param from where it begins, degrees as a turn, seen from the middle
 * @param arc degrees that it reaches over; 360 for all around
 * @param turn degrees; as for a trail
 * @param high as for a trail
 */
@JsonTypeName("ring")
@RecordBuilder
public record RingRule(
    Spot at,
    @Nullable String around,
    List<Spot> outline,
    int count,
    double gap,
    @Nullable Double radius,
    RepeatFacing facing,
    double from,
    double arc,
    double turn,
    double high)
    implements Arrangement, RingRuleBuilder.With {
  public RingRule {
    outline = List.copyOf(outline);
  }

  @Override
  public RingRule moved(Motion m) {
    double t = facing == RepeatFacing.fixed ? turn + m.turn() : turn;
    return withAt(m.of(at))
        .withOutline(outline.stream().map(m::of).toList())
        .withFrom(from + m.turn())
        .withTurn(t);
  }

  @Override
  public String called() {
    return "ring";
  }

  @Override
  public boolean sound() {
    return at != null
        && Validity.near(at.at(0))
        && Bounds.path(outline, 0)
        && Bounds.within(count, 1, Repetition.MOST_PLACES)
        && Bounds.length(gap)
        && Bounds.length(radius)
        && Math.abs(from) <= 1e5
        && Math.abs(arc) <= 360
        && Bounds.length(high);
  }

  @Override
  public LaidOut laid(Space space, Mixed mix, Set<String> ignored, Deadline deadline) {
    return new RingLayout(this, mix, deadline).laid();
  }

  @Override
  public Edit adjusting(String group) {
    boolean all = arc == 360;
    return RingBuilder.builder()
        .group(group)
        .around(around)
        .at(around == null ? Arrangement.point(at) : null)
        .count(Amount.of(count))
        .gap(radius == null ? Amount.of(gap) : null)
        .radius(Arrangement.amount(radius))
        .facing(facing)
        .arc(all ? null : Amount.of(arc))
        .from(all ? null : Amount.of(from))
        .turn(turn == 0 ? null : Amount.of(turn))
        .build();
  }

  @Override
  public Edit refilling(String group) {
    return RingBuilder.builder().group(group).refill(true).build();
  }
}
