package pied.core.edit.place;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.edit.Bench;
import pied.core.edit.Edit;

/** Lets pieces come to rest: down onto what is beneath, or up out of what they are sunk in. */
@RecordBuilder
public record Settle(List<String> pieces) implements Edit {
  @Override
  public void make(Bench bench) {
    bench.letDown(bench.chosen(pieces));
  }
}
