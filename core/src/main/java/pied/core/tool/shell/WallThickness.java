package pied.core.tool.shell;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.LinkedHashMap;
import java.util.Map;
import pied.core.edit.Amount;
import pied.core.space.PartName;
import pied.core.space.Shell;
import pied.core.units.Refusal;

/** Gives one wall its own thickness; 0 takes the wall away and leaves the edge open. */
@JsonTypeName("wallThickness")
@RecordBuilder
public record WallThickness(String wall, Amount thickness) implements ShellEdit {
  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    Shell shell = w.shell();
    OutlineWork.edge(shell, need(wall, "wall"));
    double now = shell.thicknesses().getOrDefault(wall, shell.thickness());
    double t = w.length(need(thickness, "thickness"), now);
    if (t == 0 && shell.openings().stream().anyMatch(o -> o.wall().equals(wall))) {
      throw new Refusal("There are openings in wall {}; take them away first.", wall);
    }
    Map<String, Double> next = new LinkedHashMap<>(shell.thicknesses());
    if (t == shell.thickness()) {
      next.remove(wall); // as the others
    } else {
      next.put(wall, t);
    }
    return w.done(shell.withOutline(shell.outline(), next, shell.openings()), PartName.wall(wall));
  }
}
