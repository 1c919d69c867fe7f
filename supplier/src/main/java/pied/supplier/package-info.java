/**
 * A small service that plays an outside supplier's library over HTTP, to try Pied with: everything
 * in it is made up. Pied knows it only by its address.
 */
package pied.supplier;
