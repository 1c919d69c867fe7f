/** Walking through a space, as somebody would. */
package pied.core.walk;
