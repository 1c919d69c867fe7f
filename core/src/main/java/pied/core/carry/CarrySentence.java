package pied.core.carry;

import java.util.ArrayList;
import java.util.List;
import pied.core.Nullable;
import pied.core.carry.CarryResult.CarriedWords;
import pied.core.carry.CarryResult.CarryMeasure;
import pied.core.carry.CarryResult.CarryTone;
import pied.core.measure.Side;

/** Says where what is carried is: what it is, on what, how it is carried, and all distances. */
final class CarrySentence {
  /** Measures with words of their own, after the distances. */
  private static final List<String> ASIDE =
      List.of("underside", "upperside", Carrying.TURN, Carrying.ACROSS, Carrying.DEEP);

  private final List<CarriedWords> out = new ArrayList<>();

  private CarrySentence() {}

  /**
   * Of an answer that has all but its sentence.
   *
   * @param kept the one direction it is kept to, in words; null for any
   */
  static List<CarriedWords> of(
      CarryResult a, CarryAsk q, CarriedPieces load, @Nullable String kept) {
    CarrySentence s = new CarrySentence();
    int more = (q.pieces() == null ? 1 : q.pieces().size()) - 1;
    s.add(CarryTone.name, load.lead().name() + (more > 0 ? " and " + more + " more" : ""));
    s.text(", " + a.place());
    if (a.levels() > 1) {
      s.text(" (").add(CarryTone.levels, a.levels() + " surfaces here").text(")");
    }
    List<String> how = how(q, kept);
    if (!how.isEmpty()) {
      s.text(", ").add(CarryTone.how, String.join(", ", how));
    }
    s.distances(a);
    s.place(a);
    s.heights(a);
    CarryMeasure turn = measure(a, "turn");
    if (turn != null) {
      s.text(", " + (q.against() != null ? "turned" : turn.words()) + " ").number(turn);
    }
    s.text(". ");
    if (!a.stopped().isEmpty() && a.refused().isEmpty()) {
      s.add(CarryTone.stopped, "Stopped by " + a.stopped() + ".").text(" ");
    }
    if (!a.snaps().isEmpty()) {
      List<String> words = a.snaps().stream().map(CarryResult.CarrySnap::words).toList();
      s.add(CarryTone.snapped, String.join("; ", words) + ".").text(" ");
    }
    return s.out;
  }

  /** The switches that are on. */
  private static List<String> how(CarryAsk q, @Nullable String kept) {
    List<String> all = new ArrayList<>();
    if (q.copy()) {
      all.add("a copy");
    }
    if (kept != null) {
      all.add("kept " + kept);
    }
    if (q.against() != null) {
      String side = q.against() == Side.under ? "underside" : q.against().name();
      all.add("its " + side + " onto the face");
    }
    if (q.tops()) {
      all.add("onto tops too");
    }
    if (q.each()) {
      all.add("each for itself");
    }
    if (q.meet() != null) {
      all.add(q.meet().words());
    }
    if (q.free()) {
      all.add("through everything");
    }
    return all;
  }

  private void distances(CarryResult a) {
    String before = ": ";
    for (CarryMeasure m : a.measures()) {
      if (m.slot().equals("moved")) {
        text(before + "moved ").number(m);
      } else if (!ASIDE.contains(m.slot())) {
        text(before).number(m).text(" " + m.words());
      } else {
        continue;
      }
      before = ", ";
    }
  }

  private void place(CarryResult a) {
    CarryMeasure across = measure(a, Carrying.ACROSS);
    CarryMeasure deep = measure(a, Carrying.DEEP);
    if (across != null && deep != null) {
      text("; at ").number(across).text(" " + across.words() + ", ");
      number(deep).text(" " + deep.words());
    }
  }

  private void heights(CarryResult a) {
    CarryMeasure under = measure(a, "underside");
    CarryMeasure upper = measure(a, "upperside");
    if (under != null && upper != null) {
      text("; from ").number(under).text(" to ").number(upper).text(" high");
    }
  }

  private static CarryMeasure measure(CarryResult a, String slot) {
    return a.measures().stream().filter(m -> m.slot().equals(slot)).findFirst().orElse(null);
  }

  private CarrySentence text(String text) {
    return add(CarryTone.text, text);
  }

  private CarrySentence number(CarryMeasure m) {
    out.add(new CarriedWords(CarryTone.number, m.text(), m.slot()));
    return this;
  }

  private CarrySentence add(CarryTone tone, String text) {
    out.add(new CarriedWords(tone, text, null));
    return this;
  }
}
