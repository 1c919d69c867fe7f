package pied.core.edit;

import java.util.List;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.function.Supplier;
import pied.core.Nullable;
import pied.core.space.Space;
import pied.core.units.Deadline;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/**
 * Makes edits: what comes out is a new space and what there is to say about it, or a {@link
 * Refusal}, and then nothing has happened. It costs what the edits touch.
 */
public final class Edits {
  /** Most edits of one request. */
  public static final int MOST = 5_000;

  private Edits() {}

  /** Looks at a space as an edit would; nothing is altered. */
  public static <T> T look(Space space, LengthUnit unit, Function<EditSession, T> asked) {
    return asked.apply(new EditSession(space, unit, null, () -> "none", Deadline.NONE));
  }

  /**
   * Makes several edits as one.
   *
   * @param unit what a bare number in a typed text means
   * @param newId makes ids for new pieces
   * @throws Refusal if one of them cannot be done; it names which if there are several
   */
  public static Outcome apply(
      Space space, List<Edit> edits, LengthUnit unit, Supplier<String> newId) {
    return apply(space, edits, unit, null, newId, Deadline.NONE);
  }

  /**
   * The same, within a time.
   *
   * @param layer id of the layer on which new pieces come; null for the first
   * @throws Refusal also if the time is up
   */
  public static Outcome apply(
      Space space,
      List<Edit> edits,
      LengthUnit unit,
      @Nullable String layer,
      Supplier<String> newId,
      Deadline deadline) {
    return apply(
        space,
        edits,
        unit,
        layer,
        newId,
        deadline,
        i -> edits.size() == 1 ? "" : "Edit " + (i + 1) + ": ");
  }

  /**
   * The same, where edits are called otherwise in a refusal.
   *
   * @param called how the edit at a place is called, with what parts it from the sentence
   */
  public static Outcome apply(
      Space space,
      List<Edit> edits,
      LengthUnit unit,
      @Nullable String layer,
      Supplier<String> newId,
      Deadline deadline,
      IntFunction<String> called) {
    if (edits.isEmpty()) {
      throw new Refusal("There is no edit in this request.");
    }
    if (edits.size() > MOST) {
      throw new Refusal(
          "A request may have up to {} edits; this one has {}. Send them in parts.",
          MOST,
          edits.size());
    }
    EditSession session = new EditSession(space, unit, layer, newId, deadline);
    for (int i = 0; i < edits.size(); i++) {
      try {
        session.make(edits.get(i));
      } catch (Refusal e) {
        String of = called.apply(i);
        throw (of.isEmpty() ? e : e.of(of)).in(unit);
      }
    }
    return session.outcome();
  }
}
