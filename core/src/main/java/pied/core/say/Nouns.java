package pied.core.say;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.BiFunction;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.edit.RepeatedArticle;
import pied.core.piece.Piece;
import pied.core.space.Bar;
import pied.core.space.Group;
import pied.core.space.Part;
import pied.core.space.Platform;
import pied.core.space.Rule;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.units.Refusal;

/** Reads what is named: pieces, articles, walls. Names need not be whole, nor without slips. */
public final class Nouns {
  /** Names have so many words at most. */
  private static final int LONGEST = 8;

  /** Words that go on with a sentence and begin no name. */
  private static final Set<String> GO_ON =
      Set.of(
          "in", "on", "onto", "along", "around", "at", "with", "over", "within", "apart", "facing",
          "and", "by", "from", "to", "seed", "against", "of", "off", "about", "called", "turned");

  private final Ask ask;
  private final Space space;
  private final Reading r;
  private final Map<String, List<Article>> searched = new HashMap<>();

  public Nouns(Ask ask, Reading r) {
    this.ask = ask;
    space = ask.space();
    this.r = r;
  }

  public List<String> selected() {
    return ask.selected();
  }

  /** Without the parts of the shell among them. */
  private List<String> selectedPieces() {
    return ask.selected().stream().filter(ask.space()::has).toList();
  }

  public Space space() {
    return space;
  }

  /** The group that is selected as a whole and kept by a rule; null for none. */
  public @Nullable Group repetition() {
    List<String> ids = selectedPieces();
    String id = ids.isEmpty() ? null : space.piece(ids.get(0)).keeping().group();
    Group g = space.filing().group(id);
    boolean whole = g != null && g.repeats() != null;
    return whole && space.members(id).equals(Set.copyOf(ids)) ? g : null;
  }

  /**
   * Something of that, if its rule is of a sort; else null.
   *
   * @param what of it
   */
  public <R extends Rule, T> @Nullable T repetition(Class<R> sort, BiFunction<R, String, T> what) {
    Group g = repetition();
    boolean own = g != null && sort.isInstance(g.repeats().rule());
    return own ? what.apply(sort.cast(g.repeats().rule()), g.id()) : null;
  }

  public String newId() {
    return ask.newId().get();
  }

  @Nullable
  public String lead() {
    List<String> pieces = selectedPieces();
    return pieces.isEmpty() ? null : pieces.get(pieces.size() - 1);
  }

  // ---- pieces

  /** The id of one piece; null if none is named here. */
  @Nullable
  public String piece() {
    if (r.is("the lead|it")) {
      if (lead() == null) {
        throw new Refusal("Nothing is selected; name a piece.");
      }
      return lead();
    }
    List<String> found = named(true);
    if (found == null) {
      r.expect(Reading.ReadingSort.piece, "the name of a piece");
      return null;
    }
    return found.get(0);
  }

  /** Ids of several; null if none are named here. */
  @Nullable
  public List<String> pieces() {
    boolean these = r.is("these|those|them");
    if (these) {
      if (ask.selected().isEmpty()) {
        throw new Refusal("Nothing is selected; name the pieces.");
      }
      List<String> found = r.maybe(() -> among(selectedPieces()));
      return found == null ? ask.selected() : found;
    }
    if (r.is("all|every")) {
      List<String> found = named(false);
      return found;
    }
    List<String> all = new ArrayList<>();
    do {
      String part = part();
      List<String> found = part == null ? named(false) : List.of(part);
      if (found == null) {
        r.expect(Reading.ReadingSort.piece, "the name of a piece");
        return null;
      }
      all.addAll(found);
    } while (r.quietly("and"));
    return List.copyOf(new LinkedHashSet<>(all));
  }

  /** The name of a part that is built into the shell; null if none is named here. */
  private @Nullable String part() {
    int before = r.at();
    r.quietly("the");
    for (Reading.Span s : r.spans(LONGEST)) {
      for (List<? extends Part> some : space.shell().parts().values()) {
        for (Part p : some) {
          @Nullable String own = space.filing().part(p.name()).name();
          if (p.id().equalsIgnoreCase(s.text())
              || s.text().equalsIgnoreCase(own)
              || ("the " + s.text()).equalsIgnoreCase(own)) {
            r.take(s);
            return p.name().text();
          }
        }
      }
    }
    r.back(before);
    return null;
  }

  /** Of the selected ones those that go by the next words. */
  private @Nullable List<String> among(List<String> ids) {
    for (Reading.Span s : r.spans(LONGEST)) {
      Set<String> articles = articles(s.text());
      List<String> found =
          ids.stream().filter(id -> articles.contains(space.piece(id).article())).toList();
      if (!found.isEmpty()) {
        r.take(s);
        return found;
      }
    }
    return null;
  }

  /**
   * Pieces by their names, or by what they are.
   *
   * @param one whether it has to be clear which
   */
  private @Nullable List<String> named(boolean one) {
    String quoted = r.quoted();
    if (quoted != null) {
      List<String> ids = names().get(plain(quoted));
      if (ids == null) {
        throw new Refusal("There is no piece of the name “{}” here.", Reading.shown(quoted));
      }
      return ids;
    }
    r.quietly("the|a|an");
    for (Reading.Span s : r.spans(LONGEST)) {
      List<String> ids = names().get(plain(s.text()));
      if (ids != null) {
        r.take(s);
        return one || !plural(s.text()) ? ids : alike(ids, s.text());
      }
    }
    for (Reading.Span s : r.spans(LONGEST)) {
      if (GO_ON.contains(first(s.text()))) {
        continue;
      }
      List<String> ids = ofArticle(s.text());
      if (!ids.isEmpty()) {
        r.takePart(s, Reading.ReadingSort.piece);
        return one && ids.size() > 1 ? List.of(which(ids, s.text())) : ids;
      }
    }
    return null;
  }

