/** What a tool is; each is in a room of its own beside. */
package pied.core.tool;
