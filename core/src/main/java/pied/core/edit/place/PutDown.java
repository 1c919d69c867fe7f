package pied.core.edit.place;

import static pied.core.edit.Bench.need;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import pied.core.Names;
import pied.core.Nullable;
import pied.core.Refusal;
import pied.core.carry.Answer;
import pied.core.carry.Carrying;
import pied.core.carry.Question;
import pied.core.edit.Bench;
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
    boolean anew = q.copy() || q.article() != null;
    List<Piece> put = anew ? named(bench, a, q.article() != null ? piece : null) : a.pieces();
    if (anew) {
      bench.put(put);
    } else {
      put.forEach(bench::set);
    }
    List<String> ids = put.stream().map(Piece::id).toList();
    List<String> tops = bench.tops(ids);
    String lead = ids.get(ids.size() - 1);
    tops.remove(lead);
    bench.carriers(tops);
    bench.sayOverlaps(tops.isEmpty() ? List.of(lead) : ids);
  }

  /** What is carried as new pieces, with ids and names of their own. */
  private static List<Piece> named(Bench bench, Answer a, String lead) {
    Map<String, String> ids = new HashMap<>();
    a.pieces().forEach(p -> ids.put(p.id(), bench.newId()));
    if (lead != null) {
      ids.put(a.lead(), lead);
    }
    List<Piece> put = new ArrayList<>();
    for (Piece p : a.pieces()) {
      boolean along = p.on().kind() == On.Kind.piece && ids.containsKey(p.on().id());
      On on = along ? On.piece(ids.get(p.on().id())) : p.on();
      put.add(p.withId(ids.get(p.id())).withOn(on).withName(bench.freeName(Names.bare(p.name()))));
    }
    return put;
  }
}
