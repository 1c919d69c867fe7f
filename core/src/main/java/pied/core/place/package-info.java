/** Where a piece comes to rest: on floors and tops, against walls, from ceilings. */
package pied.core.place;
