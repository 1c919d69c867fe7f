package pied.core.register;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.Picked;
import pied.core.edit.WhyNot;
import pied.core.point.Pointed;
import pied.core.space.KeptPart;
import pied.core.space.PartName;
import pied.core.space.Space;
import pied.core.tool.Beginning;
import pied.core.tool.exchange.ExchangeTool;
import pied.core.tool.lineup.LineUpTool;
import pied.core.tool.ring.RingTool;
import pied.core.tool.row.RowTool;
import pied.core.tool.scatter.ScatterTool;
import pied.core.tool.spaceout.SpaceOutTool;
import pied.core.tool.trail.TrailTool;
import pied.core.tool.twin.TwinTool;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** The register of verbs that begin with a proposal. */
public enum Begin {
  lineUp(LineUpTool::begin),
  spaceOut(SpaceOutTool::begin),
  row(RowTool::begin),
  trail(TrailTool::begin),
  ring(RingTool::begin),
  scatter(ScatterTool::begin),
  twin(TwinTool::begin),
  exchange(ExchangeTool::begin);

  private final Beginning beginning;

  Begin(Beginning beginning) {
    this.beginning = beginning;
  }

  /**
   * The edit that is proposed.
   *
   * @param pieces the lead last
   * @param at what was pointed at; null for nothing
   * @throws Refusal if it takes more, in words
   */
  public Edit edit(Space space, LengthUnit unit, List<String> pieces, @Nullable Pointed at) {
    if (pieces == null || pieces.isEmpty()) {
      throw new Refusal("Select what it is for first.");
    }
    List<String> parts = pieces.stream().filter(id -> Picked.isPart(space, id)).toList();
    pieces.stream().filter(id -> !parts.contains(id)).forEach(space::piece);
    if (!parts.isEmpty() && this != twin) {
      throw new Refusal(
          "{} is built in: {}.", KeptPart.title(space, PartName.read(parts.get(0))), WhyNot.PIECES);
    }
    return beginning.edit(space, unit, pieces, at);
  }
}
