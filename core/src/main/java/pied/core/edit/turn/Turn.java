package pied.core.edit.turn;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.Refusal;
import pied.core.edit.Amount;
import pied.core.edit.Bench;
import pied.core.edit.Edit;
import pied.core.piece.Lean;
import pied.core.piece.Piece;
import pied.core.solid.Pose;
import pied.core.solid.Vec;

/** Turns pieces about their own middles, to an angle or by one. */
@RecordBuilder
public record Turn(List<String> pieces, @Nullable Amount to, @Nullable Amount by) implements Edit {
  @Override
  public void make(Bench bench) {
    List<String> ids = bench.tops(bench.chosen(pieces));
    if ((to == null) == (by == null)) {
      throw new Refusal("Say what to turn to, or what by.");
    }
    for (String id : ids) {
      Piece p = bench.piece(id);
      turn(bench, p, to != null ? to.angle(p.turn()) : p.turn() + by.angle(0));
    }
    if (bench.stand(ids)) {
      bench.settle(ids, false);
    } else {
      bench.carriers(ids);
    }
    bench.sayOverlaps(ids);
  }

  private static void turn(Bench bench, Piece p, double wanted) {
    double more = wanted - p.turn();
    Pose about = Pose.of(Vec.ZERO, more);
    Vec middle = p.at();
    bench.alter(
        bench.space().withCarried(List.of(p.id())),
        q ->
            q.id().equals(p.id())
                ? q.withTurn(wanted)
                : q.withAt(middle.plus(about.direct(q.at().minus(middle))))
                    .withTurn(q.turn() + more));
    if (!p.lean().equals(Lean.NONE) && FloorLean.same(p.lean(), FloorLean.of(bench.space(), p))) {
      Piece turned = bench.piece(p.id()); // it stays square on a sloping floor
      bench.set(turned.withLean(FloorLean.of(bench.space(), turned)));
    }
  }
}
