package pied.core.tool.place;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edit.PlanPoint;
import pied.core.phrase.Writer;
import pied.core.piece.Piece;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Reading;
import pied.core.say.Sentence;
import pied.core.solid.Vec;
import pied.core.tool.onto.SettleOnto;

/**
 * Several different things on one, such as "a jug, a teapot, two tumblers and a bowl on the round
 * table": spread over it with room between, the largest first.
 */
final class ListSentence implements Sentence<Edit> {
  /** More than so many stand in two rows. */
  private static final int ROW = 4;

  /** Most things in one sentence. */
  private static final int MOST = 60;

  @Override
  public @Nullable Class<Edit> of() {
    return null;
  }

  @Override
  public @Nullable List<Edit> read(Reading r, Nouns n) {
    int before = r.at();
    List<Article> all = r.maybe(() -> list(r, n));
    String onto = all == null || !r.quietly("on|onto") ? null : r.maybe(n::piece);
    if (onto == null) {
      r.back(before);
      return null;
    }
    List<Edit> edits = laid(n, all, n.space().piece(onto));
    Clause.all(r, n, edits, List.of());
    return edits;
  }

  /** At least two sorts of things; null if it is no list. */
  private static @Nullable List<Article> list(Reading r, Nouns n) {
    List<Article> all = new ArrayList<>();
    int sorts = 0;
    boolean more = true;
    while (more) {
      Amount many = r.quietly("a|an|the") ? Amount.of(1) : r.whole("how many");
      Article a = many == null ? null : n.article();
      if (a == null || all.size() + many.number() > MOST) {
        return null;
      }
      for (int i = 0; i < many.number(); i++) {
        all.add(a);
      }
      sorts++;
      boolean comma = r.comma();
      more = r.quietly("and") || comma;
    }
    return sorts < 2 ? null : all;
  }

  private static List<Edit> laid(Nouns n, List<Article> articles, Piece on) {
    List<Article> sorted = new ArrayList<>(articles);
    sorted.sort(Comparator.comparingDouble(a -> -a.size().width() * a.size().depth()));
    int rows = sorted.size() > ROW ? 2 : 1;
    int columns = (sorted.size() + rows - 1) / rows;
    List<Edit> all = new ArrayList<>();
    List<String> ids = new ArrayList<>();
    for (int i = 0; i < sorted.size(); i++) {
      double x = ((i % columns + 0.5) / columns - 0.5) * on.size().width();
      double z = ((i / columns + 0.5) / rows - 0.5) * on.size().depth();
      Vec at = on.pose().apply(new Vec(x, 0, z));
      String id = n.newId();
      ids.add(id);
      all.add(
          PlaceBuilder.builder()
              .article(sorted.get(i).id())
              .piece(id)
              .at(new PlanPoint(Amount.of(at.x()), Amount.of(at.z())))
              .build());
    }
    all.add(new SettleOnto(ids, on.id()));
    return all;
  }

  @Override
  public void write(Writer w, Edit edit) {
    throw new UnsupportedOperationException("It is not written");
  }
}
