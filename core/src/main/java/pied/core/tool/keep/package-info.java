/** What is done to pieces as they are: named, locked, hidden, copied, removed. */
package pied.core.tool.keep;
