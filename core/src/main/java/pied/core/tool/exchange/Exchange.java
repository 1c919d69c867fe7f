package pied.core.tool.exchange;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.Names;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.catalog.Mounting;
import pied.core.catalog.Sizing;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Wanting;
import pied.core.edit.WhyNot;
import pied.core.material.Finish;
import pied.core.material.Finishes;
import pied.core.piece.Form;
import pied.core.piece.Piece;
import pied.core.piece.Stance;
import pied.core.place.Inset;
import pied.core.place.Rest;
import pied.core.place.Resting;
import pied.core.place.Target;
import pied.core.size.Measure;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.space.Spot;
import pied.core.tool.size.Fitting;
import pied.core.units.Refusal;

/**
 * Puts another article in the place of pieces. Each keeps its place, what carries it and what it
 * carries, its facing, and how it is kept; a size that it was given, where both articles come in
 * the same sizes that way; and its finishes on parts that both have. What is mounted otherwise goes
 * where its own mounting takes it, over the same place of the plan.
 *
 * @param article id of the article they become; null while it is not chosen
 */
@JsonTypeName("exchange")
@RecordBuilder
public record Exchange(List<String> pieces, @Nullable String article)
    implements Edit, ExchangeBuilder.With {
  /** What is mounted otherwise stays as near to its place, between the nearest sides, metres. */
  private static final double NEAR = 1;

  @Override
  public String ofParts() {
    return WhyNot.ARTICLE;
  }

  @Override
  public void make(EditSession session) {
    List<String> all = session.chosen(pieces);
    if (article == null) {
      throw new Wanting("Click a card of the catalog.");
    }
    Article next = session.space().shapes().catalog().article(article);
    List<String> ids =
        all.stream()
            .filter(id -> !session.piece(id).article().equals(next.id()))
            .sorted(Comparator.comparingDouble(id -> session.piece(id).at().y()))
            .toList();
    if (ids.isEmpty()) {
      throw new Refusal("{} is that already.", session.piece(all.get(0)).name());
    }
    Map<String, Piece> before = new LinkedHashMap<>();
    ids.forEach(id -> before.put(id, session.piece(id)));
    ids.forEach(id -> one(session, session.piece(id), next));
    twinsNamed(session, ids, next);
    ExchangedRules.follow(session, before, next);
    session.sayOverlaps(ids);
  }

  private static void one(EditSession session, Piece p, Article next) {
    session.deadline().check();
    Article was = session.article(p.id());
    Piece q = p.withName(named(session, p, was, next)).withFinishes(finishes(p, next));
    Form form =
        p.form().withArticle(next.id()).withSize(size(session, p, was, next)).withStretched(false);
    session.set(q);
    if (p.attached() || next.mounting() == was.mounting()) {
      Fitting.give(session, q, form);
    } else {
      otherwise(session, q, form, next);
    }
  }

  /** A name of its own stays; one by the article is one by the other article. */
  private static String named(EditSession session, Piece p, Article was, Article next) {
    return Names.bare(p.name()).equals(was.name()) ? session.freeName(next.name()) : p.name();
  }

  /** Its own finishes on parts that the other article has, too. */
  private static Finishes finishes(Piece p, Article next) {
    Map<String, Finish> kept = new LinkedHashMap<>(p.finishes().parts());
    kept.keySet().retainAll(next.finishes().keySet());
    return Finishes.of(kept);
  }

  /**
   * As it comes; but measures that the piece was given stay, where the other comes in them. What
   * sits in an opening fills it.
   */
  private static Size size(EditSession session, Piece p, Article was, Article next) {
    if (next.mounting() == Mounting.OPENING) {
      Target there = new Target.OnPlan(new Spot(p.at().x(), p.at().z()));
      return Inset.size(session.space().shell(), Inset.at(session.space().shell(), there), next);
    }
    double[] given = {Double.NaN, Double.NaN, Double.NaN};
    for (Measure m : Measure.values()) {
      Sizing.SizingRule rule = next.sizing().rule(m);
      boolean comes = rule.least() < rule.most() && rule.holds(m.of(p.size()));
      if (comes && m.of(p.size()) != m.of(was.size())) {
        given[m.ordinal()] = m.of(p.size());
      }
    }
    try {
      Size size = next.sizing().follow(next.size(), given);
      next.check(next.name(), size);
      return size;
    } catch (Refusal e) {
      return next.size(); // together they are none that it comes in
    }
  }

  /** Where its own mounting takes it, over its place of the plan. */
  private static void otherwise(EditSession session, Piece p, Form form, Article next) {
    Set<String> carried = session.space().carriedBy(p.id());
    Set<String> own = session.space().withCarried(List.of(p.id()));
    Target there = new Target.OnPlan(new Spot(p.at().x(), p.at().z()));
    Rest rest = new Resting(session.space(), next, form.size(), own).at(there, p.turn());
    Vec off = rest.at().minus(p.at());
    double away =
        Math.hypot(off.x(), off.z())
            - (Math.max(p.size().width(), p.size().depth()) + form.size().depth()) / 2;
    if (next.mounting() != Mounting.OPENING && away > NEAR) {
      throw new Refusal(
          "{} cannot be where {} is: the nearest place for it is on {}.",
          next.name(),
          p.name(),
          session.space().nameOf(rest.on()));
    }
    session.set(p.withForm(form).withStance(new Stance(rest.at(), rest.turn())).withOn(rest.on()));
    session.say("{} is on {} now.", p.name(), session.space().nameOf(rest.on()));
    session.settle(carried, true);
  }

  /** The other one of a pair is called by what it becomes, as this one is. */
  private static void twinsNamed(EditSession session, List<String> ids, Article next) {
    List<String> others = new ArrayList<>();
    for (String id : ids) {
      var twin = session.piece(id).keeping().twin();
      if (twin != null && twin.piece() != null && !ids.contains(twin.piece())) {
        Piece other = session.piece(twin.piece());
        if (Names.bare(other.name()).equals(session.space().article(other).name())) {
          others.add(other.id());
        }
      }
    }
    others.forEach(session::follows);
    others.forEach(id -> session.set(session.piece(id).withName(session.freeName(next.name()))));
  }
}
