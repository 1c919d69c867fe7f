package pied.core.say;

import pied.core.Nullable;
import pied.core.Refusal;
import pied.core.edit.Edit;

/** A sentence cannot be read on from a word. */
final class Unread extends Refusal {
  private static final long serialVersionUID = 1;

  final int at;

  /** What was said up to there, if that makes sense by itself; else null. */
  private transient Edit soFar;

  Unread(int at, String why) {
    super(why);
    this.at = at;
  }

  /** The same, with what makes sense of it. */
  Unread after(Object said) {
    soFar = said instanceof Edit e ? e : null;
    return this;
  }

  @Nullable
  Edit soFar() {
    return soFar;
  }
}
