package pied.core.tool.shell;

import pied.core.edit.Edit;
import pied.core.edit.EditSession;

/**
 * Something done to the shell of a space. A part without an id is a new one; what is missing stays,
 * or is as usual. Points and heights are those of the space, not read from the datum.
 */
public interface ShellEdit extends Edit {
  /**
   * The shell after.
   *
   * @throws pied.core.units.Refusal if it cannot be done
   */
  ShellWork.ShellResult rebuild(ShellWork work);

  @Override
  default void make(EditSession session) {
    ShellWork.ShellResult done = rebuild(new ShellWork(session.space(), session.unit()));
    new Followers(session, done).follow();
  }
}
