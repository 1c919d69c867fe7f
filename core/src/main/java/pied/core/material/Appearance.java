package pied.core.material;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.LinkedHashMap;
import java.util.Map;
import pied.core.Nullable;
import pied.core.material.pattern.Pattern;

/**
 * What a part looks like, for whoever draws it: the same for the set view, models and stills.
 *
 * @param words how it is said: "oak veneer, dark brown"
 * @param colour as #RRGGBB, of what has no tile
 * @param tile what repeats on it; null for nothing
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Appearance(
    String words,
    String colour,
    double roughness,
    double metal,
    double transparency,
    double emission,
    double clearCoat,
    double sheen,
    double transmission,
    @Nullable Tiled tile) {
  static final String PICTURES = "pictures/";

  /**
   * A tile and how it lies.
   *
   * @param colours under which name its colours are had
   * @param normals likewise which way it looks; null if it is even
   * @param roughness likewise how rough it is; null if it is so all over
   * @param along whether it lies along the length of the part
   * @param holes whether one looks through in places
   * @param width of one repeat, metres
   * @param height of one repeat, metres
   * @param matrix six numbers: right = m0·u + m1·v + m2 and down = m3·u + m4·v + m5 of the tile, as
   *     parts of it, where u is to the right and v down on the part, metres
   */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  public record Tiled(
      String colours,
      @Nullable String normals,
      @Nullable String roughness,
      boolean along,
      boolean holes,
      double width,
      double height,
      double[] matrix) {}

  /** That of a complete finish. */
  public static Appearance of(Finish f) {
    Material m = Materials.of(f.material());
    return new Appearance(
        FinishWords.of(f),
        f.colour(),
        f.roughness(),
        f.metal(),
        f.transparency(),
        f.emission(),
        f.clearCoat(),
        f.sheen(),
        f.transmission(),
        tiled(m, f));
  }

  /** Those of several parts. */
  public static Map<String, Appearance> all(Map<String, Finish> finishes) {
    Map<String, Appearance> all = new LinkedHashMap<>();
    finishes.forEach((part, f) -> all.put(part, of(f)));
    return all;
  }

  private static @Nullable Tiled tiled(Material m, Finish f) {
    Laying l = f.laying();
    OwnPicture own = OwnPicture.named(m.id());
    if (own != null) {
      double w = l.width() == null ? OwnPicture.WIDE : l.width();
      double rw = own.repeatWide(w);
      double rh = own.repeatHigh(w);
      return new Tiled(PICTURES + own.id(), null, null, false, false, rw, rh, lies(l, rw, rh));
    }
    Pattern p = m.pattern();
    if (p == null) {
      return null;
    }
    double larger = l.width() == null ? 1 : l.width() / p.unit();
    double joint = l.joint() == null ? p.joint() : l.joint() / larger;
    String second = m.second(l);
    double w = p.width() * larger;
    double h = p.height() * larger;
    TileName name = new TileName(m.id(), joint);
    return new Tiled(
        name.colours(f.colour(), second),
        p.uneven() ? name.normals() : null,
        p.variesInRoughness() ? name.roughness(f.roughness(), f.metal()) : null,
        m.along(),
        p.holes(),
        w,
        h,
        lies(l, w, h));
  }

  /**
   * Under which name a picture to choose it by is had.
   *
   * @return null where its colour is all there is to see
   */
  public static @Nullable String sample(Finish complete) {
    Material m = Materials.of(complete.material());
    Laying l = complete.laying();
    if (OwnPicture.named(m.id()) != null) {
      return PICTURES + m.id();
    }
    if (m.pattern() == null) {
      return null;
    }
    String second = m.second(l);
    return new TileName(m.id(), m.pattern().joint()).sample(complete.colour(), second);
  }

  private static double[] lies(Laying l, double w, double h) {
    double a = Math.toRadians(l.turned());
    double cos = Math.cos(a);
    double sin = Math.sin(a);
    double x = l.right();
    double y = -l.higher(); // down
    return new double[] {
      cos / w, -sin / w, (-cos * x + sin * y) / w, sin / h, cos / h, (-sin * x - cos * y) / h
    };
  }
}
