/** The contract of edits: data with a rule, the session they work on, the changes they make. */
package pied.core.edit;
