package pied.core.drawing;

import pied.core.space.KeptPart;
import pied.core.space.Opening;
import pied.core.space.Part;
import pied.core.space.Shell;
import pied.core.space.ShellDifference;
import pied.core.space.Space;

/** What is drawn of a shell: all but the parts that are hidden. */
final class SeenShell {
  private SeenShell() {}

  /** The shell without them; what is a hole in a wall stays one. */
  static Shell of(Space space) {
    Shell shell = space.shell();
    for (KeptPart k : space.filing().parts()) {
      Part part = shell.part(k.part());
      if (part != null && !(part instanceof Opening) && space.hidden(k.part())) {
        shell = ShellDifference.lacking(shell, part);
      }
    }
    return shell;
  }
}
