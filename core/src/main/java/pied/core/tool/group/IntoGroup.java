package pied.core.tool.group;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Picked;
import pied.core.space.Group;
import pied.core.units.Refusal;

/**
 * Puts pieces, and groups of which all are named, into a group.
 *
 * @param group its id; null to take them out of all groups
 */
@JsonTypeName("intoGroup")
@RecordBuilder
public record IntoGroup(List<String> pieces, @Nullable String group) implements Edit {
  @Override
  public void make(EditSession session) {
    Picked picked = session.picked(pieces);
    Group into = group == null ? null : Groups.named(session, group);
    Groups.Members members = Groups.members(session, picked, null);
    if (into != null) {
      for (String around : session.filing().about(into.id())) {
        if (members.groups().contains(around)) {
          throw new Refusal(
              "The group {} cannot be put into {}",
              session.filing().group(around).name(),
              around.equals(into.id()) ? "itself." : into.name() + ", which is in it.");
        }
      }
    }
    Groups.put(session, members, into == null ? null : into.id());
    Groups.checkDepth(session);
  }
}
