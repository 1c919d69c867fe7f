package pied.core.tool.keep;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import pied.core.Nullable;
import pied.core.edit.BuiltIn;
import pied.core.edit.Copies;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Picked;
import pied.core.edit.Places;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Carriers;
import pied.core.space.PartName;
import pied.core.space.Shell;

/** Copies pieces with all they carry; null for the usual place beside. */
@JsonTypeName("copy")
@RecordBuilder
public record Copy(List<String> pieces, @Nullable Place3 by) implements Edit {
  /** Usual gap between a piece and its copy, metres. */
  private static final double BESIDE = 0.1;

  @Override
  public void make(EditSession session) {
    Picked picked = session.picked(pieces);
    if (!picked.onlyPieces()) {
      withParts(session, picked);
      return;
    }
    List<String> tops = Carriers.tops(session.space(), picked.pieces());
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

  /** Parts of the shell with what is on them, and the other pieces as far. */
  private void withParts(EditSession session, Picked picked) {
    Set<String> chosen = new LinkedHashSet<>(picked.pieces());
    List<String> on = Picked.carriedBy(session.space(), picked.parts());
    on.forEach(session::follows);
    chosen.addAll(on);
    Shell shell = session.space().shell();
    double wide =
        picked.parts().stream().mapToDouble(p -> BuiltIn.wide(shell, p)).max().orElseThrow();
    Vec way = by == null ? new Vec(wide + BESIDE, 0, 0) : Places.way(by, session.unit());
    List<String> tops = Carriers.tops(session.space(), chosen);
    Set<String> all = session.space().withCarried(tops);
    Copies copies = new Copies(session, all);
    List<Piece> placed = all.stream().map(id -> session.piece(id).moved(way)).toList();
    UnaryOperator<Vec> along = by == null ? d -> d.times(wide + BESIDE) : d -> way;
    Map<PartName, PartName> built = BuiltIn.copy(session, picked.parts(), along, way);
    if (!all.isEmpty()) {
      copies.put(placed);
      List<String> ids = tops.stream().map(copies::of).toList();
      session.settle(ids, false);
      session.carriers(ids);
      session.sayOverlaps(ids);
    }
    built.forEach((part, copy) -> copies.keep(part, copy));
  }

  private static Piece topOf(EditSession session, Piece p, Set<String> tops) {
    Piece q = p;
    while (!tops.contains(q.id())) {
      q = session.piece(q.on().id());
    }
    return q;
  }
}
