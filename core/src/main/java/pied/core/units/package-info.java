/** Lengths and angles as people type and read them. Inside, everything is metres and degrees. */
package pied.core.units;
