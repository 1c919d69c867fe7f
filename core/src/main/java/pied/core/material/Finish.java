package pied.core.material;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonInclude;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Locale;
import java.util.Objects;
import pied.core.Nullable;
import pied.core.units.Refusal;

/**
 * How a part looks, in the terms of glTF 2.0 and its ratified extensions. What is missing is as the
 * material has it, or without one as it comes: of an article's part, card; of a piece's part, that
 * of its article.
 *
 * @param colour as #RRGGBB; of a patterned material what it is on the whole
 * @param roughness 0 polished to 1 matt
 * @param metal 0 for none to 1
 * @param transparency 0 for none to 1: how much of it is not there, as of gauze
 * @param emission 0 for none to 1, for lampshades
 * @param clearCoat 0 for none to 1: how much lacquer lies over it
 * @param sheen 0 for none to 1: how much cloth gleams at its edges
 * @param transmission 0 for none to 1: how much light goes through, as through glass
 * @param material id of what it is made of
 * @param laid how the material's pattern lies on it
 */
@RecordBuilder
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Finish(
    @Nullable String colour,
    @Nullable Double roughness,
    @Nullable Double metal,
    @Nullable Double transparency,
    @Nullable Double emission,
    @Nullable Double clearCoat,
    @Nullable Double sheen,
    @Nullable Double transmission,
    @Nullable String material,
    @Nullable Laying laid)
    implements FinishBuilder.With {
  /** What is of no material but has a colour: card. */
  public static final String PLAIN = "plain";

  private static final Finish NONE =
      new Finish(null, null, null, null, null, null, null, null, null, null);

  /** Card, of which all is that has no finish. */
  public static final Finish CARD =
      new Finish("#D9D0C2", 0.8, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, PLAIN, Laying.USUAL);

  @JsonCreator(mode = JsonCreator.Mode.PROPERTIES)
  public Finish {
    colour = colour == null ? null : colour.toUpperCase(Locale.ROOT);
  }

  /** A colour alone, as scripts may write it: "#B4674B". */
  @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
  public static Finish of(@Nullable String colour) {
    return NONE.withColour(colour);
  }

  /** A material as it comes. */
  public static Finish made(String material) {
    return NONE.withMaterial(material);
  }

  /** The natural finish of an article's part of no material. */
  public static Finish of(String colour, double roughness, double emission) {
    return of(colour).withRoughness(roughness).withEmission(emission);
  }

  /** The same, where nothing is missing that another has, or the material if it has one. */
  public Finish over(Finish natural) {
    Finish base = base(material, natural);
    return new Finish(
        or(colour, base.colour),
        or(roughness, base.roughness),
        or(metal, base.metal),
        or(transparency, base.transparency),
        or(emission, base.emission),
        or(clearCoat, base.clearCoat),
        or(sheen, base.sheen),
        or(transmission, base.transmission),
        or(material, base.material),
        or(laid, base.laid));
  }

  /** What a part of a material is before it says anything of its own. */
  private static Finish base(@Nullable String material, Finish natural) {
    if (material == null || material.equals(natural.material)) {
      return natural;
    }
    // a lampshade shines whatever it is made of
    return Materials.of(material).finish().withEmission(natural.emission);
  }

  private static <T> T or(@Nullable T own, T natural) {
    return own == null ? natural : own;
  }

  /** What of it is another than in the natural one; the rest is missing. Both are complete. */
  public Finish but(Finish natural) {
    Finish base = base(material, natural);
    return new Finish(
        other(colour, base.colour),
        other(roughness, base.roughness),
        other(metal, base.metal),
        other(transparency, base.transparency),
        other(emission, base.emission),
        other(clearCoat, base.clearCoat),
        other(sheen, base.sheen),
        other(transmission, base.transmission),
        other(material, natural.material),
        other(laid, base.laid));
  }

  private static @Nullable <T> T other(T own, T natural) {
    return Objects.equals(own, natural) ? null : own;
  }

  /** Whether it says nothing. */
  public boolean none() {
    return equals(NONE);
  }

  /**
   * As it is kept.
   *
   * @throws Refusal if a colour is none, a share is not from 0 to 1, or there is no such material
   */
  public Finish checked() {
    share("roughness", roughness);
    share("metal", metal);
    share("transparency", transparency);
    share("emission", emission);
    share("clear coat", clearCoat);
    share("sheen", sheen);
    share("transmission", transmission);
    if (material != null && !Materials.has(material)) {
      throw new Refusal("There is no material “{}”.", Materials.shortened(material));
    }
    return withColour(colour == null ? null : colour(colour))
        .withLaid(laid == null ? null : laid.checked());
  }

  private static void share(String what, @Nullable Double v) {
    if (v != null && !(v >= 0 && v <= 1)) {
      throw new Refusal("The {} of a finish is from 0 to 1.", what);
    }
  }

  /**
   * A colour as it is kept.
   *
   * @throws Refusal if it is none
   */
  public static String colour(@Nullable String colour) {
    if (colour == null || !colour.matches("#[0-9A-Fa-f]{6}")) {
      throw new Refusal("A colour is written as #RRGGBB, such as #B4674B.");
    }
    return colour.toUpperCase(Locale.ROOT);
  }

  /** How its pattern lies, as the material has it where it does not say. */
  public Laying laying() {
    return laid == null ? Laying.USUAL : laid;
  }
}
