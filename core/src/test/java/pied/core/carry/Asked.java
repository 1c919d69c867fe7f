package pied.core.carry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.assertj.core.data.Offset;
import pied.core.carry.Question.Keep;
import pied.core.measure.Side;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Spot;

/** A question in the making. */
final class Asked {
  final List<String> pieces;
  String article;
  boolean copy;
  Vec picked;
  Spot at;
  Question.Sight ray;
  boolean level;
  int down;
  double near;
  boolean free;
  boolean each;
  boolean tops;
  Question.Meet meet;
  Side against;
  Keep keep;
  double turn;
  Question.Typed typed;

  Asked(List<String> pieces) {
    this.pieces = pieces;
  }

  /** These are carried. */
  static Asked carry(String... pieces) {
    return new Asked(List.of(pieces));
  }

  Asked to(double x, double z) {
    at = new Spot(x, z);
    return this;
  }

  Asked look(Vec from, Vec to) {
    ray = new Question.Sight(from, to.minus(from));
    return this;
  }

  Asked near(double v) {
    near = v;
    return this;
  }

  Asked typed(String slot, String text) {
    typed = new Question.Typed(slot, text, null);
    return this;
  }

  Question asked() {
    return new Question(
        pieces, article, null, null, copy, picked, null, at, ray, level, down, near, free, each,
        tops, meet, against, keep, turn, typed);
  }

  // ---- and what was answered

  static Piece lead(Answer a) {
    return a.pieces().get(a.pieces().size() - 1);
  }

  static void isAt(Answer a, double x, double y, double z, Offset<Double> how) {
    Vec at = lead(a).at();
    assertThat(at.x()).as("across, " + a).isCloseTo(x, how);
    assertThat(at.y()).as("high, " + a).isCloseTo(y, how);
    assertThat(at.z()).as("deep, " + a).isCloseTo(z, how);
  }

  static double measure(Answer a, String slot) {
    return a.measures().stream()
        .filter(m -> m.slot().equals(slot))
        .findFirst()
        .orElseThrow()
        .value();
  }

  static List<String> words(Answer a) {
    return a.snaps().stream().map(Answer.Snap::words).toList();
  }
}
