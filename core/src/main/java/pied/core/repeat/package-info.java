/** Where pieces go that are kept by a rule: in rows, along paths, around things, strewn about. */
package pied.core.repeat;
