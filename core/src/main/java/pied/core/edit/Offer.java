package pied.core.edit;

import java.util.List;

/** Something one may want done next: in words, and the edits that do it. */
public record Offer(String words, List<Edit> edits) {}
