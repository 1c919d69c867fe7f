package pied.core.edit;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import pied.core.piece.Partner;
import pied.core.units.Refusal;

/**
 * Takes out the twin of a piece, which stays and is nobody's twin then; it is here since what is
 * put on one of a pair offers it.
 *
 * @param piece id of the one that stays
 */
@JsonTypeName("single")
public record Single(String piece) implements Edit {
  @Override
  public void make(EditSession session) {
    Partner twin = session.chosen(piece).keeping().twin();
    if (twin == null || twin.piece() == null) {
      throw new Refusal("{} has no twin.", session.piece(piece).name());
    }
    Paired.part(session, List.of(piece, twin.piece()), List.of());
    session.takeOut(List.of(twin.piece()));
  }
}
