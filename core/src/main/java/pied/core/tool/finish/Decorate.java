package pied.core.tool.finish;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Map;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.material.Finish;
import pied.core.material.Finishes;
import pied.core.space.Shell;
import pied.core.space.ShellBodies;
import pied.core.units.Refusal;

/**
 * Gives a part of the shell a finish.
 *
 * @param part such as floor, wall for all walls, wall:A for one
 * @param finish what is missing is as its material has it, or without one stays; null for as usual
 */
@JsonTypeName("decorate")
@RecordBuilder
public record Decorate(String part, @Nullable Finish finish) implements Edit, DecorateBuilder.With {
  private static final String WALLS = "wall";

  @Override
  public void make(EditSession session) {
    Shell shell = session.space().shell();
    Finish natural = natural(shell, part);
    Finishes all = shell.finishes();
    if (part.equals(WALLS)) { // of all of them, also those that had one of their own
      for (String own : all.parts().keySet()) {
        all = own.startsWith(WALLS + ":") ? all.with(own, null) : all;
      }
    }
    Finish shown = ShellBodies.looks(shell).get(part);
    all = all.with(part, Given.own(finish, natural, shown, session.space().shapes()));
    session.build(shell.withFinishes(all), Map.of(), null);
  }

  /**
   * How a part looks that has no finish of its own.
   *
   * @throws Refusal if there is no such part
   */
  static Finish natural(Shell shell, String part) {
    Map<String, Finish> usual =
        ShellBodies.looks(shell.withFinishes(shell.finishes().with(need(part, "part"), null)));
    Finish natural = usual.get(part);
    if (natural == null) {
      throw new Refusal("The shell has no part “{}” to finish.", part);
    }
    return natural;
  }
}
