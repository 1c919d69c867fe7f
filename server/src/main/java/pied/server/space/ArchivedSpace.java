package pied.server.space;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import pied.core.Nullable;
import pied.core.edit.Change;
import pied.core.piece.Piece;
import pied.core.piece.Shapes;
import pied.core.space.Difference;
import pied.core.space.Filing;
import pied.core.space.Ordered;
import pied.core.space.Shell;
import pied.core.space.ShellCheck;
import pied.core.space.Space;
import pied.core.space.Validation;
import pied.core.space.Validity;
import pied.core.units.Refusal;
import pied.core.units.Text;
import pied.server.store.Json;

/**
 * A space as readable JSON, with what was done in it lately: the forms in which both are stored.
 *
 * @param steps what was done, the oldest first
 */
public record ArchivedSpace(String name, long revision, Space space, List<ArchivedStep> steps) {
  /** Most steps that go along. */
  static final int STEPS = 100;

  /** Most steps that are read. */
  private static final int MOST_STEPS = 1000;

  /** So often nobody has ever altered a space: a year of an edit a millisecond. */
  private static final long MOST_REVISION = 1L << 35;

  private static final int LONGEST_WORDS = 2_000;

  /**
   * Something that was done.
   *
   * @param change null where it is no longer of use
   */
  record ArchivedStep(
      long revision,
      StepRow.StepKind kind,
      @Nullable Change change,
      @Nullable String doneIn,
      @Nullable String who,
      @Nullable String words,
      Instant at) {
    /** One that cannot be done again. */
    ArchivedStep past() {
      return new ArchivedStep(revision, StepRow.StepKind.PAST, null, doneIn, who, words, at);
    }
  }

  // ---- writing

  ObjectNode write() {
    ObjectNode out = Json.MAPPER.createObjectNode();
    out.put("form", Stored.FORM).put("name", name).put("revision", revision);
    out.set("shell", Json.MAPPER.valueToTree(StoredShell.of(space.shell())));
    out.set("contents", Json.MAPPER.valueToTree(StoredChange.of(contents())));
    ArrayNode history = out.putArray("history");
    for (ArchivedStep s : steps) {
      ObjectNode step = history.addObject();
      step.put("revision", s.revision).put("kind", s.kind.name()).put("at", s.at.toString());
      put(step, "in", s.doneIn);
      put(step, "who", s.who);
      put(step, "words", s.words);
      if (s.change != null) {
        step.set("change", Json.MAPPER.valueToTree(StoredChange.of(s.change)));
      }
    }
    return out;
  }

  /** All that is in the bare shell, as what put it there. */
  private Change contents() {
    Space bare = Space.of(space.shell(), Filing.PLAIN, List.of(), space.shapes());
    List<Difference> all = new ArrayList<>(bare.differences(space));
    for (Piece p : space.pieces()) {
      all.add(new Difference.OfPiece(null, space.ordered(p.id())));
    }
    return new Change(all);
  }

  private static void put(ObjectNode to, String name, @Nullable String value) {
    if (value != null) {
      to.put(name, value);
    }
  }

  // ---- reading

  /**
   * Reads one; nothing in it is trusted.
   *
   * @param articles ids of the articles it names, as they are here
   * @param said what could not be kept, in sentences
   * @throws Refusal if nothing of it can be kept
   */
  public static ArchivedSpace read(
      JsonNode json, Map<String, String> articles, Shapes shapes, List<String> said) {
    int form = json.path("form").asInt(0);
    if (form < 3 || form > Stored.FORM) {
      throw new Refusal("It is of a form that this Pied does not know.");
    }
    renamed(json, articles);
    String name = Text.name("It", json.path("name").asText(""));
    Validation look = new Validation();
    Space space;
    try {
      Shell shell = ShellCheck.checked(Json.value(json.path("shell"), StoredShell.class).live());
      Change contents = Json.value(json.path("contents"), StoredChange.class).live();
      space =
          space(
              contents,
              Space.of(shell, Filing.PLAIN, List.of(), shapes),
              look,
              a -> here(shapes, articles, a),
              said);
    } catch (Refusal e) {
      throw e;
    } catch (RuntimeException e) { // whatever may be in it
      throw new Refusal("It cannot be read; it is damaged.");
    }
    said.addAll(look.said());
    long revision = json.path("revision").asLong(-1);
    if (revision < 0 || revision > MOST_REVISION) {
      said.add("The number of its revision made no sense; it begins anew.");
      revision = 1;
    }
    return new ArchivedSpace(name, revision, space, steps(json, revision, space, name, said));
  }

  private static Space space(
      Change contents, Space bare, Validation look, Predicate<String> here, List<String> said) {
    List<Difference> order = new ArrayList<>();
    List<Difference.OfPiece> pieces = new ArrayList<>();
    Set<String> ids = new HashSet<>();
    for (Difference d : contents.all()) {
      if (d instanceof Difference.OfPiece p) {
        pieces.add(p);
        ids.add(p.id());
      } else if (d instanceof Difference.OfFiling || d instanceof Difference.OfShown) {
        order.add(d);
      }
    }
    if (pieces.size() > Validity.MOST_PIECES) {
      throw new Refusal("It has more pieces than a space may hold.");
    }
    Space told = bare.apply(order);
    Space ready =
        bare.with(look.filing(told.filing(), ids, bare.shell()))
            .with(look.showing(told.showing(), ids));
    return look.whole(ready.apply(sound(ready, pieces, here, said)));
  }

