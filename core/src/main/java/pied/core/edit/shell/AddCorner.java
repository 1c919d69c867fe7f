package pied.core.edit.shell;

import static pied.core.edit.Bench.need;

import pied.core.edit.Amount;

/** Puts a corner into a wall, so far from its first corner; null for its middle. */
public record AddCorner(String wall, Amount at) implements ShellEdit {
  @Override
  public ShellWork.Result rebuild(ShellWork w) {
    Double where = at == null ? null : w.length(at, 0);
    return w.outline()
        .addCorner(need(wall, "wall"), where)
        .of("corner:" + (OutlineWork.edge(w.shell(), wall) + 1));
  }
}
