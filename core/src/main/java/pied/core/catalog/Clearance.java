package pied.core.catalog;

/**
 * Free room that an article needs to be used.
 *
 * @param side "front", "back", "left", "right", "around" or "above"
 * @param free metres
 * @param why the reason, such as "to open its doors"
 */
public record Clearance(String side, double free, String why) {}
