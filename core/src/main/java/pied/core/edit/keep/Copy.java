package pied.core.edit.keep;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.edit.Bench;
import pied.core.edit.Copies;
import pied.core.edit.Edit;
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
    Set<String> all = bench.space().withCarried(tops);
    Copies copies = new Copies(bench, all);
    double wide = tops.stream().mapToDouble(id -> bench.piece(id).size().width()).max().orElse(0);
    Vec beside = new Vec(wide + BESIDE, 0, 0);
    Vec way =
        by == null
            ? null
            : new Vec(bench.length(by.x(), 0), bench.length(by.y(), 0), bench.length(by.z(), 0));
    Set<String> own = new HashSet<>(tops);
    List<Piece> placed = new ArrayList<>();
    for (String id : all) {
      Piece p = bench.piece(id);
      placed.add(p.moved(way != null ? way : topOf(bench, p, own).pose().direct(beside)));
    }
    copies.put(placed);
    List<String> ids = tops.stream().map(copies::of).toList();
    bench.settle(ids, false);
    bench.sayOverlaps(ids);
  }

  private static Piece topOf(Bench bench, Piece p, Set<String> tops) {
    Piece q = p;
    while (!tops.contains(q.id())) {
      q = bench.piece(q.on().id());
    }
    return q;
  }
}
