package pied.core.space;

import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import pied.core.Tolerance;
import pied.core.piece.Piece;
import pied.core.solid.Body;
import pied.core.solid.Box;
import pied.core.solid.Vec;

/**
 * What is looked at one by one: pieces, pairs of them, openings, the space. It says which of them
 * pieces that were touched can alter, so that only those are looked at again; in another shell all
 * are.
 *
 * @param <S> one of them
 */
public interface Subjects<S> {
  /** Tells all there are, each with a key of its own, in their order. */
  void all(Space space, BiConsumer<String, S> each);

  /**
   * Keys of those for which pieces that were touched can make a difference; some may no longer be
   * there.
   *
   * @param touched ids of pieces put in, altered or taken out between the two
   */
  Set<String> altered(Space before, Space now, Collection<String> touched);

  /** Pieces, each with what is solid within a millimetre of it. */
  Subjects<Piece> PIECES =
      new Subjects<>() {
        private static final double NEAR = Tolerance.NEAR;

        @Override
        public void all(Space space, BiConsumer<String, Piece> each) {
          space.pieces().forEach(p -> each.accept(p.id(), p));
        }

        @Override
        public Set<String> altered(Space before, Space now, Collection<String> touched) {
          Set<String> stale = new LinkedHashSet<>(touched);
          regions(
              before,
              now,
              touched,
              NEAR,
              near -> now.bodies().near(near).forEach(b -> stale.add(b.id())));
          return stale;
        }
      };

  /**
   * Where pieces that were touched were, and where they are.
   *
   * @param reach around them, metres
   */
  static void regions(
      Space before, Space now, Collection<String> touched, double reach, Consumer<Box> each) {
    Vec margin = new Vec(reach, reach, reach);
    for (String id : touched) {
      for (Space s : new Space[] {before, now}) {
        Body body = s.bodies().body(id);
        if (body != null) {
          each.accept(body.box().grown(margin));
        }
      }
    }
  }
}
