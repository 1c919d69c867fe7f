package pied.core.paper;

import java.util.List;

/** One sheet of paper with all that is on it. */
public record Sheet(Paper paper, String title, List<Mark> marks) {}
