package pied.core.edit;

import pied.core.Nullable;

/**
 * An article that is repeated.
 *
 * @param share of all that are made, to those of the others; null for 1
 */
public record RepeatedArticle(String article, @Nullable Double share) {}
