package pied.core.say;

import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.units.Message;
import pied.core.units.Refusal;

/** A sentence cannot be read on from a word. */
public final class Unread extends Refusal {
  private static final long serialVersionUID = 1;

  public final int at;

  /** What was said up to there, if that makes sense by itself; else null. */
  private transient Edit soFar;

  Unread(int at, Message why) {
    super(why);
    this.at = at;
  }

  /** The same, with what makes sense of it. */
  public Unread after(Object said) {
    soFar = said instanceof Edit e ? e : null;
    return this;
  }

  @Nullable
  public Edit soFar() {
    return soFar;
  }
}
