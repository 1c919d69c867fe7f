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

/** Such as "turn 30", "turn to 90", "face the lead", "face the audience", "turn as the lead". */
final class TurnSentence implements Sentence<Turn> {
  @Override
  public Class<Turn> of() {
    return Turn.class;
  }

  @Override
  public List<Edit> read(Reading r, Nouns n) {
    if (r.is("face")) {
      return List.of(Clause.all(r, n, face(r, n), List.of()));
    }
    if (!r.is("turn")) {
      return null;
    }
    if (r.is("as the lead")) {
      Edit as = TurnAsBuilder.builder().pieces(n.selected()).build();
      return List.of(Clause.all(r, n, as, List.of()));
    }
    boolean to = r.is("to");
    if (!to) {
      r.is("by");
    }
    Amount angle = r.angle("an angle");
    if (angle == null) {
      throw r.unread();
    }
    Turn e = new Turn(n.selected(), to ? angle : null, to ? null : angle);
    return List.of(Clause.all(r, n, e, List.of()));
  }

  private static Edit face(Reading r, Nouns n) {
    FaceBuilder e = FaceBuilder.builder().pieces(n.selected());
    if (r.is("each other|one another")) {
      return e.what(Face.FaceWhat.eachOther).build();
    }
    if (r.is("the audience")) {
      return e.what(Face.FaceWhat.audience).build();
    }
    if (r.is("the nearest wall|the wall")) {
      return e.what(Face.FaceWhat.wall).build();
    }
    if (r.is("away from the nearest wall|away from the wall|into the room")) {
      return e.what(Face.FaceWhat.wall).away(true).build();
    }
    String piece = n.piece();
    if (piece == null) {
      throw r.unread();
    }
    List<String> others = n.selected().stream().filter(id -> !id.equals(piece)).toList();
    return e.what(Face.FaceWhat.piece).piece(piece).pieces(others).build();
  }

  @Override
  public void write(Writer w, Turn e) {
    w.text("Turn ");
    if (e.to() != null) {
      w.text("to " + Points.angle(e.to()));
    } else {
      w.text("by " + Points.angle(e.by() == null ? Amount.of(0) : e.by()));
    }
    w.text(". ");
  }
}
