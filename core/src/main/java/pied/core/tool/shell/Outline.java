package pied.core.tool.shell;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Map;
import pied.core.space.Outlines;
import pied.core.space.ShellCheck;
import pied.core.space.Spot;

/** Another outline; openings stay where they still fit. */
@JsonTypeName("outline")
@RecordBuilder
public record Outline(List<PlanPoint> corners) implements ShellEdit {
  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    List<Spot> figure = need(corners, "corners").stream().map(p -> w.spot(p, null)).toList();
    // counted before anything is computed from them
    ShellCheck.outline(w.shell().withOutline(figure, Map.of(), List.of()));
    return w.outline().replace(Outlines.clockwise(figure));
  }
}
