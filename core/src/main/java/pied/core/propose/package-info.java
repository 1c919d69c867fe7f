/** What would be, before it is done: of edits that are tried, of a verb, of a sentence. */
package pied.core.propose;
