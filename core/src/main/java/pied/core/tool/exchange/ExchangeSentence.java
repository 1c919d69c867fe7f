package pied.core.tool.exchange;

import java.util.List;
import java.util.stream.Collectors;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.edit.Edit;
import pied.core.phrase.Phrase;
import pied.core.phrase.Writer;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Reading;
import pied.core.say.Sentence;

/**
 * Such as "exchange for a bar stool", "swap the armchair for a chaise", "replace these with
 * crates".
 */
final class ExchangeSentence implements Sentence<Exchange> {
  /** So many names are read; more are "these". */
  private static final int MOST_NAMES = 6;

  /** So many of the same kind are offered. */
  private static final int MOST_OFFERED = 16;

  @Override
  public Class<Exchange> of() {
    return Exchange.class;
  }

  @Override
  public @Nullable List<Edit> read(Reading r, Nouns n) {
    if (!r.is("exchange|swap|replace")) {
      return null;
    }
    List<String> ids = n.selected();
    if (!r.is("for|with|by")) {
      ids = n.pieces();
      if (ids == null || !r.is("for|with|by")) {
        throw r.unread();
      }
    }
    r.quietly("a|an|one|the");
    Article a = n.article();
    if (a == null) {
      throw r.unread();
    }
    return Clause.only(r, n, new Exchange(ids, a.id()));
  }

  @Override
  public void write(Writer w, Exchange e) {
    List<String> there = e.pieces().stream().filter(w.space::has).toList();
    w.text("Exchange ");
    w.text(
        there.size() > MOST_NAMES
            ? "these"
            : there.stream()
                .map(id -> Nouns.name(w.space, id))
                .collect(Collectors.joining(" and ")));
    w.text(" for ");
    var catalog = w.space.shapes().catalog();
    Article now = e.article() == null ? null : catalog.article(e.article());
    Article like =
        now == null && !there.isEmpty() ? w.space.article(w.space.piece(there.get(0))) : now;
    if (like != null) {
      Phrase.Option[] all =
          catalog.search("", like.kind()).stream()
              .filter(a -> now != null || a != like)
              .limit(MOST_OFFERED)
              .map(a -> new Phrase.Option(a.name(), e.withArticle(a.id())))
              .toArray(Phrase.Option[]::new);
      w.choice(
          now == null ? "what is clicked in the catalog" : now.name(),
          "What takes its place, of this kind; or click any card of the catalog",
          all);
    }
    w.text(". ");
  }
}
