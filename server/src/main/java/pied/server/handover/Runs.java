package pied.server.handover;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntPredicate;

/** Text cut into runs for two kinds of type. */
final class Runs {
  private Runs() {}

  /**
   * Runs in turn of the first type and of the second, beginning with the first; they may be empty.
   *
   * @param second letters it has; what neither has becomes a question mark of the first
   */
  static List<String> of(String text, IntPredicate first, IntPredicate second) {
    List<String> runs = new ArrayList<>();
    StringBuilder run = new StringBuilder();
    boolean inFirst = true;
    for (int c : text.codePoints().toArray()) {
      boolean own = first.test(c);
      boolean letter = own || second.test(c);
      if ((own || !letter) != inFirst) {
        runs.add(run.toString());
        run.setLength(0);
        inFirst = !inFirst;
      }
      run.appendCodePoint(letter ? c : '?');
    }
    runs.add(run.toString());
    return runs;
  }
}
