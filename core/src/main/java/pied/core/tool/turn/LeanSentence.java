package pied.core.tool.turn;

import java.util.List;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.phrase.Writer;
import pied.core.say.Clause;
import pied.core.say.Nouns;
import pied.core.say.Points;
import pied.core.say.Reading;
import pied.core.say.Sentence;

/** Such as "lean against wall A at 75", "lean against the wall". */
final class LeanSentence implements Sentence<LeanAgainst> {
  /** How steep a ladder leans: one out for four up. */
  private static final double STEEP = 75;

  @Override
  public Class<LeanAgainst> of() {
    return LeanAgainst.class;
  }

  @Override
  public List<Edit> read(Reading r, Nouns n) {
    if (!r.is("lean against|leaning against")) {
      return null;
    }
    String wall = n.wall();
    if (wall == null && !r.is("the nearest wall|the wall")) {
      throw r.unread();
    }
    Amount angle = Amount.of(STEEP);
    if (r.is("at")) {
      angle = r.angle("an angle");
      if (angle == null) {
        throw r.unread();
      }
    }
    return List.of(Clause.all(r, n, new LeanAgainst(n.selected(), angle, wall), List.of()));
  }

  @Override
  public void write(Writer w, LeanAgainst e) {
    w.text("Lean against " + (e.wall() == null ? "the nearest wall" : w.shell.wallName(e.wall())));
    w.text(" at " + Points.angle(e.angle()) + ". ");
  }
}
