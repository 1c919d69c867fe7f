package pied.core.edit.repeat;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import pied.core.Refusal;
import pied.core.edit.Bench;
import pied.core.edit.Edit;
import pied.core.edit.Paired;
import pied.core.piece.Partner;
import pied.core.space.Twin;

/**
 * Makes a mirrored partner of each piece, with all it carries, or one that is turned half round a
 * point; from then on the two go together.
 *
 * @param about what they are twins by
 */
@RecordBuilder
public record MakeTwins(List<String> pieces, TwinLine about)
    implements Edit, MakeTwinsBuilder.With {
  @Override
  public void make(Bench bench) {
    List<String> all = new ArrayList<>(bench.space().withCarried(bench.chosen(pieces)));
    for (String id : all) {
      Partner had = bench.piece(id).keeping().twin();
      if (had != null) {
        throw new Refusal(
            bench.piece(id).name() + " has a twin already; part them first, or move their line.");
      }
    }
    Twin line = Bench.need(about, "about").line(bench, bench.newId());
    bench.rules(line.id());
    bench.file(bench.filing().with(line));
    Paired.make(bench, line, all);
  }
}
