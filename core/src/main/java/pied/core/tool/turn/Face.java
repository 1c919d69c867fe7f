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
import pied.core.measure.Hold;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Carriers;
import pied.core.space.Spot;
import pied.core.space.Validity;
import pied.core.space.Wall;
import pied.core.units.Refusal;

/**
 * Turns pieces so that their fronts look toward something.
 *
 * @param what they face
 * @param at a point, for {@link FaceWhat#point}, metres
 * @param ray for {@link FaceWhat#point} as well: a line of sight, which counts where it passes the
 *     height of the foot
 * @param piece for {@link FaceWhat#piece}
 * @param away whether they look away from it
 * @param step the turn is a multiple of this, degrees; null or 0 for exactly there
 * @param about as in {@link Turn}
 * @param together whether only the last of them faces it, and the others are turned by as much
 */
@JsonTypeName("face")
@RecordBuilder
public record Face(
    List<String> pieces,
    FaceWhat what,
    @Nullable Vec at,
    @Nullable Sight ray,
    @Nullable String piece,
    @Nullable Boolean away,
    @Nullable Amount step,
    @Nullable String about,
    @Nullable Boolean together)
    implements Edit {
  /** What one can face. */
  public enum FaceWhat {
    point,
    piece,
    /** The last of the pieces, which stays as it is. */
    lead,
    /** Two pieces face each other. */
    eachOther,
    audience,
    /** The wall that is nearest to each. */
    wall
  }

  @Override
  public String ofParts() {
    return WhyNot.TURNED;
  }

  @Override
  public void make(EditSession session) {
    need(what, "what");
    List<String> ids = Carriers.tops(session.space(), session.chosen(pieces));
    if (what == FaceWhat.eachOther && ids.size() != 2) {
      throw new Refusal("Two pieces face each other; select two.");
    }
    List<String> turned = what == FaceWhat.lead ? ids.subList(0, ids.size() - 1) : ids;
    if (turned.isEmpty()) {
      throw new Refusal("Select what is to face the lead as well; the lead is picked last.");
    }
    Hold mark = Hold.pivot(about);
    List<Piece> before = ids.stream().map(session::piece).toList();
    Piece lead = session.piece(turned.get(turned.size() - 1));
    double all = Boolean.TRUE.equals(together) ? more(session, before, lead, mark) : Double.NaN;
    for (String id : turned) {
      Piece p = session.piece(id);
      double more = Double.isNaN(all) ? more(session, before, p, mark) : all;
      Swing.upright(session, p, Swing.mark(p, mark), more);
    }
    Swing.rest(session, turned);
  }

  private double more(EditSession session, List<Piece> before, Piece p, Hold mark) {
    double toward = toward(session, before, p, Swing.mark(p, mark));
    if (Double.isNaN(toward)) {
      throw new Refusal("{} is right there, so there is no direction to face.", p.name());
    }
    return stepped(toward) - p.turn();
  }

  private double stepped(double toward) {
    double t = Boolean.TRUE.equals(away) ? toward + 180 : toward;
    double by = step == null ? 0 : step.angle(0);
    if (!(by >= 0 && by <= 180)) {
      throw new Refusal("A step is from 0 to 180°.");
    }
    return by == 0 ? t : Math.rint(t / by) * by;
  }

  private double toward(EditSession session, List<Piece> before, Piece p, Vec from) {
    return switch (what) {
      case point -> Swing.bearing(from, point(p));
      case piece -> {
        if (p.id().equals(piece)) {
          throw new Refusal("{} cannot face itself.", p.name());
        }
        yield Swing.bearing(from, session.piece(need(piece, "piece")).at());
      }
      case lead -> Swing.bearing(from, before.get(before.size() - 1).at());
      case eachOther -> {
        Piece other = before.get(0).id().equals(p.id()) ? before.get(1) : before.get(0);
        yield Swing.bearing(from, other.at());
      }
      case audience -> {
        if (session.space().shell().stage() == null) {
          throw new Refusal("There is no audience in a room.");
        }
        yield 0;
      }
      case wall -> Swing.bearing(nearest(session, p).inward().times(-1));
    };
  }

  private Vec point(Piece p) {
    if (ray == null) {
      return Validity.point(need(at, "at"));
    }
    Vec d = Validity.sight(need(ray.from(), "ray.from"), need(ray.along(), "ray.along"));
    double far = (p.at().y() - ray.from().y()) / d.y();
    if (!(far > 0 && far < 1e4)) {
      throw new Refusal("Point at the floor, where it is to look.");
    }
    return ray.from().along(d, far);
  }

  private static Wall nearest(EditSession session, Piece p) {
    Spot here = new Spot(p.at().x(), p.at().z());
    return Wall.nearest(session.space().shell().faces(), here, "to face");
  }
}
