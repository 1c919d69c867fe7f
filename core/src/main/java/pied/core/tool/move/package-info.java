/** Where a piece is. */
package pied.core.tool.move;
