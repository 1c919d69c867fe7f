/** Many along a line. */
package pied.core.tool.row;
