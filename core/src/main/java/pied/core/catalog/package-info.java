/** Articles: what can be placed, how it is mounted, what sizes it comes in. */
package pied.core.catalog;
