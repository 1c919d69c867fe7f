package pied.core.check;

import java.util.List;
import java.util.Map;
import pied.core.Nullable;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Resting;
import pied.core.space.Space;
import pied.core.units.Deadline;

/**
 * Something wrong with a piece.
 *
 * @param words a sentence that says what
 * @param amount by how much, metres; null where that says nothing
 * @param remedy what puts it right; null for nothing simple
 * @param silence what says that it is meant so, after which it is no snag; null for nothing
 */
public record Snag(
    String piece,
    SnagKind kind,
    String words,
    @Nullable Double amount,
    @Nullable Remedy remedy,
    @Nullable Remedy silence) {
  Snag(
      String piece, SnagKind kind, String words, @Nullable Double amount, @Nullable Remedy remedy) {
    this(piece, kind, words, amount, remedy, null);
  }

  /** Sorts of snags. */
  public enum SnagKind {
    hovers,
    overlaps,
    outside,
    unstable
  }

  private static final Outside OUTSIDE = new Outside();
  private static final List<Check> INSIDE =
      List.of(new Hovering(), new Unsteady(), new Overlapping());

  /** One look at a piece; what it finds depends on what is within a millimetre of it, no more. */
  interface Check {
    /**
     * @param on what truly carries the piece, whatever is written down
     */
    List<Snag> of(Space space, Piece piece, On on);
  }

  /**
   * All snags of a space, in the order of its pieces; two that overlap are named once. After an
   * edit only what is near to what it touched is looked at again.
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
    Map<String, List<Snag>> all =
        space.renewedBySolid(
            Snag.class,
            (s, p) -> {
              deadline.check();
              return of(s, p);
            });
    return all.values().stream().flatMap(List::stream).toList();
  }

  /** The snags of one piece. */
  static List<Snag> of(Space space, Piece piece) {
    On on = Resting.of(space, piece).carrier(piece.pose());
    List<Snag> outside = OUTSIDE.of(space, piece, on);
    return outside.isEmpty()
        ? INSIDE.stream().flatMap(c -> c.of(space, piece, on).stream()).toList()
        : outside;
  }
}
