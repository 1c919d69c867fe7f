package pied.core.tool.layer;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.space.Validity;

/**
 * Makes a layer, behind all others.
 *
 * @param id null to have one made
 * @param colour of its lines on the plan, #RRGGBB; null for ink
 */
@JsonTypeName("newLayer")
@RecordBuilder
public record NewLayer(@Nullable String id, String name, @Nullable String colour) implements Edit {
  @Override
  public void make(EditSession session) {
    Layers.add(session, name, id == null ? null : Validity.id(id), colour);
  }
}
