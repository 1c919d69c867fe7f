package pied.core.catalog;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLFactory;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import pied.core.Refusal;
import pied.core.recipe.Recipe;
import pied.core.size.Size;

/** Reads an article from its text. */
public final class ArticleReader {
  private static final ObjectMapper YAML = new ObjectMapper(new YAMLFactory());

  private ArticleReader() {}

  /**
   * @param id the article's id, by convention the name of its file
   * @param text YAML; {@code docs/recipes.md} describes it
   * @throws Refusal if something is missing or not understood
   */
  public static Article read(String id, String text) {
    try {
      return read(id, YAML.readTree(text));
    } catch (JsonProcessingException e) {
      throw new Refusal("Article " + id + " is not readable: " + e.getOriginalMessage());
    } catch (Refusal e) {
      throw new Refusal("Article " + id + ": " + e.getMessage());
    }
  }

  private static Article read(String id, JsonNode n) throws JsonProcessingException {
    Mounting mounting = YAML.treeToValue(need(n, "mounting"), Mounting.class);
    JsonNode s = need(n, "size");
    Size size =
        new Size(
            need(s, "width").doubleValue(),
            need(s, "depth").doubleValue(),
            need(s, "height").doubleValue());
    JsonNode z = need(n, "sizing");
    Sizing sizing =
        new Sizing(
            range(z, "width"),
            range(z, "depth"),
            range(z, "height"),
            Set.copyOf(texts(n.path("tied"))));
    Map<String, Finish> finishes = new LinkedHashMap<>();
    for (Map.Entry<String, JsonNode> e : need(n, "finishes").properties()) {
      JsonNode f = e.getValue();
      finishes.put(
          e.getKey(),
          new Finish(
              need(f, "name").asText(),
              need(f, "colour").asText(),
              f.path("rough").asDouble(0.7),
              f.path("glow").asDouble(0)));
    }
    Set<String> standsOn = new TreeSet<>(texts(n.path("stands-on")));
    if (mounting == Mounting.STANDS && standsOn.isEmpty()) {
      throw new Refusal("it lacks “stands-on”");
    }
    JsonNode usual = n.path("usual");
    return new Article(
        id,
        need(n, "name").asText(),
        need(n, "kind").asText(),
        List.copyOf(texts(n.path("words"))),
        n.path("about").asText(""),
        mounting,
        standsOn,
        n.path("carries").asBoolean(false),
        usual.path("underside").asDouble(Double.NaN),
        usual.path("middle").asDouble(Double.NaN),
        size,
        sizing,
        java.util.Collections.unmodifiableMap(finishes),
        new Recipe(n.path("let"), need(n, "parts")));
  }

  private static JsonNode need(JsonNode n, String name) {
    JsonNode v = n.path(name);
    if (v.isMissingNode() || v.isNull()) {
      throw new Refusal("it lacks “" + name + "”");
    }
    return v;
  }

  private static Sizing.Range range(JsonNode n, String name) {
    JsonNode r = need(n, name);
    return new Sizing.Range(r.get(0).doubleValue(), r.get(1).doubleValue());
  }

  private static List<String> texts(JsonNode list) {
    List<String> out = new ArrayList<>();
    list.forEach(t -> out.add(t.asText()));
    return out;
  }
}
