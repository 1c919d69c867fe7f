package pied.core.say;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edit.PlanPoint;
import pied.core.edit.repeat.RingBuilder;
import pied.core.edit.repeat.RowBuilder;
import pied.core.edit.repeat.ScatterBuilder;
import pied.core.edit.repeat.TrailBuilder;
import pied.core.space.Group;
import pied.core.space.Rule;
import pied.core.space.Spot;

/** A repetition as the edit that adjusts it, with all that it is now. */
public final class Adjust {
  private Adjust() {}

  /**
   * The edit that leaves a repetition as it is; what is typed or chosen in it adjusts that.
   *
   * @param g a group that is kept by a rule
   */
  public static Edit of(Group g) {
    Rule rule = g.repeats().rule();
    if (rule instanceof Rule.Row r) {
      return row(g.id(), r);
    }
    if (rule instanceof Rule.Trail t) {
      return TrailBuilder.builder()
          .group(g.id())
          .count(t.count() == null ? null : Amount.of(t.count()))
          .gap(t.count() == null || t.spaced() ? gap(t.apart()) : null)
          .pitch(t.count() == null || t.spaced() ? pitch(t.apart()) : null)
          .offset(amount(t.offset()))
          .facing(t.facing())
          .turn(t.turn() == 0 ? null : Amount.of(t.turn()))
          .build();
    }
    if (rule instanceof Rule.Ring r) {
      boolean all = r.arc() == 360;
      return RingBuilder.builder()
          .group(g.id())
          .around(r.around())
          .at(r.around() == null ? point(r.at()) : null)
          .count(Amount.of(r.count()))
          .gap(r.radius() == null ? Amount.of(r.gap()) : null)
          .radius(amount(r.radius()))
          .facing(r.facing())
          .arc(all ? null : Amount.of(r.arc()))
          .from(all ? null : Amount.of(r.from()))
          .turn(r.turn() == 0 ? null : Amount.of(r.turn()))
          .build();
    }
    return scatter(g.id(), (Rule.Scatter) rule);
  }

  /** The same with places filled again that were taken out; null if none was. */
  public static @Nullable Edit refilled(Group g) {
    if (g.repeats().out().isEmpty()) {
      return null;
    }
    Rule rule = g.repeats().rule();
    if (rule instanceof Rule.Row) {
      return RowBuilder.builder().group(g.id()).refill(true).build();
    }
    if (rule instanceof Rule.Trail) {
      return TrailBuilder.builder().group(g.id()).refill(true).build();
    }
    return rule instanceof Rule.Ring
        ? RingBuilder.builder().group(g.id()).refill(true).build()
        : ScatterBuilder.builder().group(g.id()).refill(true).build();
  }

  private static Edit row(String id, Rule.Row r) {
    boolean rows = r.rows() > 1;
    boolean tiers = r.tiers() > 1;
    return RowBuilder.builder()
        .group(id)
        .count(r.length() == null ? Amount.of(r.count()) : null)
        .gap(gap(r.apart()))
        .pitch(pitch(r.apart()))
        .length(amount(r.length()))
        .evened(r.length() == null ? null : r.evened())
        .rows(rows ? Amount.of(r.rows()) : null)
        .rowGap(rows ? gap(r.rowsApart()) : null)
        .rowPitch(rows ? pitch(r.rowsApart()) : null)
        .staggered(rows ? r.staggered() : null)
        .tiers(tiers ? Amount.of(r.tiers()) : null)
        .tierGap(tiers ? gap(r.tiersApart()) : null)
        .build();
  }

  private static Edit scatter(String id, Rule.Scatter s) {
    List<PlanPoint> outline = s.outline().stream().map(Adjust::point).toList();
    return ScatterBuilder.builder()
        .group(id)
        .onto(s.onto().isEmpty() ? null : s.onto())
        .outline(outline.isEmpty() ? null : outline)
        .about(s.about() == null ? null : point(s.about()))
        .radius(s.about() == null ? null : Amount.of(s.radius()))
        .count(s.density() == null ? Amount.of(s.count()) : null)
        .density(amount(s.density()))
        .least(Amount.of(s.least()))
        .turning(Amount.of(s.turning()))
        .sizing(s.sizing() == 0 ? null : Amount.of(s.sizing() * 100))
        .off(s.off() == 0 ? null : Amount.of(s.off()))
        .seed(Amount.of(s.seed()))
        .build();
  }

  private static PlanPoint point(Spot s) {
    return new PlanPoint(Amount.of(s.x()), Amount.of(s.z()));
  }

  private static @Nullable Amount amount(@Nullable Double v) {
    return v == null ? null : Amount.of(v);
  }

  private static @Nullable Amount gap(Rule.Apart a) {
    return a == null || a.middles() ? null : Amount.of(a.by());
  }

  private static @Nullable Amount pitch(Rule.Apart a) {
    return a == null || !a.middles() ? null : Amount.of(a.by());
  }
}
