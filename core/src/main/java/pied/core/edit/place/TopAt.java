package pied.core.edit.place;

import static pied.core.edit.Bench.need;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Comparator;
import java.util.List;
import pied.core.edit.Amount;
import pied.core.edit.Bench;
import pied.core.edit.Edit;
import pied.core.piece.Piece;
import pied.core.solid.Vec;

/** Moves pieces up or down so that the top of each is at a height read from the datum. */
@RecordBuilder
public record TopAt(List<String> pieces, Amount height) implements Edit {
  @Override
  public void make(Bench bench) {
    List<String> ids = bench.chosen(pieces);
    double datum = bench.space().shell().datum().y();
    // what carries others first, since they go along
    List<String> upward =
        ids.stream().sorted(Comparator.comparingDouble(id -> bench.piece(id).at().y())).toList();
    for (String id : upward) {
      double now = top(bench, bench.piece(id)) - datum;
      double by = need(height, "height").length(bench.unit(), now) - now;
      bench.shift(List.of(id), new Vec(0, by, 0));
    }
    bench.carriers(ids);
    bench.sayOverlaps(ids);
  }

  private static double top(Bench bench, Piece p) {
    return p.pose().box(bench.space().shapes().mesh(p).box()).max().y();
  }
}
