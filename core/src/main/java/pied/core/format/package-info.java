/** Open formats, written and read. */
package pied.core.format;
