package pied.core.tool.repeat;

import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edit.PlanPoint;
import pied.core.space.Group;
import pied.core.space.Repetition;
import pied.core.space.Rule;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.units.Deadline;
import pied.core.units.Refusal;

/** A rule that knows where its places are, and how it is adjusted. */
public interface Arrangement extends Rule {
  /**
   * The places, before anything comes to rest in them.
   *
   * @param ignored ids of pieces that are not there for this: those that will fill the places
   * @throws Refusal if there is no room, or too many are wanted
   */
  LaidOut laid(Space space, Mixed mix, Set<String> ignored, Deadline deadline);

  /** The edit that leaves it as it is; what is typed or chosen in it adjusts that. */
  Edit adjusting(String group);

  /** The edit that fills places again that were taken out. */
  Edit refilling(String group);

  /** The rule of a group that is kept by one. */
  static Arrangement of(Group g) {
    return (Arrangement) g.repeats().rule();
  }

  /** The edit that fills places of a group again that were taken out; null if none was. */
  static @Nullable Edit refilled(Group g) {
    return g.repeats().out().isEmpty() ? null : of(g).refilling(g.id());
  }

  /**
   * The edit that adjusts a repetition of such a rule, where just that is selected; else null.
   *
   * @param pieces ids, at least one
   */
  static @Nullable Edit adjusting(
      Space space, List<String> pieces, Class<? extends Arrangement> sort) {
    String id = space.piece(pieces.get(0)).keeping().group();
    Group g = id == null ? null : space.filing().group(id);
    boolean own =
        g != null
            && g.repeats() != null
            && sort.isInstance(g.repeats().rule())
            && Set.copyOf(space.members(id)).equals(Set.copyOf(pieces));
    return own ? of(g).adjusting(id) : null;
  }

  /**
   * As many as there may be.
   *
   * @throws Refusal if it is none, or more than {@link Repetition#MOST_PLACES}
   */
  static int checked(long count) {
    if (count < 1) {
      throw new Refusal("One at least is needed.");
    }
    if (count > Repetition.MOST_PLACES) {
      throw new Refusal("Up to {} can be made at once, not {}.", Repetition.MOST_PLACES, count);
    }
    return (int) count;
  }

  /** A point of the plan, as it would be typed. */
  static PlanPoint point(Spot s) {
    return new PlanPoint(Amount.of(s.x()), Amount.of(s.z()));
  }

  static @Nullable Amount amount(@Nullable Double v) {
    return v == null ? null : Amount.of(v);
  }

  /** A distance between sides; null if it is none. */
  static @Nullable Amount gap(@Nullable Apart a) {
    return a == null || a.middles() ? null : Amount.of(a.by());
  }

  /** A distance between middles; null if it is none. */
  static @Nullable Amount pitch(@Nullable Apart a) {
    return a == null || !a.middles() ? null : Amount.of(a.by());
  }
}
