/** What is wrong in a space: snags, found by checks that each have their subjects. */
package pied.core.check;
