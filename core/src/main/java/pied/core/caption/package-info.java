/** The sentence that states what is selected, how large and where, and takes numbers. */
package pied.core.caption;
