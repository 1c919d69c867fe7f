package pied.core.edit.keep;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.edit.Bench;
import pied.core.edit.Edit;

/** Removes pieces; what they carried comes to rest on what is beneath. */
@RecordBuilder
public record Remove(List<String> pieces) implements Edit {
  @Override
  public void make(Bench bench) {
    List<String> ids = bench.chosen(pieces);
    bench.say(gone(bench, ids));
    bench.takeOut(ids);
  }

  private static String gone(Bench bench, List<String> ids) {
    String first = bench.piece(ids.get(0)).name();
    return switch (ids.size()) {
      case 1 -> first + " is taken out.";
      case 2 -> first + " and " + bench.piece(ids.get(1)).name() + " are taken out.";
      default -> first + " and " + (ids.size() - 1) + " more are taken out.";
    };
  }
}
