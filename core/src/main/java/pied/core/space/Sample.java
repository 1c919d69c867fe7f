package pied.core.space;

import java.util.List;
import pied.core.piece.Piece;

/**
 * What is repeated: a piece with all it carries, or a group.
 *
 * @param parts as they are to one another, the first one with its front to the foot of the plan and
 *     the middle of its underside at zero; what one carries names it by its id among these
 * @param share of all that are made, to those of the others; more than 0
 */
public record Sample(List<Piece> parts, double share) {
  public Sample {
    parts = List.copyOf(parts);
  }
}
