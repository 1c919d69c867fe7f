package pied.core.piece;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Objects;
import pied.core.Nullable;

/**
 * How a piece is kept in order; none of it has to do with where it is.
 *
 * @param layer id of the layer it is on
 * @param group id of the innermost group it is in; null for none
 * @param locked whether nothing may be done to it
 * @param hidden whether it is left out of drawings
 * @param remark what the schedule says of it; empty for nothing
 * @param slot the place it fills in the repetition that its group is; null for none
 * @param twin its other one; null for none
 */
@RecordBuilder
public record Keeping(
    String layer,
    @Nullable String group,
    boolean locked,
    boolean hidden,
    String remark,
    @Nullable Slot slot,
    @Nullable Partner twin)
    implements KeepingBuilder.With {
  /** Most letters of a remark. */
  public static final int LONGEST_REMARK = 500;

  /** The id of the layer that every space begins with. */
  public static final String FIRST = "first";

  public static final Keeping PLAIN = new Keeping(FIRST, null, false, false, "");

  public Keeping {
    layer = layer == null ? FIRST : layer;
    remark = remark == null ? "" : remark;
  }

  /** In no repetition, and nobody's twin. */
  public Keeping(
      String layer, @Nullable String group, boolean locked, boolean hidden, String remark) {
    this(layer, group, locked, hidden, remark, null, null);
  }

  /** In a group, or in none; what fills a place in one does so in that alone. */
  public Keeping inGroup(@Nullable String id) {
    return Objects.equals(id, group) ? this : withGroup(id).withSlot(null);
  }

  /** The same but for being locked and hidden as another is. */
  public Keeping shownAs(Keeping o) {
    return withLocked(o.locked).withHidden(o.hidden);
  }
}
