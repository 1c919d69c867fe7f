package pied.core.space;

import java.util.List;

/**
 * A selection that can be called again by its name; pieces that are gone are left out then.
 *
 * @param pieces ids, the lead last
 */
public record NamedSelection(String name, List<String> pieces) {
  /** Most of a space. */
  public static final int MOST = 200;

  public NamedSelection {
    pieces = List.copyOf(pieces);
  }
}
