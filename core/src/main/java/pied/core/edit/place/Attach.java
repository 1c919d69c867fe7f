package pied.core.edit.place;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.Refusal;
import pied.core.edit.Bench;
import pied.core.edit.Edit;
import pied.core.piece.On;
import pied.core.piece.Piece;

/**
 * Attaches pieces to another where they are, so that they go where it goes; null: takes them off.
 */
@RecordBuilder
public record Attach(List<String> pieces, @Nullable String to) implements Edit {
  @Override
  public void make(Bench bench) {
    for (String id : bench.chosen(pieces)) {
      Piece p = bench.piece(id);
      if (to == null) {
        bench.set(p.withAttached(false));
        bench.carriers(List.of(id));
        continue;
      }
      Piece carrier = bench.piece(to);
      if (to.equals(id) || bench.space().carriedBy(id).contains(to)) {
        throw new Refusal(
            carrier.name() + " is carried by " + p.name() + "; it cannot carry it as well.");
      }
      bench.set(p.withOn(On.piece(to)).withAttached(true));
      bench.say(p.name() + " goes where " + carrier.name() + " goes.");
    }
  }
}
