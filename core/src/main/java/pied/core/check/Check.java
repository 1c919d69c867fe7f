package pied.core.check;

import java.util.List;
import pied.core.space.Space;
import pied.core.space.Subjects;

/**
 * One look at a space, subject by subject. A new one is a class of its own and a line in {@link
 * Checks}.
 *
 * @param <S> what it looks at: a piece, a pair of pieces, an opening, the space
 */
public interface Check<S> {
  /** What it looks at, and of which of them a change can alter the outcome. */
  Subjects<S> subjects();

  /** What is wrong with one of them; it may depend on no more than its subjects say. */
  List<Snag> of(Space space, S subject);
}
