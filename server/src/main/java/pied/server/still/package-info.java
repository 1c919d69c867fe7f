/** Finished pictures: asked for, made one after the other, and kept with their project. */
package pied.server.still;