  private static boolean plural(String s) {
    return s.endsWith("s");
  }

  private List<String> alike(List<String> ids, String text) {
    List<String> all = ofArticle(text);
    return all.isEmpty() ? ids : all;
  }

  /** One of several: the one that is selected, or else it has to be said. */
  private String which(List<String> ids, String text) {
    List<String> chosen = ids.stream().filter(ask.selected()::contains).toList();
    if (chosen.size() == 1) {
      return chosen.get(0);
    }
    List<String> some = ids.stream().limit(4).map(id -> space.piece(id).name()).toList();
    throw new Refusal(
        "There are {} that “{}” could mean; say which: {}{}.",
        ids.size(),
        Reading.shown(text),
        String.join(", ", some),
        ids.size() > 4 ? " …" : "");
  }

  private List<String> ofArticle(String text) {
    Set<String> articles = articles(text);
    return articles.isEmpty()
        ? List.of()
        : space.pieces().stream()
            .filter(p -> articles.contains(p.article()) && !space.hidden(p))
            .map(Piece::id)
            .toList();
  }

  private Set<String> articles(String text) {
    Set<String> all = new HashSet<>();
    for (Article a : search(text)) {
      all.add(a.id());
    }
    return all;
  }

  private List<Article> search(String text) {
    return searched.computeIfAbsent(text, t -> space.shapes().catalog().search(t, null));
  }

  private Map<String, List<String>> names() {
    return space.kept(
        "names said",
        () -> {
          Map<String, List<String>> all = new LinkedHashMap<>();
          for (Piece p : space.pieces()) {
            all.computeIfAbsent(plain(p.name()), k -> new ArrayList<>()).add(p.id());
          }
          return all;
        });
  }

  public static String plain(String name) {
    return name.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
  }

  private static String first(String text) {
    return plain(text).split(" ")[0];
  }

  // ---- articles

  /** One article; null if none is named here. */
  @Nullable
  public Article article() {
    for (Reading.Span s : r.spans(LONGEST)) {
      if (GO_ON.contains(first(s.text()))) {
        continue;
      }
      String plain = plain(s.text());
      Article exact = null;
      List<Article> found = search(s.text());
      for (Article a : found) {
        boolean same = plain(a.name()).equals(plain) || (plain(a.name()) + "s").equals(plain);
        exact = exact == null && same ? a : exact;
      }
      if (!found.isEmpty() && enough(s.text())) {
        r.takePart(s, Reading.ReadingSort.article);
        return exact == null ? found.get(0) : exact;
      }
    }
    r.expect(Reading.ReadingSort.article, "an article of the catalog");
    return null;
  }

  /** A letter or two name nothing. */
  private static boolean enough(String text) {
    return text.replaceAll("[^\\p{L}]", "").length() > 2;
  }

  /** Articles with "and" between them, as a mix; null if none is named here. */
  @Nullable
  public List<RepeatedArticle> kinds() {
    List<RepeatedArticle> all = new ArrayList<>();
    do {
      Article a = article();
      if (a == null) {
        return null;
      }
      all.add(new RepeatedArticle(a.id(), null));
    } while (r.quietly("and"));
    return all;
  }

  // ---- the shell

  /** The letter or the name of a wall; null if none is named here. */
  @Nullable
  public String wall() {
    int before = r.at();
    if (!r.is("wall|the wall")) {
      return null;
    }
    String name = letter();
    if (name == null) {
      r.back(before);
    }
    return name;
  }

  /** A letter of a wall, where that much is clear. */
  @Nullable
  public String letter() {
    for (Reading.Span s : r.spans(3)) {
      for (String name : walls(space.shell())) {
        if (name.equalsIgnoreCase(s.text())) {
          r.take(s);
          return name;
        }
      }
    }
    r.expect(Reading.ReadingSort.wall, "the letter of a wall");
    return null;
  }

  public static List<String> walls(Shell shell) {
    return shell.faces().stream().map(w -> w.name()).distinct().toList();
  }

  /** The name of a platform; null if none is named here. */
  @Nullable
  public String platform() {
    for (Reading.Span s : r.spans(4)) {
      for (Platform p : space.shell().platforms()) {
        if (p.id().equalsIgnoreCase(s.text()) || ("the " + p.id()).equalsIgnoreCase(s.text())) {
          r.take(s);
          return p.id();
        }
      }
    }
    if (!space.shell().platforms().isEmpty()) {
      r.expect(Reading.ReadingSort.words, space.shell().platforms().get(0).id());
    }
    return null;
  }

  /** The id of a bar; null if none is named here. */
  @Nullable
  public String bar() {
    for (Reading.Span s : r.spans(3)) {
      for (Bar b : space.shell().bars()) {
        if (b.id().equalsIgnoreCase(s.text()) || ("the " + b.id()).equalsIgnoreCase(s.text())) {
          r.take(s);
          return b.id();
        }
      }
    }
    if (!space.shell().bars().isEmpty()) {
      r.expect(Reading.ReadingSort.words, space.shell().bars().get(0).id());
    }
    return null;
  }

  /** How a piece is named so that it is found again. */
  public static String name(Space space, String id) {
    if (!space.has(id)) {
      return "a piece that is gone";
    }
    String name = space.piece(id).name();
    boolean plain = name.matches("[\\p{L}\\p{N} .'-]+") && !GO_ON.contains(first(name));
    return plain ? name : "“" + name.replace("”", "") + "”";
  }
}
