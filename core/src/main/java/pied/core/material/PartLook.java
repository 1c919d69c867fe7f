package pied.core.material;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * A part as it is drawn.
 *
 * @param name what people call it
 */
public record PartLook(String name, Appearance appearance) {
  /** All parts of an article as they come, by part. */
  public static Map<String, PartLook> of(Map<String, FinishPart> parts) {
    Map<String, PartLook> all = new LinkedHashMap<>();
    parts.forEach((key, p) -> all.put(key, new PartLook(p.name(), Appearance.of(p.finish()))));
    return all;
  }
}
