package pied.core.space;

import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;
import pied.core.piece.Keeping;

/**
 * A layer of a space: pieces that are shown, hidden and locked together. Every piece is on one.
 *
 * @param colour of its lines on the plan, #RRGGBB; null for ink
 * @param hidden whether its pieces are left out of drawings
 * @param locked whether nothing may be done to its pieces
 */
@RecordBuilder
public record Layer(String id, String name, @Nullable String colour, boolean hidden, boolean locked)
    implements LayerBuilder.With {
  /** The one that every space begins with. */
  public static final Layer FIRST = new Layer(Keeping.FIRST, "Main", null, false, false);

  /** Most layers of a space. */
  public static final int MOST = 200;
}
