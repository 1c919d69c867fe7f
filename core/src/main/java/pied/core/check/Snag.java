package pied.core.check;

import pied.core.Nullable;

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
}
