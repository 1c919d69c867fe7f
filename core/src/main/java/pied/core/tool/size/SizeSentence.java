package pied.core.tool.size;

import java.util.ArrayList;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edit.Measures;
import pied.core.phrase.Writer;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Points;
import pied.core.say.Reading;
import pied.core.say.Sentence;
import pied.core.size.Measure;

/** Such as "0.42 x 0.42 x 0.66", "1.20 wide, 0.80 high", "150%", "same height as the lead". */
public final class SizeSentence implements Sentence<Resize> {
  @Override
  public Class<Resize> of() {
    return Resize.class;
  }

  @Override
  public List<Edit> read(Reading r, Nouns n) {
    if (r.is("same")) {
      return same(r, n);
    }
    Resize e =
        ResizeBuilder.builder().pieces(n.selected()).size(new Measures(null, null, null)).build();
    int before = r.at();
    Amount factor = r.angle("a number");
    if (factor != null && r.quietly("%")) {
      Amount by = Amount.typed(Points.number(factor) + "%");
      return List.of(
          Clause.all(
              r,
              n,
              e.withSize(new Measures(by, null, null)).withTogether(Together.all),
              List.of()));
    }
    r.back(before);
    Resize three = three(r, e);
    if (three != null) {
      return List.of(Clause.all(r, n, three, List.of(SizeSentence::hold)));
    }
    r.back(before);
    Resize one = measure(r, n, e);
    return one == null
        ? null
        : List.of(Clause.all(r, n, one, List.of(SizeSentence::measure, SizeSentence::hold)));
  }

  /** Width, depth and height. */
  public static @Nullable Measures three(Reading r) {
    Amount w = r.length("a length");
    if (w == null || !r.is("x|*|by")) {
      return null;
    }
    Amount d = r.length("a length");
    if (d == null || !r.is("x|*|by")) {
      return null;
    }
    Amount h = r.length("a length");
    return h == null ? null : new Measures(w, d, h);
  }

  private static @Nullable Resize three(Reading r, Resize e) {
    Measures m = three(r);
    return m == null ? null : e.withSize(m);
  }

  /** Such as "1.20 wide", added to what is there. */
  public static @Nullable Measures measure(Reading r, @Nullable Measures now) {
    Amount by = r.length("a length");
    if (by == null) {
      return null;
    }
    Measures m = now == null ? new Measures(null, null, null) : now;
    if (r.is("wide")) {
      return new Measures(by, m.depth(), m.height());
    }
    if (r.is("deep")) {
      return new Measures(m.width(), by, m.height());
    }
    return r.is("high") ? new Measures(m.width(), m.depth(), by) : null;
  }

  private static @Nullable Resize measure(Reading r, Nouns n, Resize e) {
    Measures m = measure(r, e.size());
    return m == null ? null : e.withSize(m);
  }

  private static @Nullable Resize hold(Reading r, Nouns n, Resize e) {
    return r.is("proportions kept|in proportion") ? e.withTogether(Together.all) : null;
  }

  private static List<Edit> same(Reading r, Nouns n) {
    List<Measure> measures = new ArrayList<>();
    if (!r.is("size")) {
      do {
        Measure m =
            r.is("height")
                ? Measure.height
                : r.is("width") ? Measure.width : r.is("depth") ? Measure.depth : null;
        if (m == null) {
          throw r.unread();
        }
        measures.add(m);
      } while (r.quietly("and|,"));
    }
    if (!r.is("as")) {
      throw r.unread();
    }
    String as = n.piece();
    if (as == null) {
      throw r.unread();
    }
    List<String> all = new ArrayList<>(n.selected());
    all.remove(as);
    all.add(as);
    return List.of(
        Clause.all(
            r,
            n,
            SizeAsBuilder.builder()
                .pieces(all)
                .measures(measures.isEmpty() ? null : measures)
                .build(),
            List.of()));
  }

  @Override
  public void write(Writer w, Resize e) {
    Measures m = e.size();
    boolean percent =
        m.width() != null && m.width().text() != null && m.width().text().endsWith("%");
    if (percent) {
      w.text(m.width().text() + ". ");
      return;
    }
    List<String> all = new ArrayList<>();
    add(w, all, m.width(), " wide");
    add(w, all, m.depth(), " deep");
    add(w, all, m.height(), " high");
    w.text(String.join(", ", all) + (e.together() == Together.all ? ", proportions kept" : ""));
    w.text(". ");
  }

  public static void add(Writer w, List<String> all, @Nullable Amount a, String word) {
    if (a != null) {
      all.add(Points.length(w, a) + word);
    }
  }
}
