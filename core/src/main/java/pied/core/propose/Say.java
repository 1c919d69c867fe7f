package pied.core.propose;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Supplier;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.edit.Change;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.edit.Offer;
import pied.core.edit.Outcome;
import pied.core.phrase.Phrase;
import pied.core.piece.Piece;
import pied.core.propose.Understood.SayNext;
import pied.core.register.Sentences;
import pied.core.say.Ask;
import pied.core.say.Nouns;
import pied.core.say.Reading;
import pied.core.say.Sentence;
import pied.core.say.Unread;
import pied.core.select.Afterwards;
import pied.core.space.Space;
import pied.core.units.Deadline;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/**
 * Reads what shall be, as one types it: a sentence, or a text of sentences, a line each. A sentence
 * is about what is selected, or about what it names before a colon; what it makes is selected
 * afterwards.
 */
public final class Say {
  /** Longest sentence and text, letters; and most lines of a text. */
  public static final int LONGEST = 600;

  static final int LONGEST_TEXT = 40_000;
  static final int MOST_LINES = 500;

  private static final int MOST_NEXT = 16;

  private Say() {}

  /**
   * Understands one sentence.
   *
   * @throws Refusal only if it is too long; what cannot be read is said in the answer
   */
  public static Understood understand(Ask ask, String text) {
    if (text.length() > LONGEST) {
      throw new Refusal(
          "A sentence has up to {} letters; this one has {}.", LONGEST, text.length());
    }
    Reading r = new Reading(text, ask.unit());
    try {
      return read(ask, r, new Nouns(ask, r));
    } catch (Unread e) {
      // what makes sense so far is shown already
      List<Edit> soFar = e.soFar() == null ? List.of() : List.of(e.soFar());
      return new Understood(
          soFar,
          words(ask.space(), ask.unit(), soFar),
          ask.selected(),
          next(ask, r),
          e.at,
          e.getMessage());
    } catch (Refusal e) {
      String why = e.in(ask.unit()).getMessage();
      return new Understood(List.of(), List.of(), ask.selected(), next(ask, r), r.furthest(), why);
    }
  }

  private static Understood read(Ask ask, Reading r, Nouns n) {
    List<String> about = about(r, n);
    Ask of = about == null ? ask : new Ask(ask.space(), about, ask.unit(), ask.newId());
    Nouns nouns = about == null ? n : new Nouns(of, r);
    if (r.is("select")) {
      List<String> ids = nouns.pieces();
      if (ids == null || !r.done()) {
        throw r.unread();
      }
      return new Understood(List.of(), List.of(), ids, List.of(), r.at(), null);
    }
    Chain chain = new Chain(of);
    Nouns now = nouns;
    do {
      chain.add(sentence(r, now));
      boolean more = r.ahead("then");
      now = more ? new Nouns(chain.next(), r) : now;
    } while (r.is("then"));
    if (!r.done()) {
      throw r.unread();
    }
    List<SayNext> next = next(ask, r);
    return new Understood(
        chain.edits(),
        words(chain.space(), ask.unit(), chain.edits()),
        of.selected(),
        next,
        r.at(),
        null,
        chain.ids(),
        chain.parts());
  }

  private static List<Edit> sentence(Reading r, Nouns nouns) {
    int begin = r.at();
    Unread farthest = null;
    for (Sentence<?> s : Sentences.all()) {
      r.back(begin);
      try {
        List<Edit> edits = s.read(r, nouns);
        if (edits != null) {
          return edits;
        }
      } catch (Unread e) { // another sort of sentence may be read farther
        farthest = farthest == null || e.at > farthest.at ? e : farthest;
      }
    }
    Unread now = r.unread();
    return fail(farthest != null && farthest.at == now.at ? now.after(farthest.soFar()) : now);
  }

  private static List<Edit> fail(Unread e) {
    throw e;
  }

  /** What it is about, where that is named before a colon. */
  private static @Nullable List<String> about(Reading r, Nouns n) {
    return r.rest().indexOf(':') < 0
        ? null
        : r.maybe(
            () -> {
              List<String> ids = n.pieces();
              return ids != null && r.quietly(":") ? ids : null;
            });
  }

  private static List<Phrase> words(Space space, LengthUnit unit, List<Edit> edits) {
    List<Phrase> all = new ArrayList<>();
    for (Edit e : edits) {
      List<Phrase> own = Sentences.write(space, e, unit);
      if (own != null) {
        all.addAll(own);
      }
    }
    return all;
  }

  // ---- how it could go on

