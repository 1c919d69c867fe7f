package pied.core.tool.size;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.catalog.Article;
import pied.core.edit.Amount;
import pied.core.edit.Declined;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Offer;
import pied.core.edit.WhyNot;
import pied.core.measure.Hold;
import pied.core.piece.Form;
import pied.core.piece.Piece;
import pied.core.size.Measure;
import pied.core.size.Size;
import pied.core.space.Wholes;
import pied.core.units.LengthUnit;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * Gives pieces a size, each the same; to a whole group among them as one, by what it measures
 * across, deep and high. One of the measures may be typed as all three: "0.42 x 0.42 x 0.66".
 *
 * @param hold the mark or side that stays where it is, see {@link Hold#read}; what it does not say:
 *     a side that touches something stays, else the middle; and the underside (of what hangs, the
 *     top; of what is fixed to a wall, its back)
 * @param together measures that keep their proportions; null for none
 * @param natural whether factors are of the natural size, not of the present one
 * @param alongSpace whether width, height and depth are those across, up and deep in the space, not
 *     the piece's own
 * @param beyond if the article does not come in that size; null for a refusal
 */
@JsonTypeName("size")
@RecordBuilder
public record Resize(
    List<String> pieces,
    Measures size,
    @Nullable String hold,
    @Nullable Together together,
    @Nullable Boolean natural,
    @Nullable Boolean alongSpace,
    @Nullable OutOfRange beyond)
    implements Edit, ResizeBuilder.With {
  /** By the piece's own measures, each by itself. */
  public Resize(List<String> pieces, Measures size, @Nullable String hold) {
    this(pieces, size, hold, null, null, null, null);
  }

  @Override
  public String ofParts() {
    return WhyNot.SIZED;
  }

  @Override
  public void make(EditSession session) {
    need(size, "size");
    List<String> ids = session.chosen(pieces);
    Hold stays = Hold.read(hold);
    for (List<String> whole : Wholes.of(session.space(), ids)) {
      if (whole.size() > 1) {
        new SizeAsOne(whole, size, hold, together, beyond).make(session);
      } else {
        Piece p = session.piece(whole.get(0));
        Form next = Fitting.form(session, p, wanted(session, p), beyond, this::withBeyond);
        sayWhatFollowed(session, p, next.size());
        Fitting.give(session, p, next, stays);
      }
    }
    session.sayOverlaps(ids);
  }

  /** A measure that nobody asked for has changed, because of what the piece is. */
  private void sayWhatFollowed(EditSession session, Piece p, Size next) {
    boolean one = size.whole() == null && !Boolean.TRUE.equals(alongSpace);
    boolean made = together == null || together == Together.none || together == Together.usual;
    if (!one || !made || isWhole(size.width()) || isWhole(size.depth()) || isWhole(size.height())) {
      return;
    }
    Amount[] asked = {size.width(), size.depth(), size.height()};
    for (Measure m : Measure.values()) {
      if (asked[m.ordinal()] == null && Math.abs(m.of(next) - m.of(p.size())) > Tolerance.FINE) {
        session.say(
            "{} goes in proportion, as it is made; it is now {}.",
            p.name(),
            next.text(session.unit()));
        return;
      }
    }
  }

  /** Whether an entry may say all three. */
  private static boolean isWhole(@Nullable Amount a) {
    return a != null && a.text() != null && a.text().matches("(?s).*[a-zA-Z×].*");
  }

  private Size wanted(EditSession session, Piece p) {
    Article article = session.space().article(p);
    Size from = Boolean.TRUE.equals(natural) ? article.size() : p.size();
    double[] asked;
    if (Boolean.TRUE.equals(alongSpace)) {
      SpaceSize turned = SpaceSize.of(p);
      asked = turned.own(MeasureReader.read(size, turned.extent(from), session.unit()), from);
    } else {
      asked = MeasureReader.read(size, from, article.size(), session.unit());
    }
    flat(p, article, asked);
    asked = Together.of(together, article).follow(from, asked);
    for (double v : asked) {
      MeasureReader.sound(v);
    }
    return article.sizing().follow(p.size(), asked);
  }

  /** What is flat has no such measure to change. */
  private void flat(Piece p, Article article, double[] asked) {
    for (Measure m : Measure.values()) {
      double v = asked[m.ordinal()];
      boolean changes = !Double.isNaN(v) && Math.abs(v - m.of(p.size())) > Tolerance.SAME;
      if (changes && article.isFlat(m) && beyond != OutOfRange.stretch) {
        throw new Declined(
            Message.of("{} is flat; there is nothing of it to be made so {}.", p.name(), m.words()),
            List.of(new Offer("Stretch it anyway", List.of(withBeyond(OutOfRange.stretch)))));
      }
    }
  }

  /**
   * The size that comes of new measures by the article's rule.
   *
   * @throws Refusal if one is none
   */
  public static Size measured(LengthUnit unit, Measures m, Article article) {
    return article.sizing().follow(article.size(), MeasureReader.read(m, article.size(), unit));
  }
}
