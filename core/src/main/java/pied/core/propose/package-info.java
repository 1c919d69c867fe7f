/**
 * What would be, before it is done: of edits that are tried, of a verb, of a sentence that is read.
 */
package pied.core.propose;
