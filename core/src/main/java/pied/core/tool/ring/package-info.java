/** Many around something. */
package pied.core.tool.ring;
