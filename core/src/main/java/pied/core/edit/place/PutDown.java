package pied.core.edit.place;

import static pied.core.edit.Bench.need;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import pied.core.Names;
import pied.core.Nullable;
import pied.core.Refusal;
import pied.core.carry.Answer;
import pied.core.carry.Carrying;
import pied.core.carry.Question;
import pied.core.edit.Bench;
import pied.core.edit.Copies;
import pied.core.edit.Edit;
import pied.core.piece.On;
import pied.core.piece.Piece;

/**
 * Puts down what is carried, where it was last seen.
 *
 * @param piece id for a new piece, or null to have one made
 */
@RecordBuilder
public record PutDown(Question carry, @Nullable String piece) implements Edit {
  @Override
  public void make(Bench bench) {
    Question q = need(carry, "carry");
    if (q.pieces() != null && !q.pieces().isEmpty()) {
      bench.chosen(q.pieces());
    }
    Answer a = Carrying.answer(bench.space(), q, bench.unit());
    if (!a.refused().isEmpty()) {
      throw new Refusal(a.refused());
    }
    List<String> ids = q.copy() || q.article() != null ? anew(bench, q, a) : moved(bench, a);
    List<String> tops = bench.tops(ids);
    String lead = ids.get(ids.size() - 1);
    tops.remove(lead);
    bench.carriers(tops);
    bench.sayOverlaps(tops.isEmpty() ? List.of(lead) : ids);
  }

  private static List<String> moved(Bench bench, Answer a) {
    a.pieces().forEach(bench::set);
    return a.pieces().stream().map(Piece::id).toList();
  }

  /** Puts in what is carried as new pieces, with ids and names of their own. */
  private List<String> anew(Bench bench, Question q, Answer a) {
    if (q.article() != null) {
      Piece p = a.pieces().get(0);
      String id = piece == null ? bench.newId() : piece;
      bench.put(
          List.of(
              p.withId(id)
                  .withName(bench.freeName(Names.bare(p.name())))
                  .withKeeping(bench.fresh())));
      return List.of(id);
    }
    List<Piece> placed = a.pieces().stream().map(Carrying::original).toList();
    Copies copies = new Copies(bench, placed.stream().map(Piece::id).toList());
    // what is not in hand itself is carried by something that is there
    Set<String> onFirst = new HashSet<>();
    a.pieces().stream()
        .filter(p -> p.on().kind() == On.Kind.piece && bench.space().has(p.on().id()))
        .forEach(p -> onFirst.add(Carrying.original(p).id()));
    copies.put(placed, onFirst);
    return placed.stream().map(p -> copies.of(p.id())).toList();
  }
}
