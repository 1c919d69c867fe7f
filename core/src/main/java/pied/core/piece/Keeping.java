package pied.core.piece;

import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;

/**
 * How a piece is kept in order; none of it has to do with where it is.
 *
 * @param layer id of the layer it is on; null for the first
 * @param group id of the innermost group it is in; null for none
 * @param locked whether nothing may be done to it
 * @param hidden whether it is left out of drawings
 */
@RecordBuilder
public record Keeping(
    @Nullable String layer, @Nullable String group, boolean locked, boolean hidden)
    implements KeepingBuilder.With {
  public static final Keeping PLAIN = new Keeping(null, null, false, false);
}
