package pied.server.space;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import java.util.TreeSet;
import pied.core.Nullable;
import pied.core.space.Repetition;
import pied.core.space.Rule;
import pied.core.space.Rule.RepeatFacing;
import pied.core.space.Sample;
import pied.core.space.Spot;
import pied.core.tool.ring.RingRule;
import pied.core.tool.row.RowRule;
import pied.core.tool.scatter.ScatterRule;
import pied.core.tool.trail.TrailRule;
import pied.server.space.StoredChange.Furnishing;
import pied.server.space.StoredShell.Place;

/**
 * How the pieces of a group go on being kept by a rule, as it is stored. The names here are those
 * in people's files and stay.
 */
@JsonIgnoreProperties(ignoreUnknown = true)
@JsonInclude(JsonInclude.Include.NON_NULL)
record StoredRule(Law rule, List<StoredArticle> mix, List<Long> out) {
  static @Nullable StoredRule of(@Nullable Repetition r) {
    return r == null
        ? null
        : new StoredRule(
            Law.of(r.rule()), StoredShell.each(r.mix(), StoredArticle::of), List.copyOf(r.out()));
  }

  Repetition live() {
    return new Repetition(
        rule.live(), StoredShell.each(mix, StoredArticle::live), new TreeSet<>(out));
  }

  record StoredArticle(List<Furnishing> parts, double share) {
    static StoredArticle of(Sample s) {
      return new StoredArticle(StoredShell.each(s.parts(), Furnishing::of), s.share());
    }

    Sample live() {
      return new Sample(StoredShell.each(parts, Furnishing::live), share);
    }
  }

  record RulePoint(double x, double z) {
    static @Nullable RulePoint of(@Nullable Spot s) {
      return s == null ? null : new RulePoint(s.x(), s.z());
    }

    Spot live() {
      return new Spot(x, z);
    }
  }

  record Gap(double by, boolean middles) {
    static @Nullable Gap of(Rule.Apart a) {
      return a == null ? null : new Gap(a.by(), a.middles());
    }

    static Rule.Apart live(Gap g) {
      return g == null ? null : new Rule.Apart(g.by, g.middles);
    }
  }

  /** Where the places are. */
  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "as")
  @JsonSubTypes({
    @JsonSubTypes.Type(value = Row.class, name = "row"),
    @JsonSubTypes.Type(value = Trail.class, name = "trail"),
    @JsonSubTypes.Type(value = Ring.class, name = "ring"),
    @JsonSubTypes.Type(value = Scatter.class, name = "scatter")
  })
  sealed interface Law {
    static Law of(Rule rule) {
      if (rule instanceof RowRule r) {
        return Row.of(r);
      }
      if (rule instanceof TrailRule t) {
        return Trail.of(t);
      }
      return rule instanceof RingRule r ? Ring.of(r) : Scatter.of((ScatterRule) rule);
    }

    Rule live();
  }

  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Row(
      Place at,
      double turn,
      Place way,
      int count,
      Gap apart,
      Double length,
      boolean evened,
      int rows,
      Gap rowsApart,
      int tiers,
      Gap tiersApart,
      boolean staggered,
      Double turning)
      implements Law {
    static Row of(RowRule r) {
      return new Row(
          Place.of(r.at()),
          r.turn(),
          Place.of(r.way()),
          r.count(),
          Gap.of(r.apart()),
          r.length(),
          r.evened(),
          r.rows(),
          Gap.of(r.rowsApart()),
          r.tiers(),
          Gap.of(r.tiersApart()),
          r.staggered(),
          r.turning() == 0 ? null : r.turning());
    }

    @Override
    public Rule live() {
      return new RowRule(
          at.live(),
          turn,
          way.live(),
          count,
          Gap.live(apart),
          length,
          evened,
          rows,
          Gap.live(rowsApart),
          tiers,
          Gap.live(tiersApart),
          staggered,
          turning == null ? 0 : turning);
    }
  }

  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Trail(
      List<RulePoint> path,
      boolean closed,
      String along,
      Integer count,
      Gap apart,
      Boolean spaced,
      Double offset,
      String facing,
      double turn,
      double high)
      implements Law {
    static Trail of(TrailRule t) {
      return new Trail(
          StoredShell.each(t.path(), RulePoint::of),
          t.closed(),
          t.along(),
          t.count(),
          Gap.of(t.apart()),
          t.spaced() ? true : null,
          t.offset(),
          t.facing().name(),
          t.turn(),
          t.high());
    }

    @Override
    public Rule live() {
      return new TrailRule(
          StoredShell.each(path, RulePoint::live),
          closed,
          along,
          count,
          Gap.live(apart),
          Boolean.TRUE.equals(spaced),
          offset,
          RepeatFacing.valueOf(facing),
          turn,
          high);
    }
  }

  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Ring(
      RulePoint at,
      String around,
      List<RulePoint> outline,
      int count,
      double gap,
      Double radius,
      String facing,
      double from,
      double arc,
      double turn,
      double high)
      implements Law {
    static Ring of(RingRule r) {
      return new Ring(
          RulePoint.of(r.at()),
          r.around(),
          StoredShell.each(r.outline(), RulePoint::of),
          r.count(),
          r.gap(),
          r.radius(),
          r.facing().name(),
          r.from(),
          r.arc(),
          r.turn(),
          r.high());
    }

    @Override
    public Rule live() {
      return new RingRule(
          at.live(),
          around,
          StoredShell.each(outline, RulePoint::live),
          count,
          gap,
          radius,
          RepeatFacing.valueOf(facing),
          from,
          arc,
          turn,
          high);
    }
  }

  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Scatter(
      List<String> onto,
      List<RulePoint> outline,
      RulePoint about,
      double radius,
      int count,
      Double density,
      double least,
      double turn,
      double turning,
      double sizing,
      double off,
      long seed)
      implements Law {
    static Scatter of(ScatterRule s) {
      return new Scatter(
          s.onto(),
          StoredShell.each(s.outline(), RulePoint::of),
          RulePoint.of(s.about()),
          s.radius(),
          s.count(),
          s.density(),
          s.least(),
          s.turn(),
          s.turning(),
          s.sizing(),
          s.off(),
          s.seed());
    }

    @Override
    public Rule live() {
      return new ScatterRule(
          onto,
          StoredShell.each(outline, RulePoint::live),
          about == null ? null : about.live(),
          radius,
          count,
          density,
          least,
          turn,
          turning,
          sizing,
          off,
          seed);
    }
  }
}
