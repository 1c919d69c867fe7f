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
import pied.core.Refusal;
import pied.core.Text;
import pied.core.edit.Change;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Shapes;
import pied.core.space.Difference;
import pied.core.space.Filing;
import pied.core.space.Ordered;
import pied.core.space.Shell;
import pied.core.space.Sound;
import pied.core.space.Space;
import pied.server.store.Json;

/**
 * A space as readable JSON, with what was done in it lately: the forms in which both are stored.
 *
 * @param steps what was done, the oldest first
 */
public record ArchivedSpace(String name, long revision, Space space, List<Step> steps) {
  /** Most steps that go along. */
  static final int STEPS = 100;

  private static final int MOST_PIECES = 20_000;

  /**
   * Something that was done.
   *
   * @param change null where it is no longer of use
   */
  record Step(
      long revision,
      StepRow.Kind kind,
      @Nullable Change change,
      @Nullable String doneIn,
      @Nullable String who,
      @Nullable String words,
      Instant at) {}

  // ---- writing

  ObjectNode write() {
    ObjectNode out = Json.MAPPER.createObjectNode();
    out.put("form", Stored.FORM).put("name", name).put("revision", revision);
    out.set("shell", Json.MAPPER.valueToTree(StoredShell.of(space.shell())));
    out.set("contents", Json.MAPPER.valueToTree(StoredChange.of(contents())));
    ArrayNode history = out.putArray("history");
    for (Step s : steps) {
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
    Space space;
    try {
      Shell shell = Json.value(json.path("shell"), StoredShell.class).live();
      Space bare = Space.of(shell, Filing.PLAIN, List.of(), shapes);
      Change contents = Json.value(json.path("contents"), StoredChange.class).live();
      List<Difference> order = new ArrayList<>();
      List<Difference.OfPiece> pieces = new ArrayList<>();
      for (Difference d : contents.all()) {
        if (d instanceof Difference.OfPiece p) {
          pieces.add(p);
        } else {
          order.add(d);
        }
      }
      Space ready = bare.apply(order);
      space = ready.apply(sound(ready, pieces, a -> here(shapes, articles, a), said));
    } catch (Refusal e) {
      throw e;
    } catch (RuntimeException e) { // whatever may be in it
      throw new Refusal("It cannot be read; it is damaged.");
    }
    long revision = Math.max(0, json.path("revision").asLong());
    List<Step> steps = new ArrayList<>();
    try {
      json.path("history").forEach(s -> steps.add(step(s, revision)));
    } catch (RuntimeException e) {
      steps.clear();
      said.add("What was done in “" + name + "” cannot be read; it cannot be undone there.");
    }
    return new ArchivedSpace(
        name, revision, space, steps.subList(Math.max(0, steps.size() - 1000), steps.size()));
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
      String why = o == null ? " of no use." : wrong(ready, o.piece(), here, ids);
      if (why == null) {
        kept.add(p);
      } else {
        lost.merge(why, 1, Integer::sum);
      }
    }
    if (ids.size() > MOST_PIECES) {
      throw new Refusal("It has more pieces than a space may hold.");
    }
    lost.forEach((why, n) -> said.add((n == 1 ? "One piece is" : n + " pieces are") + why));
    return kept;
  }

  private static @Nullable String wrong(
      Space ready, Piece p, Predicate<String> here, Set<String> ids) {
    if (p.id() == null || p.id().isBlank() || !ids.add(p.id())) {
      return " left out: without an id of its own.";
    }
    if (!here.test(p.article())) {
      return " left out: the article “" + Text.clean(p.article()) + "” is missing.";
    }
    try {
      Sound.pieces(ready, List.of(p.withOn(On.NOTHING)));
      return null;
    } catch (Refusal e) {
      return " left out: " + e.getMessage();
    }
  }

  private static Step step(JsonNode s, long revision) {
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
    return new Step(
        at,
        StepRow.Kind.valueOf(s.path("kind").asText()),
        change.isMissingNode() ? null : Json.value(change, StoredChange.class).live(),
        brief(s, "in"),
        brief(s, "who"),
        s.path("words").asText(null),
        when);
  }

  private static @Nullable String brief(JsonNode s, String name) {
    String v = s.path(name).asText(null);
    return v == null ? null : v.substring(0, Math.min(80, v.length()));
  }
}
