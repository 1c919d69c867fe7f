package pied.core.point;

import pied.core.solid.Vec;

/**
 * A piece of what is proposed that is pulled.
 *
 * @param piece its id
 * @param by how far, metres
 * @param free whether the distance that comes of it may be any, and not only whole centimetres
 */
public record Pull(String piece, Vec by, boolean free) {}
