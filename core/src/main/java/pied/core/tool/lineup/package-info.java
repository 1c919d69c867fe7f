/** Sides and middles of several in one line or plane. */
package pied.core.tool.lineup;
