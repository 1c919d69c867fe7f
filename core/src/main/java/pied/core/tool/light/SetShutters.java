package pied.core.tool.light;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.light.Shutters;
import pied.core.piece.Lamp;
import pied.core.piece.Piece;
import pied.core.units.Refusal;

/**
 * Pushes the shutters of lanterns into their light, as seen along it; what is not said stays.
 *
 * @param pieces ids; null for those of {@code which}
 * @param which null where pieces are named
 * @param left how far, of the width of the field: a number from 0 to 1, or a text such as "40 %"
 */
@JsonTypeName("shutters")
@RecordBuilder
public record SetShutters(
    @Nullable List<String> pieces,
    @Nullable LampsMeant which,
    @Nullable Amount left,
    @Nullable Amount right,
    @Nullable Amount top,
    @Nullable Amount bottom)
    implements Edit, SetShuttersBuilder.With {
  @Override
  public void make(EditSession session) {
    List<String> meant = LampsMeant.named(session, pieces, which);
    List<String> able = meant.stream().filter(id -> cuts(session, id)).toList();
    if (able.isEmpty()) {
      Piece first = session.piece(meant.get(0));
      throw new Refusal("{} has no shutters; a profile spot has.", first.name());
    }
    session.alter(able, p -> p.withLamp(set(p.lamp())));
  }

  private static boolean cuts(EditSession session, String id) {
    return session.article(id).light().shutters();
  }

  private Lamp set(Lamp was) {
    Shutters s = was.blades();
    Shutters to =
        new Shutters(
            in(left, s.left()), in(right, s.right()), in(top, s.top()), in(bottom, s.bottom()));
    return was.withShutters(to.equals(Shutters.OUT) ? null : to);
  }

  private static double in(@Nullable Amount said, double now) {
    return said == null
        ? now
        : Shares.of(
            said,
            "A shutter is pushed in by so much per cent of the field, such as 40 %.",
            "A shutter is pushed in between 0 and 100 % of the field.");
  }
}
