package pied.core.edit.keep;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.Names;
import pied.core.Nullable;
import pied.core.edit.Bench;
import pied.core.edit.Edit;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.solid.Vec;

/** Copies pieces with all they carry; null for the usual place beside. */
@RecordBuilder
public record Copy(List<String> pieces, @Nullable Place3 by) implements Edit {
  /** Usual gap between a piece and its copy, metres. */
  private static final double BESIDE = 0.1;

  @Override
  public void make(Bench bench) {
    List<String> tops = bench.tops(bench.chosen(pieces));
    Map<String, String> copy = new HashMap<>();
    Set<String> all = bench.space().withCarried(tops);
    all.forEach(id -> copy.put(id, bench.newId()));
    double wide = tops.stream().mapToDouble(id -> bench.piece(id).size().width()).max().orElse(0);
    Vec beside = new Vec(wide + BESIDE, 0, 0);
    Vec way =
        by == null
            ? null
            : new Vec(bench.length(by.x(), 0), bench.length(by.y(), 0), bench.length(by.z(), 0));
    Set<String> own = new HashSet<>(tops);
    List<Piece> made = new ArrayList<>();
    for (String id : all) {
      Piece p = bench.piece(id);
      Vec v = way != null ? way : topOf(bench, p, own).pose().direct(beside);
      boolean along = p.on().kind() == On.Kind.piece && copy.containsKey(p.on().id());
      On on = along ? On.piece(copy.get(p.on().id())) : p.on();
      made.add(
          p.withId(copy.get(id))
              .withAt(p.at().plus(v))
              .withOn(on)
              .withName(bench.freeName(Names.bare(p.name()))));
    }
    bench.put(made);
    List<String> copies = tops.stream().map(copy::get).toList();
    bench.settle(copies, false);
    bench.sayOverlaps(copies);
  }

  private static Piece topOf(Bench bench, Piece p, Set<String> tops) {
    Piece q = p;
    while (!tops.contains(q.id())) {
      q = bench.piece(q.on().id());
    }
    return q;
  }
}
