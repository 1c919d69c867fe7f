/** Pieces: articles placed in a space. */
package pied.core.piece;
