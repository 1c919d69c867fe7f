/** How a space is shown: its day, looks of its lamps, and where one looks from. */
package pied.core.show;
