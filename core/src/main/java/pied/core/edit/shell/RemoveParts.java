package pied.core.edit.shell;

import static pied.core.edit.Bench.need;

import java.util.List;
import java.util.function.UnaryOperator;
import pied.core.Refusal;
import pied.core.space.Bar;
import pied.core.space.Column;
import pied.core.space.Flight;
import pied.core.space.Opening;
import pied.core.space.Partition;
import pied.core.space.Platform;
import pied.core.space.Shell;

/** Takes parts of the shell away, by their ids as bodies ("opening:door 1", "platform:…"). */
public record RemoveParts(List<String> parts) implements ShellEdit {
  @Override
  public ShellWork.Result rebuild(ShellWork w) {
    Shell shell = w.shell();
    Shell next = shell;
    for (String part : need(parts, "parts")) {
      String id = part == null ? "" : part.substring(part.indexOf(':') + 1);
      UnaryOperator<Shell> without =
          switch (part == null ? "" : part.substring(0, Math.max(0, part.indexOf(':')))) {
            case "opening" -> s -> s.withOpenings(ShellWork.drop(s.openings(), Opening::id, id));
            case "wall" -> {
              if (shell.walls().stream().anyMatch(x -> x.name().equals(id))) {
                throw new Refusal(
                    "Wall "
                        + id
                        + " belongs to the outline. Take one of its corners away, or give it the"
                        + " thickness 0 to leave the edge open.");
              }
              yield s ->
                  s.withPartitions(ShellWork.drop(s.partitions(), Partition::id, id))
                      .withOpenings(
                          s.openings().stream().filter(o -> !o.wall().equals(id)).toList());
            }
            case "column" -> s -> s.withColumns(ShellWork.drop(s.columns(), Column::id, id));
            case "platform" ->
                s -> s.withPlatforms(ShellWork.drop(s.platforms(), Platform::id, id));
            case "flight" -> s -> s.withFlights(ShellWork.drop(s.flights(), Flight::id, id));
            case "bar" -> s -> s.withBars(ShellWork.drop(s.bars(), Bar::id, id));
            default -> throw new Refusal("“" + part + "” cannot be taken away.");
          };
      next = without.apply(next);
    }
    return w.done(next, null);
  }
}
