package pied.core.tool.keep;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.edit.Copies;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Carriers;

/** Copies pieces with all they carry; null for the usual place beside. */
@JsonTypeName("copy")
@RecordBuilder
public record Copy(List<String> pieces, @Nullable Place3 by) implements Edit {
  /** Usual gap between a piece and its copy, metres. */
  private static final double BESIDE = 0.1;

  @Override
  public void make(EditSession session) {
    List<String> tops = Carriers.tops(session.space(), session.chosen(pieces));
    Set<String> all = session.space().withCarried(tops);
    Copies copies = new Copies(session, all);
    double wide = tops.stream().mapToDouble(id -> session.piece(id).size().width()).max().orElse(0);
    Vec beside = new Vec(wide + BESIDE, 0, 0);
    Vec way =
        by == null
            ? null
            : new Vec(
                session.length(by.x(), 0), session.length(by.y(), 0), session.length(by.z(), 0));
    Set<String> own = new HashSet<>(tops);
    List<Piece> placed = new ArrayList<>();
    for (String id : all) {
      Piece p = session.piece(id);
      placed.add(p.moved(way != null ? way : topOf(session, p, own).pose().direct(beside)));
    }
    copies.put(placed);
    List<String> ids = tops.stream().map(copies::of).toList();
    session.settle(ids, false);
    session.sayOverlaps(ids);
  }

  private static Piece topOf(EditSession session, Piece p, Set<String> tops) {
    Piece q = p;
    while (!tops.contains(q.id())) {
      q = session.piece(q.on().id());
    }
    return q;
  }
}
