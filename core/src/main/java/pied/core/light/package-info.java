/** Light itself: the sun, the sky, beams, colour temperatures. It knows nothing of spaces. */
package pied.core.light;
