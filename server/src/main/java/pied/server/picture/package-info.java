/** Pictures that people bring to be printed on parts. */
package pied.server.picture;
