package pied.core.edit.shell;

import static pied.core.edit.Bench.need;

import pied.core.edit.Amount;

/** Gives a wall a length; the wall beyond the moving end moves along. */
public record WallLength(String wall, Amount length, End moves) implements ShellEdit {
  /** Which end of a wall moves. */
  public enum End {
    start,
    end
  }

  @Override
  public ShellWork.Result rebuild(ShellWork w) {
    int i = OutlineWork.edge(w.shell(), need(wall, "wall"));
    double wanted = w.length(need(length, "length"), w.shell().walls().get(i).length());
    return w.outline().wallLength(wall, wanted, moves).of("wall:" + wall);
  }
}
