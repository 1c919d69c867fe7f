package pied.core.material;

/**
 * What repeats on a part, at its true size.
 *
 * @param of id of the pattern
 * @param width of one repeat, metres
 * @param height of one repeat, metres
 * @param turn degrees, counter-clockwise as one looks at the part
 * @param across by how much it begins to the right, metres
 * @param up by how much it begins higher, metres
 */
public record Pattern(
    String of, double width, double height, double turn, double across, double up) {}
