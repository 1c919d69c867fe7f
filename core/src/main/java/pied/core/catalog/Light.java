package pied.core.catalog;

/**
 * The light a lamp gives.
 *
 * @param lumens luminous flux
 * @param kelvin colour temperature; 2700 is the warm white of a living room
 */
public record Light(double lumens, double kelvin) {}
