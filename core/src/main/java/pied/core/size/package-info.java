/** What a size is: the finished outside measures, over everything that sticks out. */
package pied.core.size;
