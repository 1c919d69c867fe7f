package pied.core.material;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * A part of an article that has a finish of its own.
 *
 * @param name what people call the part
 * @param finish how it looks unless changed; complete
 */
public record FinishPart(String name, Finish finish) {
  public FinishPart {
    finish = finish.over(Finish.CARD);
  }

  /** The finishes of parts, by part. */
  public static Map<String, Finish> finishes(Map<String, FinishPart> parts) {
    Map<String, Finish> all = new LinkedHashMap<>();
    parts.forEach((key, p) -> all.put(key, p.finish));
    return all;
  }
}
