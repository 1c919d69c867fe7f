package pied.core.edit.layer;

import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;
import pied.core.edit.Bench;
import pied.core.edit.Edit;
import pied.core.space.Sound;

/**
 * Makes a layer, behind all others.
 *
 * @param id null to have one made
 * @param colour of its lines on the plan, #RRGGBB; null for ink
 */
@RecordBuilder
public record NewLayer(@Nullable String id, String name, @Nullable String colour) implements Edit {
  @Override
  public void make(Bench bench) {
    Layers.add(bench, name, id == null ? null : Sound.id(id), colour);
  }
}