  /**
   * What was done, as far back as it leads from one sound space to another; what came before cannot
   * be undone.
   */
  private static List<ArchivedStep> steps(
      JsonNode json, long revision, Space space, String name, List<String> said) {
    List<ArchivedStep> steps = new ArrayList<>();
    try {
      JsonNode history = json.path("history");
      int from = Math.max(0, history.size() - MOST_STEPS);
      for (int i = from; i < history.size(); i++) {
        steps.add(step(history.get(i), revision));
      }
    } catch (RuntimeException e) {
      said.add("What was done in “" + name + "” cannot be read; it cannot be undone there.");
      return List.of();
    }
    int good = steps.size();
    Space at = space;
    while (good > 0) {
      ArchivedStep s = steps.get(good - 1);
      if (s.change != null && s.kind == StepRow.StepKind.DONE) {
        Space before = done(at, s.change.reversed());
        if (before == null) {
          said.add("Of what was done in “" + name + "” only the last of it can be undone.");
          break;
        }
        at = before;
      }
      good--;
    }
    List<ArchivedStep> kept = new ArrayList<>(steps.subList(good, steps.size()));
    at = space;
    for (int i = 0; i < kept.size(); i++) { // what is undone may be done again
      ArchivedStep s = kept.get(i);
      if (s.change != null && s.kind == StepRow.StepKind.UNDONE) {
        Space after = done(at, s.change);
        at = after == null ? at : after;
        kept.set(i, after == null ? s.past() : s);
      }
    }
    return kept;
  }

  /** The space after a change, or null where that is no sound space. */
  private static @Nullable Space done(Space at, Change change) {
    try {
      Space after = at.apply(change.all());
      if (change.shell()) {
        ShellCheck.checked(after.shell());
      }
      return Validation.leads(after, change.all()) ? after : null;
    } catch (RuntimeException e) { // whatever may be in it
      return null;
    }
  }

  /** Articles have the ids that they have here. */
  private static void renamed(JsonNode json, Map<String, String> articles) {
    if (json instanceof ObjectNode o) {
      String id = o.path("article").asText(null);
      if (id != null && articles.containsKey(id)) {
        o.put("article", articles.get(id));
      }
    }
    json.forEach(child -> renamed(child, articles));
  }

  /** Whether an article is one of those that everybody has, or came along. */
  private static boolean here(Shapes shapes, Map<String, String> articles, String id) {
    try {
      return articles.containsValue(id) || shapes.catalog().article(id).project() == null;
    } catch (Refusal e) {
      return false;
    }
  }

  /** Without what is not sound by itself, or made from an article that is not here. */
  private static List<Difference> sound(
      Space ready, List<Difference.OfPiece> pieces, Predicate<String> here, List<String> said) {
    List<Difference> kept = new ArrayList<>();
    Map<String, Integer> lost = new TreeMap<>();
    Set<String> ids = new HashSet<>();
    for (Difference.OfPiece p : pieces) {
      Ordered o = p.after();
      if (o == null || p.before() != null) {
        lost.merge(" of no use.", 1, Integer::sum);
        continue;
      }
      try {
        Piece q = kept(ready, o.piece(), here, ids);
        kept.add(new Difference.OfPiece(null, new Ordered(q, o.place())));
      } catch (Refusal e) {
        lost.merge(" left out: " + e.getMessage(), 1, Integer::sum);
      }
    }
    lost.forEach((why, n) -> said.add((n == 1 ? "One piece is" : n + " pieces are") + why));
    return kept;
  }

  private static Piece kept(Space ready, Piece p, Predicate<String> here, Set<String> ids) {
    if (p.id() == null || p.id().isBlank() || !ids.add(p.id())) {
      throw new Refusal("without an id of its own.");
    }
    if (!here.test(p.article())) {
      throw new Refusal("the article “{}” is missing.", Text.clean(p.article()));
    }
    return Validation.piece(ready, p);
  }

  private static ArchivedStep step(JsonNode s, long revision) {
    long at = s.path("revision").asLong();
    if (at < 0 || at > revision) {
      throw new IllegalArgumentException("A step of the future");
    }
    Instant when;
    try {
      when = Instant.parse(s.path("at").asText());
    } catch (DateTimeException e) {
      when = Instant.EPOCH;
    }
    JsonNode change = s.path("change");
    return new ArchivedStep(
        at,
        StepRow.StepKind.valueOf(s.path("kind").asText()),
        change.isMissingNode() ? null : Json.value(change, StoredChange.class).live(),
        brief(s, "in", 80),
        brief(s, "who", 80),
        brief(s, "words", LONGEST_WORDS),
        when);
  }

  private static @Nullable String brief(JsonNode s, String name, int most) {
    String v = s.path(name).asText(null);
    String cut = v == null ? null : v.substring(0, Math.min(most, v.length()));
    return cut == null || !Text.whole(cut) ? null : cut;
  }
}
