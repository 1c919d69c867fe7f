package pied.core.tool.shell;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.space.PartName;
import pied.core.space.Shell;
import pied.core.space.Wall;

/** Gives a wall a length; the wall beyond the moving end moves along. */
@JsonTypeName("wallLength")
@RecordBuilder
public record WallLength(String wall, Amount length, @Nullable End moves) implements ShellEdit {
  /** Which end of a wall moves. */
  public enum End {
    start,
    end
  }

  /** The wall that moves when another one is given a length, unless it is said. */
  public static String moved(Shell shell, Wall wall) {
    int i = OutlineWork.edge(shell, wall.name());
    int n = shell.outline().size();
    boolean end = OutlineWork.moves(shell, i) == End.end;
    return Shell.name(Math.floorMod(end ? i + 1 : i - 1, n));
  }

  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    int i = OutlineWork.edge(w.shell(), need(wall, "wall"));
    double wanted = w.length(need(length, "length"), w.shell().walls().get(i).length());
    return w.outline().wallLength(wall, wanted, moves).of(PartName.wall(wall));
  }
}
