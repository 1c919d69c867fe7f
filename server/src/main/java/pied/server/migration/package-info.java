/**
 * Brings data of earlier versions to the present tables; each knows only what they were like then.
 */
package pied.server.migration;
