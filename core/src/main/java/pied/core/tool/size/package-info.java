/** How large a piece is. */
package pied.core.tool.size;
