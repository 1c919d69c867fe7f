package pied.core.space;

/** The board at the foot of the walls: how high and how deep it is, metres. */
public record Skirting(double height, double depth) {}
