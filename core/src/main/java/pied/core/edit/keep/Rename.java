package pied.core.edit.keep;

import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Text;
import pied.core.edit.Bench;
import pied.core.edit.Edit;

/** Names a piece. */
@RecordBuilder
public record Rename(String piece, String name) implements Edit {
  @Override
  public void make(Bench bench) {
    bench.set(bench.chosen(piece).withName(Text.name("A piece", name)));
  }
}
