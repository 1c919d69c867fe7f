package pied.core.point;

import java.util.List;
import pied.core.Nullable;
import pied.core.Refusal;
import pied.core.edit.Edit;
import pied.core.edit.arrange.SpaceOut;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/** The register of what can be clicked and pulled while an edit is proposed. */
public final class Pointing {
  private static final List<Click<?>> ALL =
      List.of(
          new LineUpClick(),
          new TrailClick(),
          new RingClick(),
          new ScatterClick(),
          new TwinClick());

  private Pointing() {}

  /** What can be clicked or pulled, in words; null for nothing. */
  public static @Nullable String hint(Edit edit) {
    if (edit instanceof SpaceOut) {
      return "Press on one of them and move it: wider or tighter.";
    }
    return one(edit, Click::hint);
  }

  /** Whether pieces of it can be pulled. */
  public static boolean pulls(Edit edit) {
    return edit instanceof SpaceOut;
  }

  /** Whether there is a point that can be taken back. */
  public static boolean goesBack(Edit edit) {
    return one(edit, Click::back) != null;
  }

  public static @Nullable Drawn drawn(Edit edit, LengthUnit unit) {
    return one(edit, (c, e) -> c.drawn(e, unit));
  }

  /**
   * The edit that a click makes of the one that is proposed.
   *
   * @throws Refusal if clicks say nothing about it
   */
  public static Edit at(Space space, LengthUnit unit, Edit edit, Pointed p) {
    Edit next = one(edit, (c, e) -> c.at(space, unit, e, p));
    if (next == null) {
      throw new Refusal("There is nothing to click here; type, or choose one of the words.");
    }
    return next;
  }

  /** The edit without the last point that was clicked. */
  public static Edit back(Edit edit) {
    Edit next = one(edit, Click::back);
    return next == null ? edit : next;
  }

  /**
   * The edit that pulling one of its pieces makes of it.
   *
   * @throws Refusal if nothing of it can be pulled
   */
  public static Edit pulled(Space space, LengthUnit unit, Edit edit, Pull pull) {
    if (edit instanceof SpaceOut e) {
      return e.pulled(space, unit, pull.piece(), pull.by(), pull.free() ? 0.001 : 0.01);
    }
    throw new Refusal("Nothing of this can be pulled; type the numbers.");
  }

  private interface Told<T> {
    T of(Click<Edit> click, Edit edit);
  }

  @SuppressWarnings("unchecked") // each is asked only about edits of its own sort
  private static <T> @Nullable T one(Edit edit, Told<T> told) {
    for (Click<?> c : ALL) {
      if (c.of().isInstance(edit)) {
        return told.of((Click<Edit>) c, edit);
      }
    }
    return null;
  }
}
