/** Turned, faced, leant. */
package pied.core.tool.turn;
