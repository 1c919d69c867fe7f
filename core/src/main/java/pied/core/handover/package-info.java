/** What leaves the house: lists, drawings to scale, models. Same space, same bytes. */
package pied.core.handover;
