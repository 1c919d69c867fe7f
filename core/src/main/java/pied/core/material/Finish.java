package pied.core.material;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonInclude;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Locale;
import java.util.Objects;
import pied.core.Nullable;
import pied.core.units.Refusal;

/**
 * How a part looks, in the terms of glTF 2.0. What is missing is as it comes: of an article's part,
 * card; of a piece's part, that of its article.
 *
 * @param colour as #RRGGBB
 * @param roughness 0 polished to 1 matt
 * @param metal 0 for none to 1
 * @param transparency 0 for none to 1
 * @param emission 0 for none to 1, for lampshades
 * @param material id of what it is made of
 * @param pattern what repeats on it
 */
@RecordBuilder
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Finish(
    @Nullable String colour,
    @Nullable Double roughness,
    @Nullable Double metal,
    @Nullable Double transparency,
    @Nullable Double emission,
    @Nullable String material,
    @Nullable Pattern pattern)
    implements FinishBuilder.With {
  /** Card, of which all is that has no finish. */
  public static final Finish CARD = new Finish("#D9D0C2", 0.8, 0.0, 0.0, 0.0, null, null);

  @JsonCreator(mode = JsonCreator.Mode.PROPERTIES)
  public Finish {
    colour = colour == null ? null : colour.toUpperCase(Locale.ROOT);
  }

  /** A colour alone, as scripts may write it: "#B4674B". */
  @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
  public static Finish of(String colour) {
    return new Finish(colour, null, null, null, null, null, null);
  }

  /** The natural finish of an article's part. */
  public static Finish of(String colour, double roughness, double emission) {
    return new Finish(colour, roughness, 0.0, 0.0, emission, null, null);
  }

  /** The same, where nothing is missing that another has. */
  public Finish over(Finish natural) {
    return new Finish(
        or(colour, natural.colour),
        or(roughness, natural.roughness),
        or(metal, natural.metal),
        or(transparency, natural.transparency),
        or(emission, natural.emission),
        or(material, natural.material),
        or(pattern, natural.pattern));
  }

  private static <T> T or(@Nullable T own, T natural) {
    return own == null ? natural : own;
  }

  /** What of it is another than in the natural one; the rest is missing. */
  public Finish but(Finish natural) {
    return new Finish(
        Objects.equals(colour, natural.colour) ? null : colour,
        Objects.equals(roughness, natural.roughness) ? null : roughness,
        Objects.equals(metal, natural.metal) ? null : metal,
        Objects.equals(transparency, natural.transparency) ? null : transparency,
        Objects.equals(emission, natural.emission) ? null : emission,
        Objects.equals(material, natural.material) ? null : material,
        Objects.equals(pattern, natural.pattern) ? null : pattern);
  }

  /** Whether it says nothing. */
  public boolean none() {
    return equals(of(null));
  }

  /**
   * As it is kept.
   *
   * @throws Refusal if a colour is none, or a share is not from 0 to 1
   */
  public Finish checked() {
    share("roughness", roughness);
    share("metal", metal);
    share("transparency", transparency);
    share("emission", emission);
    if (material != null || pattern != null) {
      throw new Refusal("There are no materials and patterns to choose yet; give it a colour.");
    }
    return colour == null ? this : withColour(colour(colour));
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

  /** Its colour in red, green and blue of linear light, 0 to 1 (IEC 61966-2-1), as glTF has it. */
  public double[] linear() {
    int rgb = Integer.parseInt(colour.substring(1), 16);
    double[] out = new double[3];
    for (int k = 0; k < 3; k++) {
      double c = (rgb >> (16 - 8 * k) & 255) / 255.0;
      out[k] = c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }
    return out;
  }
}
