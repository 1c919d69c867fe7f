/** What a room or a stage is made of. */
package pied.core.tool.shell;
