/** What was done: in words, and undone where others went on meanwhile. */
package pied.core.history;
