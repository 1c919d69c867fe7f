/** What shall be, in a sentence: read as edits, and written from them in the same words. */
package pied.core.say;
