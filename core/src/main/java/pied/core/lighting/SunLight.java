package pied.core.lighting;

import pied.core.light.LinearColour;
import pied.core.solid.Vec;

/**
 * Light of the sun.
 *
 * @param toward the sun, of length 1
 * @param lux on what is square to it
 */
public record SunLight(Vec toward, double lux, LinearColour colour) {}
