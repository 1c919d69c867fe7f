/** How a space is lit: its lamps, the sun and the sky, and what comes off its walls. */
package pied.core.lighting;
