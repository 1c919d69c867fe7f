/** How things look: finishes, and what comes of them on a part. */
package pied.core.material;
