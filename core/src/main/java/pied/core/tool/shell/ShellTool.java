package pied.core.tool.shell;

import java.util.List;
import pied.core.edit.Edit;
import pied.core.tool.Tool;

/** What a room or a stage is made of. */
public final class ShellTool implements Tool {
  @Override
  public List<Class<? extends Edit>> edits() {
    return List.of(
        Outline.class,
        MoveCorner.class,
        AddCorner.class,
        RemoveCorner.class,
        MoveWall.class,
        WallLength.class,
        WallThickness.class,
        Build.class,
        SpaceExtent.class,
        SetSeats.class,
        SetOpening.class,
        SetPartition.class,
        SetColumn.class,
        SetPlatform.class,
        SetFlight.class,
        SetBar.class,
        ShiftPart.class,
        RemoveParts.class,
        SetDatum.class);
  }
}
