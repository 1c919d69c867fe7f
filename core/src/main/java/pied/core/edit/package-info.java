/** Edits: what can be done to a space, as data; and the changes they make. */
package pied.core.edit;
