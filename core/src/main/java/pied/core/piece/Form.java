package pied.core.piece;

import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.size.Size;

/**
 * What a mesh is built from.
 *
 * @param article id of the article
 * @param size finished outside size
 * @param mirrored left to right
 * @param stretched beyond what the article comes in: built as near to the size as its rule lets it,
 *     then stretched
 */
@RecordBuilder
public record Form(String article, Size size, boolean mirrored, boolean stretched)
    implements FormBuilder.With {
  public Form(String article, Size size) {
    this(article, size, false, false);
  }
}
