package pied.core.tool.group;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Picked;
import pied.core.space.Group;
import pied.core.space.Validity;
import pied.core.units.Refusal;
import pied.core.units.Text;

/**
 * Makes a group of pieces. Whole groups among them stay groups within it; it is itself within the
 * group that they were all in.
 *
 * @param id null to have one made
 * @param name null for the next free "Group"
 */
@JsonTypeName("group")
@RecordBuilder
public record MakeGroup(List<String> pieces, @Nullable String id, @Nullable String name)
    implements Edit {
  @Override
  public void make(EditSession session) {
    Picked picked = session.picked(pieces);
    String common = Groups.common(session, picked);
    if (common != null
        && session.space().members(common).size() == picked.pieces().size()
        && session.space().filing().partsIn(common).size() == picked.parts().size()) {
      throw new Refusal("These are the group {} already.", session.filing().group(common).name());
    }
    Groups.Members members = Groups.members(session, picked, common);
    if (members.groups().size() + members.pieces().size() + members.parts().size() < 2) {
      throw new Refusal("A group is made of two things at least; select more of them.");
    }
    String own = id == null ? session.newId() : Validity.id(id);
    if (session.filing().group(own) != null || session.space().has(own)) {
      throw new Refusal("There is something with the id “{}” already.", own);
    }
    String called = name == null ? Groups.freeName(session, "Group") : Text.name("A group", name);
    session.file(session.filing().with(new Group(own, called, common)));
    Groups.put(session, members, own);
    Groups.checkDepth(session);
  }
}
