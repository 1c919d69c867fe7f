package pied.core.edit.group;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.Refusal;
import pied.core.edit.Bench;
import pied.core.edit.Edit;
import pied.core.space.Group;

/**
 * Puts pieces, and groups of which all are named, into a group.
 *
 * @param group its id; null to take them out of all groups
 */
@RecordBuilder
public record IntoGroup(List<String> pieces, @Nullable String group) implements Edit {
  @Override
  public void make(Bench bench) {
    List<String> ids = bench.chosen(pieces);
    Group into = group == null ? null : Groups.named(bench, group);
    Groups.Parts parts = Groups.parts(bench, ids, null);
    if (into != null) {
      for (String around : bench.filing().about(into.id())) {
        if (parts.groups().contains(around)) {
          throw new Refusal(
              "The group "
                  + bench.filing().group(around).name()
                  + " cannot be put into "
                  + (around.equals(into.id()) ? "itself." : into.name() + ", which is in it."));
        }
      }
    }
    Groups.put(bench, parts, into == null ? null : into.id());
    Groups.checkDepth(bench);
  }
}
