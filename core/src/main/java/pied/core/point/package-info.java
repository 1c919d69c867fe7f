/** What clicking and pulling on a drawing makes of an edit that is proposed. */
package pied.core.point;
