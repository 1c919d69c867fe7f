/** Several come to rest on something. */
package pied.core.tool.onto;
