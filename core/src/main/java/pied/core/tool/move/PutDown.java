package pied.core.tool.move;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import pied.core.Names;
import pied.core.Nullable;
import pied.core.carry.CarryAsk;
import pied.core.carry.CarryResult;
import pied.core.carry.Carrying;
import pied.core.edit.Copies;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.space.Carriers;
import pied.core.units.Refusal;

/**
 * Puts down what is carried, where it was last seen.
 *
 * @param piece id for a new piece, or null to have one made
 */
@JsonTypeName("putDown")
@RecordBuilder
public record PutDown(CarryAsk carry, @Nullable String piece) implements Edit {
  @Override
  public void make(EditSession session) {
    CarryAsk q = need(carry, "carry");
    if (q.pieces() != null && !q.pieces().isEmpty()) {
      session.chosen(q.pieces());
    }
    CarryResult a = Carrying.answer(session.space(), q, session.unit());
    if (!a.refused().isEmpty()) {
      throw new Refusal(a.refused());
    }
    List<String> ids = q.copy() || q.article() != null ? anew(session, q, a) : moved(session, a);
    List<String> tops = Carriers.tops(session.space(), ids);
    String lead = ids.get(ids.size() - 1);
    tops.remove(lead);
    session.carriers(tops);
    session.sayOverlaps(tops.isEmpty() ? List.of(lead) : ids);
    if (q.article() != null) {
      Drop.offerHem(session, lead);
    }
  }

  private static List<String> moved(EditSession session, CarryResult a) {
    a.pieces().forEach(session::set);
    return a.pieces().stream().map(Piece::id).toList();
  }

  /** Puts in what is carried as new pieces, with ids and names of their own. */
  private List<String> anew(EditSession session, CarryAsk q, CarryResult a) {
    if (q.article() != null) {
      Piece p = a.pieces().get(0);
      String id = piece == null ? session.newId() : piece;
      session.put(
          List.of(
              p.withId(id)
                  .withName(session.freeName(Names.bare(p.name())))
                  .withKeeping(session.fresh())));
      return List.of(id);
    }
    List<Piece> placed = a.pieces().stream().map(Carrying::original).toList();
    Copies copies = new Copies(session, placed.stream().map(Piece::id).toList());
    // what is not in hand itself is carried by something that is there
    Set<String> onFirst = new HashSet<>();
    a.pieces().stream()
        .filter(p -> p.on().kind() == On.OnKind.piece && session.space().has(p.on().id()))
        .forEach(p -> onFirst.add(Carrying.original(p).id()));
    copies.put(placed, onFirst);
    return placed.stream().map(p -> copies.of(p.id())).toList();
  }
}
