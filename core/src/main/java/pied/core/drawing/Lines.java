package pied.core.drawing;

import pied.core.piece.Form;

/** Where line drawings of forms come from; one that keeps them is quicker. */
public interface Lines {
  /**
   * The lines of a form.
   *
   * @param eye in the article's own directions
   */
  LineDrawing lines(Form form, Eye eye);
}
