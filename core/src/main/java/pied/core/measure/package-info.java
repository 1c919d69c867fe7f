/** How far it is from the sides of a piece to what is next. */
package pied.core.measure;
