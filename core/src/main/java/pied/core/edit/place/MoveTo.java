package pied.core.edit.place;

import static pied.core.edit.Bench.need;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.edit.Bench;
import pied.core.edit.Edit;
import pied.core.edit.Places;
import pied.core.piece.Piece;
import pied.core.solid.Vec;

/**
 * Moves pieces to a place read from the datum; each keeps what is not said. Its height is that of
 * its lowest point.
 */
@RecordBuilder
public record MoveTo(List<String> pieces, Place3 to) implements Edit {
  @Override
  public void make(Bench bench) {
    List<String> ids = bench.chosen(pieces);
    for (String id : bench.carriersFirst(ids)) {
      Piece p = bench.piece(id);
      Vec low = new Vec(0, p.at().y() - bench.space().low(p), 0);
      Vec at = p.at().minus(low);
      Vec next = Places.read(need(to, "to"), at, bench.space().shell(), bench.unit());
      bench.shift(List.of(id), next.minus(at));
    }
    if (to.y() == null) {
      bench.settle(bench.tops(ids), false);
    } else {
      bench.carriers(ids);
    }
    bench.sayOverlaps(ids);
  }
}
