package pied.core.edit.place;

import static pied.core.edit.Bench.need;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.edit.Bench;
import pied.core.edit.Edit;
import pied.core.edit.Places;
import pied.core.piece.Piece;
import pied.core.solid.Vec;

/** Moves one piece to a place read from the datum. */
@RecordBuilder
public record MoveTo(String piece, Place3 to) implements Edit {
  @Override
  public void make(Bench bench) {
    Piece p = bench.chosen(piece);
    List<String> own = List.of(p.id());
    Vec at = Places.read(need(to, "to"), p.at(), bench.space().shell(), bench.unit());
    bench.shift(own, at.minus(p.at()));
    if (to.y() == null) {
      bench.settle(own, false);
    } else {
      bench.carriers(own);
    }
    bench.sayOverlaps(own);
  }
}
