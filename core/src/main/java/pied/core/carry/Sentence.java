package pied.core.carry;

import java.util.ArrayList;
import java.util.List;
import pied.core.carry.Answer.Measure;
import pied.core.carry.Answer.Tone;
import pied.core.carry.Answer.Words;
import pied.core.measure.Side;

/** Says where what is carried is: what it is, on what, how it is carried, and all distances. */
final class Sentence {
  /** Measures with words of their own, after the distances. */
  private static final List<String> ASIDE =
      List.of("underside", "upperside", Carrying.TURN, Carrying.ACROSS, Carrying.DEEP);

  private final List<Words> out = new ArrayList<>();

  private Sentence() {}

  /** Of an answer that has all but its sentence. */
  static List<Words> of(Answer a, Question q, CarriedPieces load) {
    Sentence s = new Sentence();
    int more = (q.pieces() == null ? 1 : q.pieces().size()) - 1;
    s.add(Tone.name, load.lead().name() + (more > 0 ? " and " + more + " more" : ""));
    s.text(", " + a.place());
    if (a.levels() > 1) {
      s.text(" (").add(Tone.levels, a.levels() + " surfaces here").text(")");
    }
    List<String> how = how(q);
    if (!how.isEmpty()) {
      s.text(", ").add(Tone.how, String.join(", ", how));
    }
    s.distances(a);
    s.place(a);
    s.heights(a);
    Measure turn = measure(a, "turn");
    if (turn != null) {
      s.text(", " + (q.against() != null ? "turned" : turn.words()) + " ").number(turn);
    }
    s.text(". ");
    if (!a.stopped().isEmpty() && a.refused().isEmpty()) {
      s.add(Tone.stopped, "Stopped by " + a.stopped() + ".").text(" ");
    }
    if (!a.snaps().isEmpty()) {
      List<String> words = a.snaps().stream().map(Answer.Snap::words).toList();
      s.add(Tone.snapped, String.join("; ", words) + ".").text(" ");
    }
    return s.out;
  }

  /** The switches that are on. */
  private static List<String> how(Question q) {
    List<String> all = new ArrayList<>();
    if (q.copy()) {
      all.add("a copy");
    }
    if (q.keep() != null) {
      all.add("kept " + q.keep().words());
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

  private void distances(Answer a) {
    String before = ": ";
    for (Measure m : a.measures()) {
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

  private void place(Answer a) {
    Measure across = measure(a, Carrying.ACROSS);
    Measure deep = measure(a, Carrying.DEEP);
    if (across != null && deep != null) {
      text("; at ").number(across).text(" " + across.words() + ", ");
      number(deep).text(" " + deep.words());
    }
  }

  private void heights(Answer a) {
    Measure under = measure(a, "underside");
    Measure upper = measure(a, "upperside");
    if (under != null && upper != null) {
      text("; from ").number(under).text(" to ").number(upper).text(" high");
    }
  }

  private static Measure measure(Answer a, String slot) {
    return a.measures().stream().filter(m -> m.slot().equals(slot)).findFirst().orElse(null);
  }

  private Sentence text(String text) {
    return add(Tone.text, text);
  }

  private Sentence number(Measure m) {
    out.add(new Words(Tone.number, m.text(), m.slot()));
    return this;
  }

  private Sentence add(Tone tone, String text) {
    out.add(new Words(tone, text, null));
    return this;
  }
}
