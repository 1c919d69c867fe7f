/** Gaps between several. */
package pied.core.tool.spaceout;
