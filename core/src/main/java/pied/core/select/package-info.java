/** Which pieces are meant: by a click, a figure drawn round them, or what they have in common. */
package pied.core.select;
