package pied.core.edit.place;

import static pied.core.edit.Bench.need;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.edit.Amount;
import pied.core.edit.Bench;
import pied.core.edit.Edit;
import pied.core.solid.Vec;

/** Moves pieces up or down so that the top of each is at a height read from the datum. */
@RecordBuilder
public record TopAt(List<String> pieces, Amount height) implements Edit {
  @Override
  public void make(Bench bench) {
    List<String> ids = bench.chosen(pieces);
    double datum = bench.space().shell().datum().y();
    for (String id : bench.carriersFirst(ids)) {
      double now = bench.space().high(bench.piece(id)) - datum;
      double by = need(height, "height").length(bench.unit(), now) - now;
      bench.shift(List.of(id), new Vec(0, by, 0));
    }
    bench.carriers(ids);
    bench.sayOverlaps(ids);
  }
}
