package pied.core.tool.shell;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.space.Flight;
import pied.core.space.Platform;
import pied.core.space.Shell;
import pied.core.space.Spot;

/**
 * Steps or a ramp. Near the edge of a platform they go to it and lead up to it.
 *
 * @param at the middle of the upper edge, or a point near an edge
 * @param to the middle of the upper edge read from the datum; then they stay free of edges
 * @param platform the platform whose front edge they go to, instead of a point
 */
@JsonTypeName("flight")
@RecordBuilder
public record SetFlight(
    @Nullable String part,
    @Nullable Flight.FlightKind kind,
    @Nullable PlanPoint at,
    @Nullable Place3 to,
    @Nullable String platform,
    @Nullable Amount turn,
    @Nullable Amount width,
    @Nullable Amount count,
    @Nullable Amount riser,
    @Nullable Amount going)
    implements ShellEdit {
  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    Shell shell = w.shell();
    Flight now = part == null ? null : ShellWork.find(shell.flights(), part);
    Flight.FlightKind what =
        kind != null ? kind : now != null ? now.kind() : Flight.FlightKind.steps;
    Flight start = start(w, now, what);
    boolean steps = what == Flight.FlightKind.steps;
    int treads = count != null && steps ? count.whole(start.count()) : start.count();
    double rise = w.length(riser, start.riser());
    if (count != null && riser == null && now != null && steps) {
      // the same height in other steps; one more riser leads onto the platform
      rise = now.riser() * (now.count() + 1) / (treads + 1);
    }
    Flight next =
        new Flight(
            now != null ? now.id() : shell.freeId(steps ? "steps" : "ramp"),
            what,
            start.at(),
            turn == null ? start.turn() : ((turn.angle(start.turn()) % 360) + 360) % 360,
            w.length(width, start.width()),
            treads,
            rise,
            w.length(going, start.going()),
            start.base());
    return w.done(shell.withFlights(ShellWork.put(shell.flights(), next)), next.name());
  }

  /** Where it is to be, with the measures it has or usually has. */
  private Flight start(ShellWork w, Flight now, Flight.FlightKind what) {
    Shell shell = w.shell();
    if (platform != null) {
      Platform p = ShellWork.find(shell.platforms(), platform);
      return Flights.against(shell, p, null, what, now);
    }
    if (to != null && now != null) {
      Spot target = w.place(to, null, now.at(), "to");
      return new Flight(
          now.id(),
          what,
          target,
          now.turn(),
          now.width(),
          now.count(),
          now.riser(),
          now.going(),
          now.base());
    }
    if (at != null) {
      return Flights.near(shell, w.spot(at, now == null ? null : now.at()), what, now);
    }
    return now != null ? now : need(null, "at");
  }
}
