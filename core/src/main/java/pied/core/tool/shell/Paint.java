package pied.core.tool.shell;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.material.Finish;
import pied.core.space.Shell;
import pied.core.space.ShellBodies;
import pied.core.units.Refusal;

/** Gives a part of the shell a colour, or with null its usual one again. */
@JsonTypeName("paint")
@RecordBuilder
public record Paint(String part, String colour) implements ShellEdit {
  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    Shell shell = w.shell();
    if (!ShellBodies.looks(shell).containsKey(need(part, "part"))) {
      throw new Refusal("The shell has no part “{}” to colour.", part);
    }
    Finish next = colour == null ? null : Finish.of(Finish.colour(colour));
    return w.done(shell.withFinishes(shell.finishes().with(part, next)), null);
  }
}
