package pied.core.still;

import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;
import pied.core.show.Viewpoint;
import pied.core.units.Refusal;

/**
 * What picture is asked for.
 *
 * @param width dots
 * @param height dots; half the width for one all around
 * @param seconds it may take at most; null for as long as the grade takes
 * @param noise at which it is done, of its light; null for that of the grade
 * @param card whether all is of white card
 * @param around whether it shows all around the viewpoint, 2:1
 * @param ink whether its edges are drawn; null for not
 */
@RecordBuilder
public record StillWish(
    Viewpoint view,
    int width,
    int height,
    StillGrade grade,
    @Nullable Double seconds,
    @Nullable Double noise,
    boolean card,
    boolean around,
    StillInk ink)
    implements StillWishBuilder.With {
  /** Fewest and most dots of a side. */
  public static final int LEAST = 16;

  public static final int MOST = 8192;

  /** Most dots: those of 8K, wide. */
  public static final long MOST_DOTS = 8192L * 4608;

  private static final double LONGEST = 24 * 3600;

  public StillWish {
    if (width < LEAST || width > MOST || height < LEAST || height > MOST) {
      throw new Refusal("A picture is {} to {} dots wide and high.", LEAST, MOST);
    }
    if ((long) width * height > MOST_DOTS) {
      throw new Refusal("A picture has {} million dots at most.", MOST_DOTS / 1_000_000);
    }
    if (around && width != 2 * height) {
      throw new Refusal("A picture all around is twice as wide as high.");
    }
    if (seconds != null && !(seconds >= 1 && seconds <= LONGEST)) {
      throw new Refusal("A picture takes from a second to a day.");
    }
    if (noise != null && !(noise >= 0.001 && noise <= 0.5)) {
      throw new Refusal("Noise is from 0.1 % to 50 %.");
    }
    grade = grade == null ? StillGrade.good : grade;
    ink = ink == null ? StillInk.none : ink;
  }

  int coarse() {
    return noise == null && seconds == null ? grade.coarse : 1;
  }

  /** Whether it goes on until its noise or its time is reached, whatever its grade has. */
  boolean openEnded() {
    return noise != null || seconds != null;
  }

  double goal() {
    return noise != null ? noise : seconds != null ? 0.001 : grade.noise;
  }

  int paths() {
    return openEnded() ? MOST_PATHS : grade.paths;
  }

  /** Light ends in cells where it need not be as good as can be. */
  boolean usesCells() {
    return grade != StillGrade.fine || openEnded();
  }

  private static final int MOST_PATHS = 4096;
}
