package pied.core.edit.shell;

import static pied.core.edit.Bench.need;

import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.space.PartName;

/** Gives a wall a length; the wall beyond the moving end moves along. */
@RecordBuilder
public record WallLength(String wall, Amount length, @Nullable End moves) implements ShellEdit {
  /** Which end of a wall moves. */
  public enum End {
    start,
    end
  }

  @Override
  public ShellWork.Result rebuild(ShellWork w) {
    int i = OutlineWork.edge(w.shell(), need(wall, "wall"));
    double wanted = w.length(need(length, "length"), w.shell().walls().get(i).length());
    return w.outline().wallLength(wall, wanted, moves).of(PartName.wall(wall));
  }
}
