/**
 * Triangle meshes, their bounding-volume trees, and the questions asked of them: rays, distances,
 * overlaps, and {@link pied.core.solid.Travel travel}, on which settling, stopping, reach lines and
 * pushing out are built. Lengths in metres, y up.
 */
package pied.core.solid;
