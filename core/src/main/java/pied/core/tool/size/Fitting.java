package pied.core.tool.size;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.catalog.Article;
import pied.core.catalog.Mounting;
import pied.core.edit.Declined;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Offer;
import pied.core.measure.Hold;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.piece.Form;
import pied.core.piece.Lean;
import pied.core.piece.Piece;
import pied.core.place.Resting;
import pied.core.size.Measure;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.Message;
import pied.core.units.Refusal;

/** Gives pieces other forms: what the article allows, what holds, what stands on it. */
public final class Fitting {
  private Fitting() {}

  /**
   * The form a piece takes when a size is wanted. What comes in steps goes to the nearest, and that
   * is said.
   *
   * @param instead the edit with something else beyond what the article comes in, to be offered
   * @throws Declined if the article does not come in that size
   */
  static Form form(
      EditSession session,
      Piece p,
      Size wanted,
      @Nullable OutOfRange beyond,
      Function<OutOfRange, Edit> instead) {
    Article article = session.space().article(p);
    Size stepped = article.sizing().stepped(wanted);
    Refusal not = refusal(article, p.name(), stepped);
    if (not == null) {
      sayStep(session, p, article, wanted, stepped);
      return p.form().withSize(stepped).withStretched(false);
    }
    if (beyond == OutOfRange.stretch) {
      return p.form().withSize(wanted).withStretched(true);
    }
    Size nearest = article.nearest(wanted);
    if (beyond == OutOfRange.nearest) {
      session.say(
          "{} is now {}, the nearest it comes in to what was asked.",
          p.name(),
          nearest.text(session.unit()));
      return p.form().withSize(nearest).withStretched(false);
    }
    List<Offer> offers = new ArrayList<>();
    if (!nearest.sameAs(p.size())) {
      offers.add(
          new Offer("Take the nearest it comes in", List.of(instead.apply(OutOfRange.nearest))));
    }
    offers.add(new Offer("Stretch it anyway", List.of(instead.apply(OutOfRange.stretch))));
    throw new Declined(not, offers);
  }

  private static Refusal refusal(Article article, String name, Size size) {
    try {
      article.check(name, size);
      return null;
    } catch (Refusal e) {
      return e;
    }
  }

  private static void sayStep(EditSession session, Piece p, Article a, Size wanted, Size stepped) {
    for (Measure m : Measure.values()) {
      if (Math.abs(m.of(stepped) - m.of(wanted)) > Tolerance.SAME) {
        session.say(
            "{} comes {} {}; it is {}.",
            p.name(),
            a.sizing().rule(m).words(),
            m.words(),
            Message.bare(m.of(stepped)));
      }
    }
  }

  /** Gives a piece a form, where the sides hold that do so unless it is said. */
  public static void give(EditSession session, Piece p, Form next) {
    give(session, p, next, Hold.ANY);
  }

  /**
   * Gives a piece a form. What holds stays where it is; what it carries comes to rest on it again.
   */
  static void give(EditSession session, Piece p, Form next, Hold hold) {
    Hold stays = hold.orElse(usual(session.space(), p, next.size()));
    Vec shift = p.pose().direct(stays.on(p.size()).minus(stays.on(next.size())));
    Set<String> carried = session.space().carriedBy(p.id());
    session.set(p.withForm(next).withAt(p.at().plus(shift)));
    follow(session, p, carried, next.size().height() - p.size().height());
    boolean stands = session.article(p.id()).mounting() == Mounting.STANDS && !p.attached();
    if (stands && hold.upright() == null && !p.lean().equals(Lean.NONE)) {
      session.settle(List.of(p.id()), true);
    } else {
      session.carriers(List.of(p.id()));
    }
  }

  /** What stands on it stays over its place and comes to rest again. */
  private static void follow(EditSession session, Piece p, Set<String> carried, double up) {
    if (carried.isEmpty()) {
      return;
    }
    if (up > 0) {
      session.alter(carried, q -> q.moved(new Vec(0, up, 0)));
    }
    session.settle(carried, true);
  }

  /**
   * What holds unless it is said: a side that touches something, else the middle; and the
   * underside. Of what hangs the top, of what is fixed to a wall its back.
   */
  private static Hold usual(Space space, Piece p, Size next) {
    Mounting mounting = space.article(p).mounting();
    boolean wall = mounting == Mounting.WALL;
    int upright =
        p.attached()
            ? lower(space, p, next)
            : mounting == Mounting.HANGS
                ? 1
                : wall && !Double.isNaN(space.article(p).usualMiddle()) ? 0 : -1;
    boolean wider = next.width() != p.size().width();
    boolean deeper = next.depth() != p.size().depth();
    return new Hold(
        wider ? touching(space, p, Side.left, Side.right) : 0,
        upright,
        wall ? -1 : deeper ? touching(space, p, Side.back, Side.front) : 0);
  }

  /** Of what is attached by its underside or its top, that. */
  private static int lower(Space space, Piece p, Size next) {
    int side = next.height() == p.size().height() ? 0 : touching(space, p, Side.under, Side.top);
    return side == 0 ? -1 : side;
  }

  private static int touching(Space space, Piece p, Side low, Side high) {
    return touches(space, p, low) ? -1 : touches(space, p, high) ? 1 : 0;
  }

  private static boolean touches(Space space, Piece p, Side side) {
    Reach r = Reach.of(space, p, side);
    return r != null && Math.abs(r.distance()) < Resting.CONTACT; // an overlap is no touching
  }
}
