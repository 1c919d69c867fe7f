package pied.core.say;

import java.util.List;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edit.Place3;
import pied.core.edit.Edit.PlanPoint;
import pied.core.edit.arrange.BesideBuilder;
import pied.core.edit.place.MoveBy;
import pied.core.edit.place.MoveTo;
import pied.core.measure.Side;
import pied.core.phrase.Writer;

/** Such as "at 2.10, 1.40", "move 0.30 to the left", "0.10 beside the lead on its left". */
final class MoveSentence implements Sentence<MoveTo> {
  @Override
  public Class<MoveTo> of() {
    return MoveTo.class;
  }

  @Override
  public List<Edit> read(Reading r, Nouns n) {
    if (r.is("at")) {
      PlanPoint p = Points.two(r);
      Place3 to = new Place3(p.x(), null, p.z());
      return List.of(Clause.all(r, n, new MoveTo(n.selected(), to), List.of()));
    }
    if (r.is("move")) {
      return List.of(Clause.all(r, n, moved(r, n), List.of()));
    }
    int before = r.at();
    Amount gap = r.maybe(() -> r.length("a length"));
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

  private static MoveBy moved(Reading r, Nouns n) {
    Amount by = r.length("a length");
    if (by == null) {
      throw r.unread();
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
    if (way == null) {
      throw r.unread();
    }
    return new MoveBy(n.selected(), way);
  }

  @Override
  public void write(Writer w, MoveTo e) {
    if (e.to().x() != null && e.to().z() != null) {
      w.text("At " + Points.two(w, new PlanPoint(e.to().x(), e.to().z())) + ". ");
    }
  }
}
