package pied.core.carry;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.assertj.core.data.Offset;
import pied.core.carry.CarryAsk.CarryKeep;
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
  CarryAsk.CarrySight ray;
  boolean level;
  int down;
  double near;
  boolean free;
  boolean each;
  boolean tops;
  CarryAsk.CarryMeet meet;
  Side against;
  CarryKeep keep;
  Double turn = 0.0;
  CarryAsk.CarryTyped typed;

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
    ray = new CarryAsk.CarrySight(from, to.minus(from));
    return this;
  }

  Asked near(double v) {
    near = v;
    return this;
  }

  Asked typed(String slot, String text) {
    typed = new CarryAsk.CarryTyped(slot, text, null);
    return this;
  }

  CarryAsk asked() {
    return new CarryAsk(
        pieces, article, null, null, copy, picked, null, at, ray, level, down, near, free, each,
        tops, meet, against, keep, turn, typed);
  }

  // ---- and what was answered

  static Piece lead(CarryResult a) {
    return a.pieces().get(a.pieces().size() - 1);
  }

  static void isAt(CarryResult a, double x, double y, double z, Offset<Double> how) {
    Vec at = lead(a).at();
    assertThat(at.x()).as("across, " + a).isCloseTo(x, how);
    assertThat(at.y()).as("high, " + a).isCloseTo(y, how);
    assertThat(at.z()).as("deep, " + a).isCloseTo(z, how);
  }

  static double measure(CarryResult a, String slot) {
    return a.measures().stream()
        .filter(m -> m.slot().equals(slot))
        .findFirst()
        .orElseThrow()
        .value();
  }

  static List<String> words(CarryResult a) {
    return a.snaps().stream().map(CarryResult.CarrySnap::words).toList();
  }
}
