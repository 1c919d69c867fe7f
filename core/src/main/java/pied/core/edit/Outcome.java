package pied.core.edit;

import java.util.List;
import pied.core.Nullable;
import pied.core.space.PartName;
import pied.core.space.Space;

/**
 * What came of edits.
 *
 * @param space after them
 * @param said remarks for the person, in sentences
 * @param offers what one may want to do next
 * @param part of the shell that was built or altered last, or null
 */
public record Outcome(
    Space space, Change change, List<String> said, List<Offer> offers, @Nullable PartName part) {}
