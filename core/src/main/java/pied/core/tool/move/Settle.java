package pied.core.tool.move;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;

/** Lets pieces come to rest: down onto what is beneath, or up out of what they are sunk in. */
@JsonTypeName("settle")
@RecordBuilder
public record Settle(List<String> pieces) implements Edit {
  @Override
  public String ofParts() {
    return WhyNot.RESTS;
  }

  @Override
  public void make(EditSession session) {
    session.letDown(session.chosen(pieces));
  }
}
