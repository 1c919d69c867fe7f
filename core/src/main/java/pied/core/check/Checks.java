package pied.core.check;

import java.util.List;
import pied.core.space.Space;
import pied.core.units.Deadline;

/** The register of checks. */
public final class Checks {
  static final List<Check<?>> ALL = List.of(new PieceCheck());

  private Checks() {}

  /**
   * All snags of a space; two pieces that overlap are named once. After an edit only what it can
   * have altered is looked at again.
   */
  public static List<Snag> of(Space space) {
    return of(space, Deadline.NONE);
  }

  /**
   * The same, within a time.
   *
   * @throws pied.core.units.Refusal if the time is up
   */
  public static List<Snag> of(Space space, Deadline deadline) {
    return ALL.stream().flatMap(c -> found(space, c, deadline).stream()).toList();
  }

  /** What one check finds, in the order of its subjects. */
  static <S> List<Snag> found(Space space, Check<S> check, Deadline deadline) {
    return space
        .renewedBySolid(
            check.getClass(),
            check.subjects(),
            (now, subject) -> {
              deadline.check();
              return check.of(now, subject);
            })
        .values()
        .stream()
        .flatMap(List::stream)
        .toList();
  }
}
