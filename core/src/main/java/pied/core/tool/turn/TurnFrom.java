package pied.core.tool.turn;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.solid.Vec;
import pied.core.space.Carriers;
import pied.core.space.Validity;
import pied.core.units.Refusal;

/**
 * Turns pieces as one by points: about the first, so that the second comes to lie toward the third.
 *
 * @param centre stays, metres
 * @param from a point of a direction on the piece, seen from the centre
 * @param to where that direction shall point
 * @param angle instead: degrees, as turns are read
 */
@JsonTypeName("turnFrom")
@RecordBuilder
public record TurnFrom(
    List<String> pieces, Vec centre, Vec from, @Nullable Vec to, @Nullable Amount angle)
    implements Edit {
  @Override
  public String ofParts() {
    return WhyNot.TURNED;
  }

  @Override
  public void make(EditSession session) {
    List<String> ids = Carriers.tops(session.space(), session.chosen(pieces));
    Vec stays = Validity.point(need(centre, "centre"));
    double now = Swing.bearing(stays, Validity.point(need(from, "from")));
    if ((to == null) == (angle == null)) {
      throw new Refusal("Say where the direction shall point, or give an angle.");
    }
    double wanted = to != null ? Swing.bearing(stays, Validity.point(to)) : angle.angle(now);
    if (Double.isNaN(now) || Double.isNaN(wanted)) {
      throw new Refusal("Two of the points lie over each other; choose points that are apart.");
    }
    for (String id : ids) {
      Swing.upright(session, session.piece(id), stays, wanted - now);
    }
    Swing.rest(session, ids);
  }
}
