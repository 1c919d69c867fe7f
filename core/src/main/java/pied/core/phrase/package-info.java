/** The sentences of the interface in parts: what is read there, and what one can do with it. */
package pied.core.phrase;
