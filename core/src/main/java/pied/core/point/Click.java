package pied.core.point;

import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.space.Space;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** What clicks on a drawing make of edits of a sort. */
public interface Click<E extends Edit> {
  Class<E> of();

  /** What can be clicked, in words. */
  String hint(E edit);

  /**
   * The edit that a click makes of it.
   *
   * @throws Refusal if there is nothing to click
   */
  default E at(Space space, LengthUnit unit, E edit, Pointed p) {
    throw unclicked();
  }

  /** The edit without the last point that was clicked; null where there is none. */
  default @Nullable E back(E edit) {
    return null;
  }

  /** What is drawn of it; null for nothing. */
  default @Nullable Drawn drawn(E edit, LengthUnit unit) {
    return null;
  }

  /** Whether one of its pieces can be pulled. */
  default boolean pulls() {
    return false;
  }

  /**
   * The edit that pulling one of its pieces makes of it.
   *
   * @throws Refusal if nothing of it can be pulled
   */
  default E pulled(Space space, LengthUnit unit, E edit, Pull pull) {
    throw unpulled();
  }

  static Refusal unclicked() {
    return new Refusal("There is nothing to click here; type, or choose one of the words.");
  }

  static Refusal unpulled() {
    return new Refusal("Nothing of this can be pulled; type the numbers.");
  }
}
