package pied.core.piece;

import pied.core.Nullable;

/**
 * The other one of a pair of twins.
 *
 * @param twin id of what they are twins by
 * @param piece id of the other; null while it is to be made
 * @param first whether this one stays where it is when the line is moved
 */
public record Partner(String twin, @Nullable String piece, boolean first) {}
