/**
 * Drawings to scale on sheets of paper, in true millimetres: what is drawn, and where on the sheet.
 */
package pied.core.paper;
