/** Put in from the catalog, and put down. */
package pied.core.tool.place;
