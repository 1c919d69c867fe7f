package pied.core.tool.trail;

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
import pied.core.space.Rule.Apart;
import pied.core.space.Rule.RepeatFacing;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.tool.repeat.Arrangement;
import pied.core.tool.repeat.LaidOut;
import pied.core.tool.repeat.Mixed;
import pied.core.units.Deadline;

/**
 * Along a path.
 *
 * @param path its corners on the plan
 * @param closed whether it ends where it begins
 * @param along what it was taken from, such as "wall A"; null if it was drawn
 * @param count how many; null to go by the distance
 * @param apart from one to the next; null to go by the count
 * @param spaced whether both hold: that many, so far apart, from where it begins; else they are
 *     spread over all of it where there is a count
 * @param offset from the path to the sides of the pieces, to its right as one looks at the plan and
 *     goes along; middles on the path where it is null
 * @param turn degrees; of all if they face the same way, else more than that
 * @param high at which they are, or from which they come to rest, metres
 */
@JsonTypeName("trail")
@RecordBuilder
public record TrailRule(
    List<Spot> path,
    boolean closed,
    @Nullable String along,
    @Nullable Integer count,
    @Nullable Apart apart,
    boolean spaced,
    @Nullable Double offset,
    RepeatFacing facing,
    double turn,
    double high)
    implements Arrangement, TrailRuleBuilder.With {
  public TrailRule {
    path = List.copyOf(path);
  }

  @Override
  public TrailRule moved(Motion m) {
    double t = facing == RepeatFacing.fixed ? turn + m.turn() : turn;
    return withPath(path.stream().map(m::of).toList()).withTurn(t);
  }

  @Override
  public String called() {
    return "trail";
  }

  @Override
  public boolean sound() {
    return Bounds.path(path, 2)
        && (count == null || Bounds.within(count, 1, Repetition.MOST_PLACES))
        && (apart == null || Apart.isSound(apart))
        && (count != null || apart != null)
        && Bounds.length(offset)
        && Bounds.length(high);
  }

  @Override
  public LaidOut laid(Space space, Mixed mix, Set<String> ignored, Deadline deadline) {
    return new TrailLayout(this, mix, deadline).laid();
  }

  @Override
  public Edit adjusting(String group) {
    return TrailBuilder.builder()
        .group(group)
        .count(count == null ? null : Amount.of(count))
        .gap(count == null || spaced ? Arrangement.gap(apart) : null)
        .pitch(count == null || spaced ? Arrangement.pitch(apart) : null)
        .offset(Arrangement.amount(offset))
        .facing(facing)
        .turn(turn == 0 ? null : Amount.of(turn))
        .build();
  }

  @Override
  public Edit refilling(String group) {
    return TrailBuilder.builder().group(group).refill(true).build();
  }
}
