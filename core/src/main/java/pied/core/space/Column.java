package pied.core.space;

/**
 * A column from the floor to the ceiling.
 *
 * @param at its middle
 * @param width across, or the diameter of a round one, metres
 * @param depth deep, metres
 */
public record Column(String id, Spot at, double width, double depth, boolean round) {}
