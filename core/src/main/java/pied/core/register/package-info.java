/** What there is: tools, and verbs that propose something. */
package pied.core.register;
