/** Lamps, the day, and looks that keep both. */
package pied.core.tool.light;
