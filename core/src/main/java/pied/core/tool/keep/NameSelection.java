package pied.core.tool.keep;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Picked;
import pied.core.space.Filing;
import pied.core.space.NamedSelection;
import pied.core.units.Refusal;
import pied.core.units.Text;

/**
 * Names a selection, so that it can be called again; one of the same name is replaced.
 *
 * @param pieces null to forget the selection of this name
 */
@JsonTypeName("nameSelection")
@RecordBuilder
public record NameSelection(String name, @Nullable List<String> pieces) implements Edit {
  private List<String> those(EditSession session) {
    Picked picked = session.picked(pieces);
    List<String> all = new ArrayList<>();
    picked.parts().forEach(p -> all.add(p.text()));
    all.addAll(picked.pieces());
    return all;
  }

  @Override
  public void make(EditSession session) {
    Filing filing = session.filing();
    String called = Text.name("A selection", name);
    if (pieces == null) {
      if (filing.selection(called) == null) {
        throw new Refusal("There is no selection of the name “{}”.", called);
      }
      session.file(filing.withoutSelection(called));
      return;
    }
    if (filing.selection(called) == null && filing.selections().size() >= NamedSelection.MOST) {
      throw new Refusal(
          "A space keeps up to {} named selections; forget one first.", NamedSelection.MOST);
    }
    session.file(filing.with(new NamedSelection(called, those(session))));
  }
}
