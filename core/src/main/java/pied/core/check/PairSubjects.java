package pied.core.check;

import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.function.BiConsumer;
import pied.core.piece.Piece;
import pied.core.solid.Body;
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
  public void all(Space space, BiConsumer<String, Pair> each) {
    for (Piece p : space.pieces()) {
      near(space, p.id())
          .forEach(
              q -> {
                if (p.id().compareTo(q.id()) < 0) {
                  each.accept(key(p.id(), q.id()), new Pair(p, q));
                }
              });
    }
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
    space
        .bodies()
        .near(body.box().grown(new Vec(reach, reach, reach)))
        .forEach(
            b -> {
              if (space.has(b.id()) && !b.id().equals(id)) {
                all.add(space.piece(b.id()));
              }
            });
    return all;
  }
}
