package pied.core.place;

import pied.core.piece.On;
import pied.core.solid.Vec;

/**
 * A place where a piece rests.
 *
 * @param at middle of its underside
 * @param turn degrees
 * @param on what carries it
 * @param aside how far it was moved sideways so as not to overlap something, metres
 */
public record Rest(Vec at, double turn, On on, double aside) {}
