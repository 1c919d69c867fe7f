/** Another article in the place of one. */
package pied.core.tool.exchange;
