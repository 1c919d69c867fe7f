package pied.core.edit;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import pied.core.Names;
import pied.core.Nullable;
import pied.core.piece.Piece;
import pied.core.space.Space;

/** Names that nothing in a space has yet. What many made at once cost is their own number. */
final class FreeNames {
  private @Nullable Set<String> taken;
  private final Map<String, Integer> numbers = new HashMap<>();

  /** Names may have come free. */
  void forget() {
    taken = null;
    numbers.clear();
  }

  /** A name was given to something. */
  void taken(String name) {
    if (taken != null) {
      taken.add(name);
    }
  }

  /** The name itself, or with the first free number behind it; it is then taken. */
  String free(Space space, String name) {
    if (taken == null) {
      taken = new HashSet<>();
      space.pieces().stream().map(Piece::name).forEach(taken::add);
    }
    // of many in one request the numbers below were tried before
    String free = Names.free(name, numbers.getOrDefault(name, 1), taken);
    numbers.put(name, Names.number(free, name));
    taken.add(free);
    return free;
  }
}
