/** Line drawings of bodies: what one sees from above or from the front. */
package pied.core.drawing;
