package pied.server.still;

import java.util.Arrays;
import java.util.List;
import pied.core.Nullable;
import pied.core.show.Viewpoint;
import pied.core.solid.Vec;
import pied.core.space.Validity;
import pied.core.still.StillGrade;
import pied.core.still.StillInk;
import pied.core.still.StillWish;
import pied.core.units.Refusal;
import pied.core.units.Text;

/**
 * What was asked for, as it is stored.
 *
 * @param version of this form
 * @param viewpoint id of one that is kept or name of a ready one; null for the set view
 * @param from name of that then
 * @param ink null in those that were asked for before there was any
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
    boolean around,
    @Nullable StillInk ink) {
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
        w.around(),
        w.ink());
  }

  /**
   * Nothing of one that comes from elsewhere is trusted.
   *
   * @throws Refusal if it makes no sense
   */
  void check() {
    if (version != VERSION) {
      throw new Refusal("it is of a form that this Pied does not know.");
    }
    Validity.point(eye);
    Validity.point(target);
    if (!(lens >= Viewpoint.SHORTEST && lens <= Viewpoint.LONGEST)) {
      throw new Refusal("its lens makes no sense.");
    }
    for (List<String> ids : Arrays.asList(lifted, hidden)) {
      if (ids == null || ids.size() > Validity.MOST_PIECES || ids.contains(null)) {
        throw new Refusal("what it leaves out makes no sense.");
      }
    }
    wish();
    for (String words : Arrays.asList(viewpoint, from, look, lookName)) {
      if (words != null) {
        Text.name("It", words);
      }
    }
  }

  StillWish wish() {
    Viewpoint v =
        Viewpoint.ready("", "seen", eye, target, fits)
            .withLens(lens)
            .withUpright(upright)
            .withLifted(lifted)
            .withHidden(hidden);
    return new StillWish(v, width, height, grade, seconds, noise, card, around, ink);
  }
}
