/** Mirrored partners that follow. */
package pied.core.tool.twin;
