/**
 * Finished pictures: light followed along its paths from the eye backward (J. Kajiya, "The
 * rendering equation", 1986), through the same meshes, materials and lights as everywhere.
 */
package pied.core.still;
