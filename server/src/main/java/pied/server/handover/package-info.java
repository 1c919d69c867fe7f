/**
 * What leaves the house over HTTP: lists, drawings, models and projects, at addresses that stay.
 */
package pied.server.handover;
