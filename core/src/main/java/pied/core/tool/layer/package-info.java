/** Layers. */
package pied.core.tool.layer;
