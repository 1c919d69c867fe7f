package pied.core.tool.viewpoint;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;

/**
 * Removes a viewpoint that is kept.
 *
 * @param viewpoint its id or its name
 */
@JsonTypeName("removeViewpoint")
@RecordBuilder
public record RemoveViewpoint(String viewpoint) implements Edit {
  @Override
  public void make(EditSession session) {
    String key = Viewpoints.named(session, EditSession.need(viewpoint, "viewpoint")).key();
    session.show(session.space().showing().without(key));
  }
}
