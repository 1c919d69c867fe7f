package pied.core.show;

import pied.core.units.Refusal;

/**
 * The frame of a picture.
 *
 * @param ratio its width by its height: 1.5 for 3:2; 0 where the picture fills whatever it is drawn
 *     in
 */
public record PictureFrame(double ratio) {
  /** As large as where it is drawn. */
  public static final PictureFrame FREE = new PictureFrame(0);

  private static final double MOST = 6;

  /** One of what comes from outside: that of no frame where it makes no sense. */
  public static PictureFrame orFree(double ratio) {
    boolean ok = ratio >= 1 / MOST && ratio <= MOST;
    return ok ? new PictureFrame(ratio) : FREE;
  }

  public PictureFrame {
    if (ratio != 0 && !(ratio >= 1 / MOST && ratio <= MOST)) {
      throw new Refusal("A picture is at most six times as wide as high, or as high as wide.");
    }
  }
}
