/** What all have in common that repeat something. */
package pied.core.tool.repeat;