  private static List<SayNext> next(Ask ask, Reading r) {
    Set<SayNext> all = new LinkedHashSet<>();
    if (r.begun() >= 0) { // the name may go on
      r.back(r.begun());
      String begun = r.rest().toLowerCase(Locale.ROOT);
      boolean piece = r.begunSort() == Reading.ReadingSort.piece;
      (piece ? pieces(ask, begun) : articles(ask, begun))
          .forEach(t -> all.add(new SayNext(t, true)));
      all.removeIf(t -> t.text().equalsIgnoreCase(begun));
      if (!all.isEmpty()) {
        return List.copyOf(all);
      }
    }
    r.back(r.furthest());
    String typed = r.rest().toLowerCase(Locale.ROOT);
    List<Reading.Expected> expected = new ArrayList<>(r.expected());
    expected.sort(
        Comparator.comparing(e -> e.sort() != Reading.ReadingSort.words)); // words come first
    for (Reading.Expected e : expected) {
      goOn(ask, e, typed, all);
      if (all.size() >= MOST_NEXT) {
        break;
      }
    }
    return all.stream().limit(MOST_NEXT).toList();
  }

  /** What one expected thing may be, from what was typed of it. */
  private static void goOn(Ask ask, Reading.Expected e, String typed, Set<SayNext> all) {
    switch (e.sort()) {
      case words -> {
        if (e.text().startsWith(typed)) {
          all.add(new SayNext(e.text(), true));
        }
      }
      case piece -> pieces(ask, typed).forEach(t -> all.add(new SayNext(t, true)));
      case article -> articles(ask, typed).forEach(t -> all.add(new SayNext(t, true)));
      case wall ->
          Nouns.walls(ask.space().shell()).stream()
              .filter(w -> w.toLowerCase(Locale.ROOT).startsWith(typed))
              .forEach(w -> all.add(new SayNext(w, true)));
      default -> {
        if (typed.isEmpty()) {
          all.add(new SayNext(e.text(), false));
        }
      }
    }
  }

  private static List<String> pieces(Ask ask, String typed) {
    String begin = typed.replaceFirst("^the ", "");
    return ask.space().pieces().stream()
        .map(Piece::name)
        .filter(name -> name.toLowerCase(Locale.ROOT).startsWith(begin))
        .distinct()
        .limit(5)
        .toList();
  }

  private static List<String> articles(Ask ask, String typed) {
    if (typed.length() < 2) {
      return List.of();
    }
    return ask.space().shapes().catalog().search(typed, null).stream()
        .map(Article::name)
        .limit(5)
        .toList();
  }

  // ---- doing it

  /**
   * What came of a text.
   *
   * @param outcome of all of it
   * @param selected afterwards: what its last sentence made, or was about
   * @param understood each sentence in core's own words
   */
  public record Done(Outcome outcome, List<String> selected, List<String> understood) {}

  /**
   * Does what a text says, all of it or nothing. Empty lines, and those that begin with #, say
   * nothing.
   *
   * @param selected ids of the pieces it begins with
   * @param layer id of the layer on which new pieces come
   * @throws Refusal if a line cannot be read or done; it names the line if there are several
   */
  public static Done make(
      Space space,
      String text,
      List<String> selected,
      LengthUnit unit,
      @Nullable String layer,
      Supplier<String> newId,
      Deadline deadline) {
    String[] lines = lines(text);
    Space now = space;
    List<String> chosen = selected;
    Set<String> touched = new LinkedHashSet<>();
    List<String> said = new ArrayList<>();
    List<Offer> offers = new ArrayList<>();
    List<String> understood = new ArrayList<>();
    for (int i = 0; i < lines.length; i++) {
      String line = lines[i].strip();
      if (line.isEmpty() || line.startsWith("#")) {
        continue;
      }
      try {
        Understood u = understand(new Ask(now, chosen, unit, newId), line);
        if (u.wrong() != null) {
          throw new Refusal(u.wrong());
        }
        chosen = u.selected();
        if (u.edits().isEmpty()) {
          continue;
        }
        Outcome out = Edits.apply(now, u.edits(), unit, layer, u.ids(newId), deadline, u::called);
        now = out.space();
        out.change().pieces().forEach(d -> touched.add(d.id()));
        said.addAll(out.said());
        offers.addAll(out.offers());
        understood.add(Phrase.said(u.words()));
        chosen = Afterwards.selected(now, chosen, out.change());
      } catch (Refusal e) {
        throw lines.length == 1 ? e.in(unit) : e.of("Line " + (i + 1) + ": ").in(unit);
      }
    }
    Change change = Change.between(space, now, touched);
    return new Done(new Outcome(now, change, said, offers, null), chosen, understood);
  }

  private static String[] lines(String text) {
    if (text == null || text.isBlank()) {
      throw new Refusal("Nothing was said. Type what shall be, such as: 4 in a row, 0.2 apart");
    }
    if (text.length() > LONGEST_TEXT) {
      throw new Refusal("A text has up to {} letters; send it in parts.", LONGEST_TEXT);
    }
    String[] lines = text.split("\\R");
    if (lines.length > MOST_LINES) {
      throw new Refusal("A text has up to {} lines; send it in parts.", MOST_LINES);
    }
    return lines;
  }
}
