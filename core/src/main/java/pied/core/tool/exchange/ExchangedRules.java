package pied.core.tool.exchange;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.Names;
import pied.core.catalog.Article;
import pied.core.edit.EditSession;
import pied.core.piece.Piece;
import pied.core.space.Group;
import pied.core.space.Repetition;
import pied.core.space.Sample;
import pied.core.tool.repeat.Repeating;

/**
 * What a repetition repeats is exchanged with all the pieces that fill its places; where only some
 * are, those are their own from then on.
 */
final class ExchangedRules {
  private ExchangedRules() {}

  /**
   * @param before the pieces that were exchanged, as they were
   */
  static void follow(EditSession session, Map<String, Piece> before, Article next) {
    Map<String, List<Piece>> filled = new LinkedHashMap<>();
    for (Piece p : before.values()) {
      if (p.keeping().slot() != null && !p.keeping().slot().own()) {
        filled.computeIfAbsent(p.keeping().group(), k -> new ArrayList<>()).add(p);
      }
    }
    filled.forEach((group, pieces) -> one(session, session.filing().group(group), pieces, next));
  }

  private static void one(EditSession session, Group g, List<Piece> were, Article next) {
    if (g == null || g.repeats() == null) {
      return;
    }
    Map<String, Piece> models = new LinkedHashMap<>();
    for (Piece p : were) {
      models.putIfAbsent(p.article(), session.piece(p.id()));
    }
    // another article that goes on filling places is still repeated
    for (String id : session.space().members(g.id())) {
      Piece p = session.piece(id);
      boolean repeated = p.keeping().slot() != null && !p.keeping().slot().own();
      if (repeated && !p.article().equals(next.id())) {
        models.remove(p.article());
      }
    }
    if (models.isEmpty()) {
      return;
    }
    Repetition r = g.repeats();
    List<Sample> mix = r.mix().stream().map(s -> exchanged(s, models, next)).toList();
    session.rules(g.id());
    Set<String> usual = new HashSet<>();
    models.keySet().forEach(id -> usual.add(called(session, id, r)));
    String name = usual.contains(Names.bare(g.name())) ? called(session, next.id(), r) : g.name();
    session.file(session.filing().with(g.withRepeats(r.withMix(mix)).withName(name)));
    Repeating.of(session, null, g.id(), null).lay(r.rule(), false);
  }

  /** How a repetition of an article is called where nobody has called it otherwise. */
  private static String called(EditSession session, String article, Repetition r) {
    return session.space().shapes().catalog().article(article).name() + " " + r.rule().called();
  }

  private static Sample exchanged(Sample s, Map<String, Piece> models, Article next) {
    List<Piece> parts = new ArrayList<>();
    for (Piece part : s.parts()) {
      Piece model = models.get(part.article());
      parts.add(
          model == null
              ? part
              : part.withForm(model.form()).withFinishes(model.finishes()).withName(next.name()));
    }
    return new Sample(parts, s.share());
  }
}
