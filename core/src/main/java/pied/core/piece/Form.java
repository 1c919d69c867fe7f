package pied.core.piece;

import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;
import pied.core.recipe.Head;
import pied.core.size.Size;

/**
 * What a mesh is built from.
 *
 * @param article id of the article
 * @param size finished outside size
 * @param mirrored left to right
 * @param stretched beyond what the article comes in: built as near to the size as its rule lets it,
 *     then stretched
 * @param head how its head is turned, should it have one; null for straight ahead. That of a piece
 *     is with its lamp
 */
@RecordBuilder
public record Form(
    String article, Size size, boolean mirrored, boolean stretched, @Nullable Head head)
    implements FormBuilder.With {
  public Form(String article, Size size) {
    this(article, size, false, false);
  }

  public Form(String article, Size size, boolean mirrored, boolean stretched) {
    this(article, size, mirrored, stretched, null);
  }
}
