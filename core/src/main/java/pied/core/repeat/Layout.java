package pied.core.repeat;

import java.util.Set;
import pied.core.Deadline;
import pied.core.Refusal;
import pied.core.space.Repetition;
import pied.core.space.Rule;
import pied.core.space.Space;

/** Works out the places of a repetition. */
public final class Layout {
  private Layout() {}

  /**
   * The places, before anything comes to rest in them.
   *
   * @param ignored ids of pieces that are not there for this: those that will fill the places
   * @throws Refusal if there is no room, or too many are wanted
   */
  public static LaidOut of(Space space, Repetition r, Set<String> ignored, Deadline deadline) {
    Mixed mix = new Mixed(space, r);
    Rule rule = r.rule();
    if (rule instanceof Rule.Row row) {
      return new Rows(row, mix).laid();
    }
    if (rule instanceof Rule.Trail trail) {
      return new Trails(trail, mix, deadline).laid();
    }
    if (rule instanceof Rule.Ring ring) {
      return new Rings(ring, mix, deadline).laid();
    }
    return new Scatters(space, (Rule.Scatter) rule, mix, ignored, deadline).laid();
  }

  static int checked(long count) {
    if (count < 1) {
      throw new Refusal("One at least is needed.");
    }
    if (count > Repetition.MOST_PLACES) {
      throw new Refusal(
          "Up to " + Repetition.MOST_PLACES + " can be made at once, not " + count + ".");
    }
    return (int) count;
  }
}
