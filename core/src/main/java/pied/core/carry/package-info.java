/** Carrying: where what is in the hand goes, what stops it, and how far everything is. */
package pied.core.carry;
