/** What is wrong in a space: snags. */
package pied.core.check;
