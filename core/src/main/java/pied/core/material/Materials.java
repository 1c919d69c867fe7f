package pied.core.material;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLFactory;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import pied.core.Nullable;
import pied.core.material.pattern.Pattern;
import pied.core.units.Refusal;

/**
 * All materials there are: those that ship with Pied, and pictures people bring, each of which is a
 * material of its own.
 */
public final class Materials {
  private static final ObjectMapper YAML = new ObjectMapper(new YAMLFactory());

  private static final Map<String, Material> ALL = read();

  private Materials() {}

  /** Those that ship with Pied, by kind. */
  public static Collection<Material> shipped() {
    return ALL.values();
  }

  public static boolean has(String id) {
    return ALL.containsKey(id) || OwnPicture.named(id) != null;
  }

  /** One; what there is not any longer is plain. */
  public static Material of(@Nullable String id) {
    Material m = ALL.get(id == null ? Finish.PLAIN : id);
    if (m != null) {
      return m;
    }
    OwnPicture picture = OwnPicture.named(id);
    return picture == null ? ALL.get(Finish.PLAIN) : picture.material();
  }

  /** A name from outside as it may be said again. */
  static String shortened(String name) {
    return name.length() > 40 ? name.substring(0, 40) + "…" : name;
  }

  private static Map<String, Material> read() {
    Map<String, Material> all = new LinkedHashMap<>();
    try (InputStream in = Materials.class.getResourceAsStream("/materials.yaml")) {
      JsonNode root = YAML.readTree(in);
      for (Map.Entry<String, JsonNode> kind : root.path("kinds").properties()) {
        for (Map.Entry<String, JsonNode> e : kind.getValue().properties()) {
          all.put(e.getKey(), material(e.getKey(), kind.getKey(), e.getValue()));
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (RuntimeException e) {
      throw new Refusal("The materials cannot be read: {}", String.valueOf(e.getMessage()));
    }
    return Collections.unmodifiableMap(all);
  }

  private static Material material(String id, String kind, JsonNode n) throws IOException {
    Finish f =
        new Finish(
            n.path("colour").asText(),
            n.path("rough").asDouble(0.8),
            n.path("metal").asDouble(0),
            n.path("clear").asDouble(0),
            n.path("glow").asDouble(0),
            n.path("coat").asDouble(0),
            n.path("sheen").asDouble(0),
            n.path("through").asDouble(0),
            id,
            Laying.USUAL);
    List<String> words = new ArrayList<>();
    n.path("words").forEach(w -> words.add(w.asText()));
    Pattern pattern = n.has("pattern") ? YAML.treeToValue(n.get("pattern"), Pattern.class) : null;
    Finish.colour(f.colour());
    return new Material(
        id,
        n.path("name").asText(),
        kind,
        List.copyOf(words),
        f,
        Finish.colour(n.path("second").asText(f.colour())),
        pattern,
        n.path("along").asBoolean(false));
  }
}
