package pied.core.catalog;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLFactory;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import pied.core.light.Beam;
import pied.core.material.Finish;
import pied.core.material.FinishPart;
import pied.core.recipe.Recipe;
import pied.core.size.Size;
import pied.core.units.Refusal;

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
      throw new Refusal("Article {} is not readable: {}", id, e.getOriginalMessage());
    } catch (Refusal e) {
      throw e.of("Article " + id + ": ");
    }
  }

  private static Article read(String id, JsonNode n) throws JsonProcessingException {
    Mounting mounting = YAML.treeToValue(need(n, "mounting"), Mounting.class);
    Size size = size(need(n, "size"));
    Sizing sizing = sizing(n);
    sizing.check("it", size, size);
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
        finishes(need(n, "finishes")),
        n.path("weight").asDouble(0),
        n.path("cost").asDouble(0),
        n.path("supplier").asText(""),
        light(n.path("light")),
        clearances(n.path("room")),
        new Recipe(n.path("let"), need(n, "parts")),
        null);
  }

  private static Size size(JsonNode n) {
    return new Size(
        need(n, "width").doubleValue(),
        need(n, "depth").doubleValue(),
        need(n, "height").doubleValue());
  }

  private static Sizing sizing(JsonNode n) {
    JsonNode rules = need(n, "sizing");
    return new Sizing(
        rule(rules, "width"),
        rule(rules, "depth"),
        rule(rules, "height"),
        Set.copyOf(texts(n.path("tied"))),
        n.path("proportional").asBoolean(false),
        n.path("length").isTextual() ? n.get("length").asText() : null);
  }

  /** How its parts look, in the order in which they are written. */
  private static Map<String, FinishPart> finishes(JsonNode n) {
    Map<String, FinishPart> finishes = new LinkedHashMap<>();
    for (Map.Entry<String, JsonNode> e : n.properties()) {
      JsonNode f = e.getValue();
      finishes.put(e.getKey(), new FinishPart(need(f, "name").asText(), finish(f)));
    }
    return Collections.unmodifiableMap(finishes);
  }

  /** Of a material, with a colour of its own or in the material's; or of card in a colour. */
  private static Finish finish(JsonNode n) {
    Finish of =
        Finish.of(n.has("colour") ? n.get("colour").asText() : null)
            .withMaterial(n.path("of").asText(Finish.PLAIN))
            .withEmission(n.path("glow").asDouble(0))
            .withRoughness(n.has("rough") ? n.get("rough").doubleValue() : null);
    return of.checked();
  }

  private static JsonNode need(JsonNode n, String name) {
    JsonNode v = n.path(name);
    if (v.isMissingNode() || v.isNull()) {
      throw new Refusal("it lacks “{}”", name);
    }
    return v;
  }

  /** A pair is free between limits; a number is fixed; a list under "of"; or "from", "to", "by". */
  private static Sizing.SizingRule rule(JsonNode n, String name) {
    JsonNode r = need(n, name);
    if (r.isNumber()) {
      return new Sizing.Listed(List.of(r.doubleValue()));
    }
    if (r.isArray()) {
      return new Sizing.Free(r.get(0).doubleValue(), r.get(1).doubleValue());
    }
    if (r.has("of")) {
      List<Double> values = new ArrayList<>();
      r.get("of").forEach(v -> values.add(v.doubleValue()));
      return new Sizing.Listed(values);
    }
    return new Sizing.SizingSteps(
        need(r, "from").doubleValue(), need(r, "to").doubleValue(), need(r, "by").doubleValue());
  }

  private static Light light(JsonNode n) {
    return n.isMissingNode()
        ? null
        : new Light(
            need(n, "lumens").doubleValue(),
            n.path("kelvin").asDouble(2700),
            n.path("watts").asDouble(0),
            beam(n.path("beam")),
            Light.LightWay.valueOf(n.path("way").asText("down")),
            n.path("shutters").asBoolean(false));
  }

  /** A pair of angles, of the beam and of the field; nothing for all round. */
  private static Beam beam(JsonNode n) {
    return n.isMissingNode()
        ? Beam.ROUND
        : new Beam(n.path(0).doubleValue(), n.path(1).doubleValue());
  }

  private static List<Clearance> clearances(JsonNode n) {
    List<Clearance> all = new ArrayList<>();
    for (Map.Entry<String, JsonNode> e : n.properties()) {
      all.add(
          new Clearance(
              e.getKey(), e.getValue().get(0).doubleValue(), e.getValue().get(1).asText()));
    }
    return List.copyOf(all);
  }

  private static List<String> texts(JsonNode list) {
    List<String> out = new ArrayList<>();
    list.forEach(t -> out.add(t.asText()));
    return out;
  }
}
