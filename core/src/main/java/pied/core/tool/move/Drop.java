package pied.core.tool.move;

import java.util.List;
import pied.core.Tolerance;
import pied.core.edit.Amount;
import pied.core.edit.Declined;
import pied.core.edit.Edit;
import pied.core.edit.Edit.Measures;
import pied.core.edit.Edit.Place3;
import pied.core.edit.EditSession;
import pied.core.edit.Offer;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Hung;
import pied.core.size.Measure;
import pied.core.size.Size;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.tool.size.OutOfRange;
import pied.core.tool.size.Resize;
import pied.core.units.Message;
import pied.core.units.Refusal;

/** What hangs by a length of its own: how far down it reaches is how long it is. */
public final class Drop {
  private Drop() {}

  /** Whether a piece hangs right under something, by its own length. */
  static boolean isDrop(Space space, Piece p) {
    if (!space.article(p).hangsByLength() || p.attached() || p.lean().by() != 0) {
      return false;
    }
    Hung hung = Hung.of(space, p);
    return !hung.from().equals(On.NOTHING) && !hung.onLines();
  }

  /**
   * Makes it so long that its underside is so high.
   *
   * @param low metres
   * @throws Declined if it does not come in that length; that it hangs lower as it is, on lines of
   *     its own, is offered
   */
  static void to(EditSession session, String id, double low) {
    Piece p = session.piece(id);
    double top = p.at().y() + p.size().height();
    Amount high = Amount.of(Math.rint((top - low) * 1e9) / 1e9);
    Resize longer = new Resize(List.of(id), new Measures(null, null, high), "top");
    Refusal not = refusal(session, p, top - low);
    if (not != null) {
      Edit nearest = longer.withBeyond(OutOfRange.nearest);
      Edit lower = new Hang(List.of(id), Amount.of(top - p.size().height() - low));
      Offer make = new Offer("Make it as long as it comes", List.of(nearest));
      Offer lines = new Offer("Hang it lower, on lines of its own", List.of(lower));
      boolean lowers = low < p.at().y();
      throw new Declined(not, lowers ? List.of(make, lines) : List.of(make));
    }
    longer.make(session);
    session.say("{} is {} long now.", p.name(), Message.length(top - low));
  }

  private static Refusal refusal(EditSession session, Piece p, double high) {
    if (!(high > 0)) {
      return new Refusal("{} hangs from there and does not go above it.", p.name());
    }
    try {
      Size wanted = new Size(p.size().width(), p.size().depth(), high);
      session.article(p.id()).check(p.name(), wanted);
      return null;
    } catch (Refusal e) {
      return e;
    }
  }

  /**
   * How high the hem of hanging cloth is above the floor, metres.
   *
   * @return not a number for anything else, where it reaches the floor, or where it could not
   */
  public static double hem(Space space, Piece p) {
    if (!space.article(p).hasHem() || !isDrop(space, p)) {
      return Double.NaN;
    }
    double floor = space.shell().floorAt(new Spot(p.at().x(), p.at().z()));
    double gap = p.at().y() - floor;
    boolean comes = space.article(p).sizing().rule(Measure.height).holds(p.size().height() + gap);
    return Math.abs(gap) > Tolerance.NEAR && comes ? gap : Double.NaN;
  }

  /** Lets the hem reach the floor. */
  public static Edit reaching(Space space, Piece p) {
    double floor = space.shell().floorAt(new Spot(p.at().x(), p.at().z()));
    Amount y = Amount.of(floor - space.shell().datum().y());
    return new MoveTo(List.of(p.id()), new Place3(null, y, null));
  }

  /** Offers that the hem of cloth that was hung reaches the floor. */
  public static void offerHem(EditSession session, String id) {
    Piece p = session.piece(id);
    double gap = hem(session.space(), p);
    if (!Double.isNaN(gap)) {
      String where = gap > 0 ? "above the floor" : "below it";
      session.say("The hem of {} is {} {}.", p.name(), Message.length(Math.abs(gap)), where);
      session.offer(
          new Offer("Let its hem reach the floor", List.of(reaching(session.space(), p))));
    }
  }
}
