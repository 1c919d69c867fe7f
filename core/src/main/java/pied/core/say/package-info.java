/** What sentences are made of: words, things, places, measures, clauses. */
package pied.core.say;
