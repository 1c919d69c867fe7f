package pied.core.tool.size;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.measure.Hold;
import pied.core.piece.Piece;
import pied.core.size.Measure;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.space.Validity;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * Sizes pieces by one length that is known: between two points of the last of them it measures
 * something, and should measure something else. That factor is exact for it, and the others take it
 * over.
 *
 * @param from a point of it, in the directions of the space, metres
 * @param to the other
 * @param length what it should be from one to the other
 * @param along the only measure that changes: the one the points lie along; null: all by the same
 * @param hold as in {@link Resize}
 */
@JsonTypeName("knownLength")
@RecordBuilder
public record KnownLength(
    List<String> pieces,
    Vec from,
    Vec to,
    Amount length,
    @Nullable Measure along,
    @Nullable String hold,
    @Nullable OutOfRange beyond)
    implements Edit, KnownLengthBuilder.With {
  @Override
  public String ofParts() {
    return WhyNot.SIZED;
  }

  @Override
  public void make(EditSession session) {
    List<String> ids = session.chosen(pieces);
    Piece lead = session.piece(ids.get(ids.size() - 1));
    Vec way = Validity.point(need(to, "to")).minus(Validity.point(need(from, "from")));
    double now = way.length();
    if (now < Size.LEAST) {
      throw new Refusal("The two points are the same; choose two that are apart.");
    }
    double wanted = need(length, "length").length(session.unit(), now);
    MeasureReader.sound(wanted);
    double factor = along == null ? wanted / now : one(lead.pose().undirect(way), wanted);
    Hold stays = Hold.read(hold);
    for (String id : ids) {
      Piece p = session.piece(id);
      Size next =
          along == null
              ? p.size().times(factor)
              : along.with(p.size(), along.of(p.size()) * factor);
      Fitting.give(session, p, Fitting.form(session, p, next, beyond, this::withBeyond), stays);
    }
    session.say(
        "{} became {}, a factor of {}.",
        Message.length(now),
        Message.length(wanted),
        factor(factor));
    session.sayOverlaps(ids);
  }

  /** The measure of a piece that the way between two points lies along most. */
  public static Measure along(Piece p, Vec from, Vec to) {
    Vec own = p.pose().undirect(to.minus(from));
    Measure most = Measure.width;
    for (Measure m : Measure.values()) {
      double part = Math.abs(own.dot(SpaceSize.way(m)));
      most = part > Math.abs(own.dot(SpaceSize.way(most))) + Tolerance.SAME ? m : most;
    }
    return most;
  }

  /** A factor as it is written. */
  private static String factor(double f) {
    return new BigDecimal(f).round(new MathContext(4)).stripTrailingZeros().toPlainString();
  }

  /** The factor of one measure alone that makes the way so long. */
  private double one(Vec own, double wanted) {
    double part = own.dot(SpaceSize.way(along));
    double rest = own.dot(own) - part * part;
    double square = wanted * wanted - rest;
    if (Math.abs(part) < Size.LEAST || square <= 0) {
      throw new Refusal(
          "With that measure alone the two points cannot come to be {} apart; change all"
              + " of them.",
          Message.length(wanted));
    }
    return Math.sqrt(square) / Math.abs(part);
  }
}
