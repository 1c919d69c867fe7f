package pied.core.tool.light;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.show.LampCurve;

/**
 * Removes a photometric file; lamps it was given to shine as their article has it.
 *
 * @param curve its id or its name
 */
@JsonTypeName("removeCurve")
@RecordBuilder
public record RemoveCurve(String curve) implements Edit {
  @Override
  public void make(EditSession session) {
    LampCurve c = Looks.curve(session, EditSession.need(curve, "curve"));
    session.show(session.space().showing().without(c.key()));
  }
}
