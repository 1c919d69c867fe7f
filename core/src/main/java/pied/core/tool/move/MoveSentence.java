package pied.core.tool.move;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edit.Place3;
import pied.core.edit.Edit.PlanPoint;
import pied.core.measure.Side;
import pied.core.phrase.Writer;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Points;
import pied.core.say.Reading;
import pied.core.say.Sentence;
import pied.core.tool.beside.BesideBuilder;

/** Such as "at 2.10, 1.40", "move 0.30 to the left", "0.10 beside the lead on its left". */
final class MoveSentence implements Sentence<MoveTo> {
  @Override
  public Class<MoveTo> of() {
    return MoveTo.class;
  }

  @Override
  public List<Edit> read(Reading r, Nouns n) {
    List<Edit> place = place(r, n);
    if (place != null) {
      return place;
    }
    if (r.ahead("underside at|undersides at")) {
      High e = high(r, n, new High(new MoveTo(n.selected(), new Place3(null, null, null)), null));
      return e == null ? null : edits(Clause.all(r, n, e, List.of()), n);
    }
    if (r.is("move")) {
      MoveBy move = moved(r, n, r.length("a length"));
      if (move == null) {
        throw r.unread();
      }
      return List.of(Clause.all(r, n, move, List.of()));
    }
    int before = r.at();
    Amount gap = r.maybe(() -> r.length("a length"));
    MoveBy way = gap == null ? null : moved(r, n, gap);
    if (way != null) {
      return List.of(Clause.all(r, n, way, List.of()));
    }
    if (r.is("beside the lead")) {
      for (Side s : Side.values()) {
        if (s != Side.under && r.is(s.words())) {
          Edit e = BesideBuilder.builder().pieces(n.selected()).side(s).gap(gap).build();
          return List.of(Clause.all(r, n, e, List.of()));
        }
      }
      throw r.unread();
    }
    r.back(before);
    return null;
  }

  private static @Nullable List<Edit> place(Reading r, Nouns n) {
    boolean together = r.is("together at");
    boolean each = !together && r.is("each at");
    if (!together && !each && !r.is("at")) {
      return null;
    }
    PlanPoint p = Points.two(r);
    Place3 to = new Place3(p.x(), Points.high(r), p.z());
    // several things have one place together: none of them is to be in another
    boolean asOne = together || !each && n.selected().size() > 1;
    High e = new High(new MoveTo(n.selected(), to, null, asOne ? true : null, null), null);
    return edits(Clause.all(r, n, e, List.of(MoveSentence::high)), n);
  }

  /** A place, and how high its top is to be there. */
  private record High(MoveTo move, @Nullable Amount top) {}

  private static @Nullable High high(Reading r, Nouns n, High e) {
    boolean under = r.is("underside at|undersides at");
    if (!under && !r.is("top at|tops at")) {
      return null;
    }
    Amount y = r.length("a length");
    if (y == null) {
      return null;
    }
    r.quietly("high");
    Place3 to = e.move.to();
    Place3 there = new Place3(to.x(), y, to.z());
    return under
        ? new High(
            new MoveTo(e.move.pieces(), there, null, e.move.together(), e.move.mark()), e.top)
        : new High(e.move, y);
  }

  private static List<Edit> edits(High e, Nouns n) {
    return e.top == null ? List.of(e.move) : List.of(e.move, new TopAt(n.selected(), e.top));
  }

  /** So far a way that is named next; null if none is. */
  private static @Nullable MoveBy moved(Reading r, Nouns n, @Nullable Amount by) {
    if (by == null) {
      return null;
    }
    PlanPoint staged = Points.way(r, by);
    if (staged != null) {
      return new MoveBy(n.selected(), new Place3(staged.x(), null, staged.z()));
    }
    Amount back = Amount.of(-by.number());
    Place3 way =
        r.is("to the left")
            ? new Place3(back, null, null)
            : r.is("to the right")
                ? new Place3(by, null, null)
                : r.is("to the back")
                    ? new Place3(null, null, back)
                    : r.is("to the front")
                        ? new Place3(null, null, by)
                        : r.is("up")
                            ? new Place3(null, by, null)
                            : r.is("down") ? new Place3(null, back, null) : null;
    return way == null ? null : new MoveBy(n.selected(), way);
  }

  @Override
  public void write(Writer w, MoveTo e) {
    if (e.to().x() != null && e.to().z() != null) {
      boolean together = Boolean.TRUE.equals(e.together());
      String who = together ? "Together at " : e.pieces().size() > 1 ? "Each at " : "At ";
      w.text(who + Points.two(w, new PlanPoint(e.to().x(), e.to().z())));
      w.text(e.to().y() == null ? ". " : ", underside at " + Points.length(w, e.to().y()) + ". ");
    } else if (e.to().y() != null) {
      w.text("Underside at " + Points.length(w, e.to().y()) + ". ");
    }
  }
}
