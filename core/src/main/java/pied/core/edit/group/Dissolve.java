package pied.core.edit.group;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import pied.core.edit.Bench;
import pied.core.edit.Edit;
import pied.core.piece.Piece;
import pied.core.space.Group;

/** Dissolves a group; what was in it is then in the group that it was in itself, or in none. */
@RecordBuilder
public record Dissolve(String group) implements Edit {
  @Override
  public void make(Bench bench) {
    Group g = Groups.named(bench, group);
    List<String> groups = new ArrayList<>();
    bench.filing().within(g.id()).forEach(groups::add);
    List<String> own =
        bench.space().members(g.id()).stream()
            .map(bench::piece)
            .filter(p -> g.id().equals(p.keeping().group()))
            .map(Piece::id)
            .toList();
    if (!own.isEmpty()) {
      bench.chosen(own);
    }
    Groups.put(bench, new Groups.Parts(groups, own), g.in());
    bench.leave(g.id());
  }
}
