/** Groups. */
package pied.core.tool.group;
