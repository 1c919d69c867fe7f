package pied.core.space;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import pied.core.piece.On;
import pied.core.piece.Piece;

/** Which pieces carry others: what is moved goes with what it stands on, and only once. */
public final class Carriers {
  private Carriers() {}

  /** Of some pieces those that are not carried by others of them. */
  public static List<String> tops(Space space, Collection<String> ids) {
    Set<String> all = space.withCarried(ids);
    List<String> tops = new ArrayList<>(ids);
    tops.removeIf(
        id -> {
          On on = space.piece(id).on();
          return on.kind() == On.OnKind.piece && all.contains(on.id());
        });
    return tops;
  }

  /** The same pieces, what carries others before them, since those go along. */
  public static List<String> carriersFirst(Space space, Collection<String> ids) {
    return ids.stream().sorted(Comparator.comparingInt(id -> below(space, id))).toList();
  }

  /** How many pieces are below one, each on the next. */
  private static int below(Space space, String id) {
    int n = 0;
    for (On on = space.piece(id).on();
        on.kind() == On.OnKind.piece;
        on = space.piece(on.id()).on()) {
      n++;
    }
    return n;
  }

  /** What is attached to a piece, and all that is carried by that. */
  public static Set<String> attachedTo(Space space, String id) {
    Set<String> all = new HashSet<>();
    for (String c : space.carriedBy(id)) {
      Piece q = space.piece(c);
      if (q.attached() && q.on().equals(On.piece(id))) {
        all.addAll(space.withCarried(List.of(c)));
      }
    }
    return all;
  }
}
