package pied.core.tool.finish;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Map;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.material.Finish;
import pied.core.space.Shell;

/**
 * Gives a part of the shell a colour, or with null its usual one again; what it is made of stays.
 *
 * @param colour as #RRGGBB or a plain name
 */
@JsonTypeName("paint")
@RecordBuilder
public record Paint(String part, @Nullable String colour) implements Edit {
  @Override
  public void make(EditSession session) {
    Shell shell = session.space().shell();
    Decorate.natural(shell, part);
    String read = Recolour.read(colour);
    Finish now = shell.finishes().of(part);
    Finish next = now == null ? Finish.of(read) : now.withColour(read);
    Finish kept = next.none() ? null : next;
    session.build(shell.withFinishes(shell.finishes().with(part, kept)), Map.of(), null);
  }
}
