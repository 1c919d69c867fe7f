/** Many along a path. */
package pied.core.tool.trail;
