package pied.core.history;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.function.BiFunction;
import java.util.function.Function;
import pied.core.piece.Piece;
import pied.core.space.Difference.OfPiece;

/**
 * One aspect of a piece, which can be another while all else stays.
 *
 * @param of reads it
 * @param take the first piece with this aspect of the second
 */
record Aspect<T>(Function<Piece, T> of, BiFunction<Piece, Piece, Piece> take) {
  static final List<Aspect<?>> ALL =
      List.of(
          new Aspect<>(Piece::name, (p, q) -> p.withName(q.name())),
          new Aspect<>(Piece::form, (p, q) -> p.withForm(q.form())),
          new Aspect<>(
              p -> List.of(p.stance(), p.on(), p.attached()),
              (p, q) -> p.withStance(q.stance()).withOn(q.on()).withAttached(q.attached())),
          new Aspect<>(
              p -> p.lamp().withHead(null),
              (p, q) -> p.withLamp(q.lamp().withHead(p.lamp().head()))),
          new Aspect<>(
              p -> p.lamp().head(), (p, q) -> p.withLamp(p.lamp().withHead(q.lamp().head()))),
          new Aspect<>(Piece::finishes, (p, q) -> p.withFinishes(q.finishes())),
          new Aspect<>(
              p -> p.keeping().layer(),
              (p, q) -> p.withKeeping(p.keeping().withLayer(q.keeping().layer()))),
          new Aspect<>(
              p -> Arrays.asList(p.keeping().group(), p.keeping().slot()),
              (p, q) ->
                  p.withKeeping(
                      p.keeping().withGroup(q.keeping().group()).withSlot(q.keeping().slot()))),
          new Aspect<>(
              p -> p.keeping().twin(),
              (p, q) -> p.withKeeping(p.keeping().withTwin(q.keeping().twin()))),
          new Aspect<>(
              p -> p.keeping().locked(),
              (p, q) -> p.withKeeping(p.keeping().withLocked(q.keeping().locked()))),
          new Aspect<>(
              p -> p.keeping().hidden(),
              (p, q) -> p.withKeeping(p.keeping().withHidden(q.keeping().hidden()))),
          new Aspect<>(
              p -> p.keeping().remark(),
              (p, q) -> p.withKeeping(p.keeping().withRemark(q.keeping().remark()))));

  boolean changes(Piece a, Piece b) {
    return !Objects.equals(of.apply(a), of.apply(b));
  }

  boolean changes(OfPiece d) {
    return changes(d.before().piece(), d.after().piece());
  }

  /** Whether two changes of one piece have to do with the same of it. */
  static boolean shared(OfPiece a, OfPiece b) {
    return !a.altered() || !b.altered() || ALL.stream().anyMatch(x -> x.changes(a) && x.changes(b));
  }
}
