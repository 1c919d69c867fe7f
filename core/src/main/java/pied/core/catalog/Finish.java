package pied.core.catalog;

/**
 * A finish part of an article and how it looks unless changed.
 *
 * @param name what people call the part
 * @param colour as #RRGGBB
 * @param rough 0 polished to 1 matt
 * @param glow 0 for none to 1, for lampshades
 */
public record Finish(String name, String colour, double rough, double glow) {}
