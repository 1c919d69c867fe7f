package pied.core.check;

import java.util.List;
import pied.core.edit.Edit;

/** What puts a snag right, in one action: in words, and the edits that do it. */
public record Remedy(String words, List<Edit> edits) {}
