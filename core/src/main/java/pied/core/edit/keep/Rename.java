package pied.core.edit.keep;

import pied.core.Text;
import pied.core.edit.Bench;
import pied.core.edit.Edit;

/** Names a piece. */
public record Rename(String piece, String name) implements Edit {
  @Override
  public void make(Bench bench) {
    bench.set(bench.chosen(piece).withName(Text.name("A piece", name)));
  }
}
