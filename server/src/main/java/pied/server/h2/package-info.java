/** The journal in a file of H2: the only room that knows H2, and Hibernate beyond its standard. */
package pied.server.h2;
