package pied.core.space;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Pieces as they go about: by themselves, or as the whole of a group. */
public final class Wholes {
  private Wholes() {}

  /**
   * A group of which all are among these pieces is one, any other piece is one by itself. In the
   * order of the last of each, so that the lead is in the last.
   */
  public static List<List<String>> of(Space space, List<String> ids) {
    Set<String> all = Set.copyOf(ids);
    Map<String, Boolean> full = new HashMap<>();
    Map<String, List<String>> wholes = new LinkedHashMap<>();
    for (String id : ids) {
      String whole = id;
      for (String g : space.filing().about(space.piece(id).keeping().group())) {
        if (!full.computeIfAbsent(g, k -> all.containsAll(space.members(k)))) {
          break;
        }
        whole = g;
      }
      List<String> own = wholes.remove(whole);
      own = own == null ? new ArrayList<>() : own;
      own.add(id);
      wholes.put(whole, own);
    }
    return List.copyOf(wholes.values());
  }
}
