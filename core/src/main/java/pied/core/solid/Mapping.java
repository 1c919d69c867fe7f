package pied.core.solid;

/**
 * Where the corners of a mesh's triangles are on what repeats on it, in metres: its skin folded out
 * flat ({@link Unfolding} tells how). Two numbers for every corner of every triangle.
 *
 * @param upright to the right, and down, as one looks at the part as it stands; as cloth hangs and
 *     tiles are laid
 * @param along the same, turned so that to the right is along the length of the part; as wood grows
 */
public record Mapping(float[] upright, float[] along) {}
