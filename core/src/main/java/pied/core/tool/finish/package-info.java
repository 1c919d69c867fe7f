/** Finishes: giving them to parts of pieces and of the shell, and how their patterns lie. */
package pied.core.tool.finish;
