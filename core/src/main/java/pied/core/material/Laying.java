package pied.core.material;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Locale;
import pied.core.Nullable;
import pied.core.units.Refusal;

/**
 * How a pattern lies on a part. What is missing is as the material has it.
 *
 * @param width of one plank, tile, stripe or picture, metres
 * @param turn degrees, counter-clockwise as one looks at the part
 * @param across by how much it begins to the right, metres
 * @param up by how much it begins higher, metres
 * @param joint width of the joints, metres
 * @param second the second colour as #RRGGBB: of joints, stripes, chips
 */
@RecordBuilder
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Laying(
    @Nullable Double width,
    @Nullable Double turn,
    @Nullable Double across,
    @Nullable Double up,
    @Nullable Double joint,
    @Nullable String second)
    implements LayingBuilder.With {
  /** As the material has it. */
  public static final Laying USUAL = new Laying(null, null, null, null, null, null);

  /** Narrowest and widest a plank, a tile or a picture may be, metres. */
  static final double LEAST = 0.002;

  static final double MOST = 20;

  /** A joint is not wider than this, metres. */
  private static final double MOST_JOINT = 0.05;

  /** Farther than this nothing begins, metres. */
  private static final double FAR = 100;

  public Laying {
    second = second == null ? null : second.toUpperCase(Locale.ROOT);
  }

  /** One repeat of a width. */
  public static Laying wide(double width) {
    return USUAL.withWidth(width);
  }

  /** The nearest width that one of it can have, metres. */
  public static double possible(double width) {
    return Math.max(LEAST, Math.min(MOST, width));
  }

  /**
   * As it is kept; a turn is from 0 up to 360.
   *
   * @throws Refusal if a number is none, or not within what can be laid
   */
  Laying checked() {
    within("A repeat is from 2 mm to 20 m wide.", width, LEAST, MOST);
    within("A joint is up to 50 mm wide.", joint, 0, MOST_JOINT);
    within("A pattern begins within 100 m to the right or left.", across, -FAR, FAR);
    within("A pattern begins within 100 m higher or lower.", up, -FAR, FAR);
    if (turn != null && !Double.isFinite(turn)) {
      throw new Refusal("A pattern is turned by an angle in degrees.");
    }
    Double round = turn == null ? null : turn - 360 * Math.floor(turn / 360);
    return withTurn(round).withSecond(second == null ? null : Finish.colour(second));
  }

  private static void within(String words, @Nullable Double v, double least, double most) {
    if (v != null && !(v >= least && v <= most)) {
      throw new Refusal(words);
    }
  }

  double turned() {
    return turn == null ? 0 : turn;
  }

  double right() {
    return across == null ? 0 : across;
  }

  double higher() {
    return up == null ? 0 : up;
  }
}
