package pied.core.register;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import pied.core.edit.Edit;
import pied.core.tool.Tool;
import pied.core.tool.beside.BesideTool;
import pied.core.tool.exchange.ExchangeTool;
import pied.core.tool.finish.FinishTool;
import pied.core.tool.group.GroupTool;
import pied.core.tool.keep.KeepTool;
import pied.core.tool.layer.LayerTool;
import pied.core.tool.light.LightTool;
import pied.core.tool.lineup.LineUpTool;
import pied.core.tool.move.MoveTool;
import pied.core.tool.onto.OntoTool;
import pied.core.tool.place.PlaceTool;
import pied.core.tool.ring.RingTool;
import pied.core.tool.row.RowTool;
import pied.core.tool.scatter.ScatterTool;
import pied.core.tool.shell.ShellTool;
import pied.core.tool.size.SizeTool;
import pied.core.tool.spaceout.SpaceOutTool;
import pied.core.tool.trail.TrailTool;
import pied.core.tool.turn.TurnTool;
import pied.core.tool.twin.TwinTool;
import pied.core.tool.viewpoint.ViewpointTool;

/**
 * The register of tools: what is not in it can be neither done nor said. Sentences are tried in its
 * order.
 */
public final class Tools {
  public static final List<Tool> ALL =
      List.of(
          new LineUpTool(),
          new SpaceOutTool(),
          new TwinTool(),
          new TurnTool(),
          new OntoTool(),
          new BesideTool(),
          new MoveTool(),
          new KeepTool(),
          new ExchangeTool(),
          new SizeTool(),
          new RowTool(),
          new RingTool(),
          new TrailTool(),
          new ScatterTool(),
          new PlaceTool(),
          new LayerTool(),
          new GroupTool(),
          new FinishTool(),
          new LightTool(),
          new ViewpointTool(),
          new ShellTool());

  private Tools() {}

  /** All edits there are. */
  public static List<Class<? extends Edit>> edits() {
    return ALL.stream().<Class<? extends Edit>>flatMap(t -> t.edits().stream()).toList();
  }

  /** What reads edits from JSON by their names. */
  public static ObjectMapper json() {
    return new ObjectMapper().registerModule(new EditNames());
  }
}
