/**
 * Lengths, angles and texts as people type and read them; refusals in words, and time limits.
 * Inside, everything is metres and degrees.
 */
package pied.core.units;
