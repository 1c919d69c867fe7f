/** What clicking and pulling on a drawing is; what it makes of an edit is its tool's matter. */
package pied.core.point;
