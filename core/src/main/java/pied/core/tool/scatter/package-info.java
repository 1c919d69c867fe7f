/** Many in an area. */
package pied.core.tool.scatter;
