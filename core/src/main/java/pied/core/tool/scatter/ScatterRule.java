package pied.core.tool.scatter;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edit.PlanPoint;
import pied.core.space.Bounds;
import pied.core.space.Motion;
import pied.core.space.Repetition;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Validity;
import pied.core.tool.repeat.Arrangement;
import pied.core.tool.repeat.LaidOut;
import pied.core.tool.repeat.Mixed;
import pied.core.units.Deadline;

/**
 * Strewn about, none nearer to another than need be.
 *
 * @param onto ids of the pieces on which they lie; none for the floor
 * @param outline on the floor that holds them; none for all of the floor
 * @param about the point they gather about; null for none
 * @param radius how far from that they reach, metres
 * @param count how many are wanted
 * @param density how many to the square metre instead; null to go by the count
 * @param least gap between any two, metres
 * @param turn degrees of all of them
 * @param turning by how much each is turned more or less than that at most, degrees
 * @param sizing by how much each is larger or smaller at most; 0.1 for a tenth
 * @param off least gap to all that is there, metres
 * @param seed another one strews them otherwise
 */
@JsonTypeName("scatter")
@RecordBuilder
public record ScatterRule(
    List<String> onto,
    List<Spot> outline,
    @Nullable Spot about,
    double radius,
    int count,
    @Nullable Double density,
    double least,
    double turn,
    double turning,
    double sizing,
    double off,
    long seed)
    implements Arrangement, ScatterRuleBuilder.With {
  public ScatterRule {
    onto = List.copyOf(onto);
    outline = List.copyOf(outline);
  }

  @Override
  public ScatterRule moved(Motion m) {
    return withAbout(about == null ? null : m.of(about))
        .withOutline(outline.stream().map(m::of).toList())
        .withTurn(turn + m.turn());
  }

  @Override
  public String called() {
    return "scatter";
  }

  @Override
  public boolean sound() {
    return Bounds.path(outline, 0)
        && onto.size() <= Bounds.MOST_THINGS
        && Bounds.within(count, 0, Repetition.MOST_PLACES)
        && (about == null || Validity.near(about.at(0)))
        && Bounds.length(radius)
        && Bounds.length(density)
        && Bounds.length(least)
        && Bounds.length(off)
        && Math.abs(sizing) < 1;
  }

  @Override
  public LaidOut laid(Space space, Mixed mix, Set<String> ignored, Deadline deadline) {
    return new ScatterLayout(space, this, mix, ignored, deadline).laid();
  }

  @Override
  public Edit adjusting(String group) {
    List<PlanPoint> corners = outline.stream().map(Arrangement::point).toList();
    return ScatterBuilder.builder()
        .group(group)
        .onto(onto.isEmpty() ? null : onto)
        .outline(corners.isEmpty() ? null : corners)
        .about(about == null ? null : Arrangement.point(about))
        .radius(about == null ? null : Amount.of(radius))
        .count(density == null ? Amount.of(count) : null)
        .density(Arrangement.amount(density))
        .least(Amount.of(least))
        .turning(Amount.of(turning))
        .sizing(sizing == 0 ? null : Amount.of(sizing * 100))
        .off(off == 0 ? null : Amount.of(off))
        .seed(Amount.of(seed))
        .build();
  }

  @Override
  public Edit refilling(String group) {
    return ScatterBuilder.builder().group(group).refill(true).build();
  }
}
