package pied.core.space;

import pied.core.Nullable;
import pied.core.piece.Piece;

/**
 * A piece and where it is in the order of the pieces of its space.
 *
 * @param place what comes first has the least; null for behind all others
 */
public record Ordered(Piece piece, @Nullable Long place) {}
