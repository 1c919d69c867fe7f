package pied.core.tool.shell;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.LinkedHashMap;
import java.util.Map;
import pied.core.catalog.Finish;
import pied.core.space.Shell;
import pied.core.space.ShellBodies;
import pied.core.units.Refusal;

/** Gives a part of the shell a colour, or with null its usual one again. */
@JsonTypeName("paint")
@RecordBuilder
public record Paint(String part, String colour) implements ShellEdit {
  @Override
  public ShellWork.Result rebuild(ShellWork w) {
    Shell shell = w.shell();
    Map<String, String> next = new LinkedHashMap<>(shell.finishes());
    if (!ShellBodies.colours(shell).containsKey(need(part, "part"))) {
      throw new Refusal("The shell has no part “" + part + "” to colour.");
    }
    if (colour == null) {
      next.remove(part);
    } else {
      next.put(part, Finish.colour(colour));
    }
    return w.done(shell.withFinishes(next), null);
  }
}
