package pied.core.register;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.point.Click;
import pied.core.point.Drawn;
import pied.core.point.Pointed;
import pied.core.point.Pull;
import pied.core.space.Space;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** What can be clicked and pulled while an edit is proposed, of all tools there are. */
public final class Pointing {
  private static final List<Click<?>> ALL =
      Tools.ALL.stream().<Click<?>>flatMap(t -> t.clicks().stream()).toList();

  private Pointing() {}

  /** What can be clicked or pulled, in words; null for nothing. */
  public static @Nullable String hint(Edit edit) {
    return one(edit, Click::hint);
  }

  /** Whether pieces of it can be pulled. */
  public static boolean pulls(Edit edit) {
    return Boolean.TRUE.equals(one(edit, (c, e) -> c.pulls()));
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
      throw Click.unclicked();
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
    Edit next = one(edit, (c, e) -> c.pulled(space, unit, e, pull));
    if (next == null) {
      throw Click.unpulled();
    }
    return next;
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
