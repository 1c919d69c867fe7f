package pied.core.space;

import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;

/**
 * Pieces that are selected as one. It is there as long as there is something in it.
 *
 * @param in id of the group that it is in itself; null for none
 * @param repeats the rule by which its pieces are kept; null for none
 */
@RecordBuilder
public record Group(String id, String name, @Nullable String in, @Nullable Repetition repeats)
    implements GroupBuilder.With {
  /** So deep groups may be in one another. */
  public static final int DEEPEST = 20;

  /** Kept by no rule. */
  public Group(String id, String name, @Nullable String in) {
    this(id, name, in, null);
  }
}
