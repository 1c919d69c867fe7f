/** Model files made elsewhere: read, judged, and turned into articles. */
package pied.core.model;
