package pied.core.tool.turn;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.piece.Lean;
import pied.core.piece.Piece;
import pied.core.place.FloorLean;
import pied.core.solid.Vec;
import pied.core.space.Carriers;
import pied.core.units.Refusal;

/**
 * Leans pieces over, lays them down or sets them upright, each over the middle of where it is; then
 * they come to rest on what is beneath.
 *
 * @param toward direction from a piece's own front, degrees; null for the one it has
 * @param by degrees out of the upright; null for what it has
 * @param withFloor true: so that it stands square on the floor beneath, be it raked
 */
@JsonTypeName("lean")
@RecordBuilder
public record LeanOver(
    List<String> pieces, @Nullable Amount toward, @Nullable Amount by, @Nullable Boolean withFloor)
    implements Edit {
  @Override
  public String ofParts() {
    return WhyNot.TURNED;
  }

  @Override
  public void make(EditSession session) {
    List<String> ids = session.chosen(pieces);
    for (String id : ids) {
      Piece p = session.piece(id);
      boolean square = Boolean.TRUE.equals(withFloor);
      Piece leaning = p.withLean(square ? FloorLean.of(session.space(), p) : lean(p.lean()));
      session.set(square ? leaning : leaning.moved(aside(p, leaning)));
    }
    session.settle(Carriers.tops(session.space(), ids), true);
    session.settle(session.space().carriedBy(ids), true);
    session.sayOverlaps(ids);
  }

  /** So far its middle went aside, to be taken back. */
  private static Vec aside(Piece p, Piece leaning) {
    Vec middle = new Vec(0, p.size().height() / 2, 0);
    Vec off = p.pose().apply(middle).minus(leaning.pose().apply(middle));
    return new Vec(off.x(), 0, off.z());
  }

  private Lean lean(Lean now) {
    double wanted = by == null ? now.by() : by.angle(now.by());
    if (!(Math.abs(wanted) <= 180)) {
      throw new Refusal("A piece leans up to 180°.");
    }
    double way = toward == null ? now.toward() : toward.angle(now.toward());
    return wanted < 0 ? new Lean(way + 180, -wanted) : new Lean(way, wanted);
  }
}
