package pied.server.material;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import pied.core.Nullable;
import pied.core.material.Finish;
import pied.core.material.FinishPart;
import pied.core.material.Finishes;
import pied.core.material.Laying;

/** A finish as it is stored: one that is a colour alone as that, as all were once. */
public record StoredFinish(
    @Nullable String colour,
    @Nullable Double roughness,
    @Nullable Double metal,
    @Nullable Double transparency,
    @Nullable Double emission,
    @Nullable Double clearCoat,
    @Nullable Double sheen,
    @Nullable Double transmission,
    @Nullable String material,
    @Nullable StoredLaying laid) {
  /** How a pattern lies, as it is stored. */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  public record StoredLaying(
      @Nullable Double width,
      @Nullable Double turn,
      @Nullable Double across,
      @Nullable Double up,
      @Nullable Double joint,
      @Nullable String second) {}

  @JsonCreator(mode = JsonCreator.Mode.PROPERTIES)
  public StoredFinish {}

  @JsonValue
  Object stored() {
    if (equals(colour(colour))) {
      return colour;
    }
    Map<String, Object> all = new LinkedHashMap<>();
    all.put("colour", colour);
    all.put("roughness", roughness);
    all.put("metal", metal);
    all.put("transparency", transparency);
    all.put("emission", emission);
    all.put("clearCoat", clearCoat);
    all.put("sheen", sheen);
    all.put("transmission", transmission);
    all.put("material", material);
    all.put("laid", laid);
    all.values().removeIf(Objects::isNull);
    return all;
  }

  /** A colour alone. */
  @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
  public static StoredFinish colour(String colour) {
    return new StoredFinish(colour, null, null, null, null, null, null, null, null, null);
  }

  static StoredFinish of(Finish f) {
    Laying l = f.laid();
    return new StoredFinish(
        f.colour(),
        f.roughness(),
        f.metal(),
        f.transparency(),
        f.emission(),
        f.clearCoat(),
        f.sheen(),
        f.transmission(),
        f.material(),
        l == null
            ? null
            : new StoredLaying(l.width(), l.turn(), l.across(), l.up(), l.joint(), l.second()));
  }

  Finish live() {
    return new Finish(
        colour,
        roughness,
        metal,
        transparency,
        emission,
        clearCoat,
        sheen,
        transmission,
        material,
        laid == null
            ? null
            : new Laying(laid.width, laid.turn, laid.across, laid.up, laid.joint, laid.second));
  }

  /** Finishes by part. */
  public static Map<String, StoredFinish> of(Finishes finishes) {
    Map<String, StoredFinish> all = new LinkedHashMap<>();
    finishes.parts().forEach((part, f) -> all.put(part, of(f)));
    return all;
  }

  /**
   * Finishes by part, as they are live.
   *
   * @param stored null for none
   */
  public static Finishes live(@Nullable Map<String, StoredFinish> stored) {
    Map<String, Finish> all = new LinkedHashMap<>();
    if (stored != null) {
      stored.forEach((part, f) -> all.put(part, f.live()));
    }
    return Finishes.of(all);
  }

  /**
   * A part of an article as it is stored; rough and glow are of those stored before there was more
   * to a finish.
   */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  public record StoredFinishPart(
      String name,
      @Nullable StoredFinish finish,
      @Nullable String colour,
      @Nullable Double rough,
      @Nullable Double glow) {
    private FinishPart live() {
      Finish whole =
          finish != null
              ? finish.live()
              : Finish.of(colour, rough == null ? 0 : rough, glow == null ? 0 : glow);
      Finish.colour(whole.colour()); // a part without one could be anything
      return new FinishPart(name, whole);
    }

    /** The parts of an article. */
    public static Map<String, StoredFinishPart> of(Map<String, FinishPart> parts) {
      Map<String, StoredFinishPart> all = new LinkedHashMap<>();
      parts.forEach(
          (key, p) ->
              all.put(
                  key,
                  new StoredFinishPart(p.name(), StoredFinish.of(p.finish()), null, null, null)));
      return all;
    }

    /** The parts of an article, as they are live. */
    public static Map<String, FinishPart> live(Map<String, StoredFinishPart> stored) {
      Map<String, FinishPart> all = new LinkedHashMap<>();
      stored.forEach((key, p) -> all.put(key, p.live()));
      return all;
    }
  }
}
