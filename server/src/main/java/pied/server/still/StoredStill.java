package pied.server.still;

import java.util.List;
import pied.core.Nullable;
import pied.core.show.Viewpoint;
import pied.core.solid.Vec;
import pied.core.still.StillGrade;
import pied.core.still.StillWish;

/**
 * What was asked for, as it is stored.
 *
 * @param version of this form
 * @param viewpoint id of one that is kept or name of a ready one; null for the set view
 * @param from name of that then
 */
record StoredStill(
    int version,
    @Nullable String viewpoint,
    @Nullable String from,
    Vec eye,
    Vec target,
    boolean fits,
    double lens,
    boolean upright,
    List<String> lifted,
    List<String> hidden,
    int width,
    int height,
    StillGrade grade,
    @Nullable Double seconds,
    @Nullable Double noise,
    @Nullable String look,
    @Nullable String lookName,
    boolean card,
    boolean around) {
  private static final int VERSION = 1;

  static StoredStill of(
      StillWish w,
      @Nullable String viewpoint,
      @Nullable String from,
      @Nullable String look,
      @Nullable String lookName) {
    Viewpoint v = w.view();
    return new StoredStill(
        VERSION,
        viewpoint,
        from,
        v.eye(),
        v.target(),
        v.fits(),
        v.lens(),
        v.upright(),
        v.lifted(),
        v.hidden(),
        w.width(),
        w.height(),
        w.grade(),
        w.seconds(),
        w.noise(),
        look,
        lookName,
        w.card(),
        w.around());
  }

  StillWish wish() {
    Viewpoint v =
        Viewpoint.ready("", "seen", eye, target, fits)
            .withLens(lens)
            .withUpright(upright)
            .withLifted(lifted)
            .withHidden(hidden);
    return new StillWish(v, width, height, grade, seconds, noise, card, around);
  }
}
