package pied.core.material;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Collections;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.BiFunction;
import pied.core.Nullable;
import pied.core.units.Refusal;

/**
 * The finishes of something by its parts, as far as they differ from what is usual; in the order of
 * the names of the parts.
 */
public final class Finishes {
  public static final Finishes NONE = new Finishes(Map.of());

  private final Map<String, Finish> parts;

  private Finishes(Map<String, Finish> parts) {
    this.parts = parts;
  }

  /**
   * Those by part; one that says nothing is left out.
   *
   * @throws Refusal if one is null
   */
  @JsonCreator
  public static Finishes of(@Nullable Map<String, Finish> parts) {
    if (parts == null || parts.isEmpty()) {
      return NONE;
    }
    Map<String, Finish> all = new TreeMap<>(parts);
    if (all.containsValue(null)) {
      throw new Refusal("A part has no finish; a colour is written as #RRGGBB, such as #B4674B.");
    }
    all.values().removeIf(Finish::none);
    return new Finishes(Collections.unmodifiableMap(all));
  }

  @JsonValue
  public Map<String, Finish> parts() {
    return parts;
  }

  /** That of a part; null where it is as usual. */
  public @Nullable Finish of(String part) {
    return parts.get(part);
  }

  /** With another for a part; with null that part is as usual again. */
  public Finishes with(String part, @Nullable Finish finish) {
    Map<String, Finish> all = new TreeMap<>(parts);
    if (finish == null) {
      all.remove(part);
    } else {
      all.put(part, finish);
    }
    return of(all);
  }

  /** Each of them as something else, by part. */
  public Finishes each(BiFunction<String, Finish, Finish> how) {
    Map<String, Finish> all = new TreeMap<>();
    parts.forEach((part, f) -> all.put(part, how.apply(part, f)));
    return of(all);
  }

  public boolean isEmpty() {
    return parts.isEmpty();
  }

  @Override
  public boolean equals(Object o) {
    return o instanceof Finishes f && parts.equals(f.parts);
  }

  @Override
  public int hashCode() {
    return parts.hashCode();
  }

  @Override
  public String toString() {
    return parts.toString();
  }
}
