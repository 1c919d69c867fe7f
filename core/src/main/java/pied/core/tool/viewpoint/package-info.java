/** Named places to look from. */
package pied.core.tool.viewpoint;
