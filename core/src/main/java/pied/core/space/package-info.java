/** Spaces: a shell of true size and the pieces in it, as immutable values. */
package pied.core.space;
