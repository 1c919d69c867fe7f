package pied.core.piece;

import pied.core.Nullable;
import pied.core.solid.Vec;

/**
 * What a lantern is aimed at.
 *
 * @param piece id of the piece that it follows; null for a point of the space
 * @param at the point: of the space, or in the frame of that piece, metres
 */
public record Aim(@Nullable String piece, Vec at) {}
