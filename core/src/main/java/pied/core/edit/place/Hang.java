package pied.core.edit.place;

import static pied.core.edit.Bench.need;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Refusal;
import pied.core.catalog.Mounting;
import pied.core.edit.Amount;
import pied.core.edit.Bench;
import pied.core.edit.Edit;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Hung;
import pied.core.solid.Vec;

/** Hangs pieces so far below what is above them, on lines of their own; 0: right under it. */
@RecordBuilder
public record Hang(List<String> pieces, Amount below) implements Edit {
  @Override
  public void make(Bench bench) {
    List<String> ids = bench.chosen(pieces);
    for (String id : ids) {
      hang(bench, bench.piece(id));
    }
    bench.sayOverlaps(ids);
  }

  private void hang(Bench bench, Piece p) {
    if (bench.article(p.id()).mounting() != Mounting.HANGS) {
      throw new Refusal(p.name() + " does not hang; say how high its top is to be instead.");
    }
    Hung hung = Hung.of(bench.space(), p);
    if (hung.from().equals(On.NOTHING)) {
      throw new Refusal("There is nothing above " + p.name() + " that it could hang from.");
    }
    double wanted = need(below, "below").length(bench.unit(), hung.below());
    double most = hung.below() + p.at().y();
    if (wanted < 0 || wanted > most) {
      throw new Refusal(
          p.name()
              + " can hang from 0 to "
              + bench.unit().fine(most)
              + " below "
              + bench.space().nameOf(hung.from())
              + ", not "
              + bench.unit().fine(wanted)
              + ".");
    }
    bench.shift(List.of(p.id()), new Vec(0, hung.below() - wanted, 0));
    bench.set(bench.piece(p.id()).withOn(hung.from()));
  }
}
