package pied.core.paper;

/**
 * What stands in the title block besides the drawing itself.
 *
 * @param date of the revision, as YYYY-MM-DD
 * @param drawnBy may be empty
 */
public record Plate(String project, String space, String date, long revision, String drawnBy) {}
