/**
 * Recipes: texts from which the mesh of an article is built at any size, from boards, turned
 * profiles, tubes, cushions, drapes and extruded outlines, repeated, mirrored and placed by
 * formulas of the size.
 */
package pied.core.recipe;
