/** Finishes as they are stored. */
package pied.server.material;
