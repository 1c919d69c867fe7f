package pied.core.measure;

import java.util.Set;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.material.Finishes;
import pied.core.piece.Form;
import pied.core.piece.Lean;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Stance;
import pied.core.place.Rest;
import pied.core.place.Resting;
import pied.core.size.Size;
import pied.core.solid.Box;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.Entry;
import pied.core.units.LengthUnit;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * A figure or a block of known size beside a piece, to judge its size by eye. It is no piece of the
 * space: no list has it, and nothing touches it.
 */
public final class Yardstick {
  /** Its id, which no piece can have. */
  public static final String ID = "the yardstick";

  private static final double BESIDE = 0.15;

  /** Sorts of yardsticks. */
  public enum YardstickWhat {
    person("standing-figure", "A person, "),
    block("block", "A block, ");

    private final String article;
    private final String words;

    YardstickWhat(String article, String words) {
      this.article = article;
      this.words = words;
    }
  }

  private Yardstick() {}

  /**
   * A yardstick to the right of a piece, on what it would stand on there.
   *
   * @param size a height, as typed; of a block its edge; null for the usual
   * @throws Refusal if it is none
   */
  public static Piece beside(
      Space space, String piece, YardstickWhat what, @Nullable String size, LengthUnit unit) {
    Piece p = space.piece(piece);
    Article article = space.shapes().catalog().article(what.article);
    double high =
        size == null || size.isBlank()
            ? article.size().height()
            : Entry.length(size, unit).from(article.size().height());
    if (!(high >= 0.01 && high <= 12)) {
      throw new Refusal(
          "A yardstick is from {} to {} high.", Message.length(0.01), Message.length(12));
    }
    Size own = article.size().times(high / article.size().height());
    Form form = new Form(article.id(), own, false, true); // a person of any height
    Box box = p.pose().box(space.shapes().mesh(p).box());
    double x = box.max().x() + BESIDE + own.width() / 2;
    Vec at = new Vec(x, space.shapes().low(p), box.centre().z());
    Rest rest = new Resting(space, form, Lean.NONE, Set.of(), true).settle(at, 0);
    boolean there = !rest.on().equals(On.NOTHING);
    String name = what.words + unit.fine(high);
    return new Piece(
        ID,
        name,
        form,
        new Stance(there ? rest.at() : at, 0),
        there ? rest.on() : On.NOTHING,
        Finishes.NONE);
  }
}
