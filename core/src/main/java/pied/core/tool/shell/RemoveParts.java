package pied.core.tool.shell;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.function.UnaryOperator;
import pied.core.space.PartName;
import pied.core.space.PartName.PartKind;
import pied.core.space.Shell;
import pied.core.units.Refusal;

/** Takes parts of the shell away ("opening:door 1", "platform:…"), or a corner of the outline. */
@JsonTypeName("removeParts")
@RecordBuilder
public record RemoveParts(List<PartName> parts) implements ShellEdit {
  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    Shell shell = w.shell();
    if (need(parts, "parts").size() == 1
        && parts.get(0) != null
        && parts.get(0).kind() == PartKind.corner) {
      // walls behind it have other names then, so that it goes alone
      return w.outline().removeCorner(OutlineWork.corner(shell, parts.get(0).id()));
    }
    Shell next = shell;
    for (PartName part : parts) {
      String id = need(part, "parts").id();
      UnaryOperator<Shell> without =
          switch (part.kind()) {
            case opening -> s -> s.withOpenings(ShellWork.drop(s.openings(), id));
            case wall -> {
              if (shell.walls().stream().anyMatch(x -> x.name().equals(id))) {
                throw new Refusal(
                    "Wall {} belongs to the outline. Take one of its corners away, or give it the"
                        + " thickness 0 to leave the edge open.",
                    id);
              }
              yield s ->
                  s.withPartitions(ShellWork.drop(s.partitions(), id))
                      .withOpenings(
                          s.openings().stream().filter(o -> !o.wall().equals(id)).toList());
            }
            case column -> s -> s.withColumns(ShellWork.drop(s.columns(), id));
            case platform -> s -> s.withPlatforms(ShellWork.drop(s.platforms(), id));
            case flight -> s -> s.withFlights(ShellWork.drop(s.flights(), id));
            case bar -> s -> s.withBars(ShellWork.drop(s.bars(), id));
            default -> throw new Refusal("“{}” cannot be taken away.", part);
          };
      next = without.apply(next);
    }
    return w.done(next, null);
  }
}
