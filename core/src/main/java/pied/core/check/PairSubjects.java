package pied.core.check;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import pied.core.piece.Piece;
import pied.core.solid.Body;
import pied.core.solid.Box;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.space.Subjects;

/**
 * Pairs of pieces that are within a distance of each other, by their boxes.
 *
 * @param reach metres
 */
record PairSubjects(double reach) implements Subjects<PairSubjects.Pair> {
  /** Two pieces; the one whose id comes first is the first. */
  record Pair(Piece first, Piece second) {}

  @Override
  public Map<String, Pair> all(Space space) {
    Map<String, Pair> all = new LinkedHashMap<>();
    for (Piece p : space.pieces()) {
      near(space, p.id())
          .forEach(
              q -> {
                if (p.id().compareTo(q.id()) < 0) {
                  all.put(key(p.id(), q.id()), new Pair(p, q));
                }
              });
    }
    return all;
  }

  @Override
  public Set<String> altered(Space before, Space now, Collection<String> touched) {
    Set<String> stale = new LinkedHashSet<>();
    for (String id : touched) {
      near(now, id).forEach(q -> stale.add(key(id, q.id())));
    }
    return stale;
  }

  private static String key(String a, String b) {
    return a.compareTo(b) < 0 ? a + "\n" + b : b + "\n" + a;
  }

  private Set<Piece> near(Space space, String id) {
    Set<Piece> all = new LinkedHashSet<>();
    Body body = space.has(id) ? space.bodies().body(id) : null;
    if (body == null) {
      return all;
    }
    Vec margin = new Vec(reach, reach, reach);
    Box box = new Box(body.box().min().minus(margin), body.box().max().plus(margin));
    space
        .bodies()
        .near(box)
        .forEach(
            b -> {
              if (space.has(b.id()) && !b.id().equals(id)) {
                all.add(space.piece(b.id()));
              }
            });
    return all;
  }
}
