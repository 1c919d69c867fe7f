package pied.core.solid;

/** A rotation as a quaternion of length 1. */
public record Rotation(double x, double y, double z, double w) {}
