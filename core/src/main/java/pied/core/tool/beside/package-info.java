/** Beside another, and level with it. */
package pied.core.tool.beside;
