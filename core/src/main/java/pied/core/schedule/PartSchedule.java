package pied.core.schedule;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import pied.core.Nullable;
import pied.core.edit.Picked;
import pied.core.piece.Keeping;
import pied.core.schedule.Schedule.ScheduleRow;
import pied.core.size.Size;
import pied.core.solid.Box;
import pied.core.solid.Vec;
import pied.core.space.Bar;
import pied.core.space.Column;
import pied.core.space.Flight;
import pied.core.space.Opening;
import pied.core.space.Opening.Hand;
import pied.core.space.Opening.OpeningKind;
import pied.core.space.Opening.OpeningWay;
import pied.core.space.Part;
import pied.core.space.Partition;
import pied.core.space.Positions;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.units.Angle;
import pied.core.units.LengthUnit;
import pied.core.units.Text;

/** The lists of what is built in: doors and windows by themselves, and all else. */
public final class PartSchedule {
  /** What doors and windows are called together. */
  public static final String OPENINGS = "doors and windows";

  /** What all else is called that is built in. */
  public static final String BUILT = "built in";

  /**
   * A door, a window, a plain opening or a niche.
   *
   * @param mark by which it is known on drawings: D1, W1
   * @param hand where a single leaf hangs, seen from inside; empty for none
   * @param opens where its leaves open to; empty for none
   */
  public record OpeningRow(
      Opening opening, String mark, String name, String wall, String hand, String opens) {}

  private PartSchedule() {}

  /** Doors, windows and other openings, each with its mark. */
  public static List<OpeningRow> openings(Space space) {
    Map<OpeningKind, Integer> counts = new EnumMap<>(OpeningKind.class);
    List<OpeningRow> rows = new ArrayList<>();
    for (Opening o : space.shell().openings()) {
      OpeningKind sort = marked(o.kind());
      int n = counts.merge(sort, 1, Integer::sum);
      String mark = sort == OpeningKind.door ? "D" : sort == OpeningKind.window ? "W" : "O";
      boolean leaf = o.kind() == OpeningKind.door;
      boolean swings = leaf || o.kind() == OpeningKind.doubleDoor;
      rows.add(
          new OpeningRow(
              o,
              mark + n,
              Text.capital(name(space, o)),
              space.nameOf(pied.core.space.PartName.wall(o.wall())),
              leaf ? o.hinge() == Hand.left ? "left" : "right" : "",
              swings ? o.opens() == OpeningWay.in ? "inward" : "outward" : ""));
    }
    return rows;
  }

  private static OpeningKind marked(OpeningKind k) {
    return switch (k) {
      case door, doubleDoor, slidingDoor -> OpeningKind.door;
      case window -> OpeningKind.window;
      default -> OpeningKind.opening;
    };
  }

  private static String name(Space space, Part p) {
    String own = space.filing().part(p.name()).name();
    return own == null ? p.id() : own;
  }

  /** How it opens, in words; empty for what does not. */
  public static String opening(OpeningRow r) {
    String hand = r.hand.isEmpty() ? "" : "hinged on the " + r.hand;
    String opens = r.opens.isEmpty() ? "" : "opening " + r.opens;
    return hand.isEmpty() || opens.isEmpty() ? hand + opens : hand + ", " + opens;
  }

  /** Width × height of an opening, and its sill where it has one. */
  public static String size(Opening o, LengthUnit unit) {
    String size = unit.text(o.width()) + " × " + unit.text(o.height());
    return o.sill() > 0 ? size + ", sill " + unit.text(o.sill()) : size;
  }

  /** All of it as lines of the schedule. */
  public static List<ScheduleRow> of(Space space, LengthUnit unit) {
    List<ScheduleRow> rows = new ArrayList<>();
    for (OpeningRow r : openings(space)) {
      String note = opening(r);
      rows.add(
          row(space, r.opening, r.opening.words(), OPENINGS, size(r.opening, unit), note, unit));
    }
    space
        .shell()
        .parts()
        .values()
        .forEach(
            some -> {
              for (Part p : some) {
                if (!(p instanceof Opening)) {
                  rows.add(
                      row(space, p, p.sort(), BUILT, size(space, p, unit), note(p, unit), unit));
                }
              }
            });
    return rows;
  }

  private static String size(Space space, Part p, LengthUnit unit) {
    return measures(space, p).text(unit);
  }

  /** Width, depth and height: across, deep and high in the space; of a flight its own. */
  public static Size measures(Space space, Part p) {
    if (p instanceof Flight f) {
      return new Size(f.width(), f.run(), f.top() - f.base());
    }
    if (p instanceof Partition w) {
      return new Size(w.length(), w.thickness(), w.height());
    }
    if (p instanceof Opening o) {
      return new Size(o.width(), space.shell().wall(o.wall()).thickness(), o.height());
    }
    Box b = box(space, p);
    return new Size(
        b.max().x() - b.min().x(), b.max().z() - b.min().z(), b.max().y() - b.min().y());
  }

  private static Box box(Space space, Part p) {
    return new Picked(List.of(), List.of(p.name())).box(space);
  }

  private static String note(Part p, LengthUnit unit) {
    if (p instanceof Flight f) {
      return f.kind() == Flight.FlightKind.ramp
          ? "rising " + unit.text(f.riser())
          : f.count() + " treads, riser " + unit.text(f.riser());
    }
    if (p instanceof Bar b) {
      return "trim " + unit.text(b.trim());
    }
    return p instanceof Column c && c.round() ? "round" : "";
  }

  private static ScheduleRow row(
      Space space, Part p, String sort, String kind, String size, String note, LengthUnit unit) {
    Keeping k = space.filing().part(p.name()).keeping();
    Shell shell = space.shell();
    Vec from = place(space, p).minus(shell.datum());
    String name = Text.capital(name(space, p));
    double turn = p instanceof Flight f ? f.turn() : 0;
    return new ScheduleRow(
        p.name().text(),
        name,
        Text.capital(sort),
        String.join("\n", kind, sort, size, note),
        p.name().text(),
        Text.capital(sort),
        kind,
        size,
        measures(space, p),
        note,
        p instanceof Opening o ? shell.wallName(o.wall()) : Positions.words(shell, from, unit),
        from,
        p instanceof Flight ? Angle.text(turn) : "",
        turn,
        "",
        0,
        0,
        "",
        k.remark(),
        k.locked(),
        k.hidden(),
        "",
        space.layer(k).id(),
        k.group());
  }

  /** The middle of its underside; of a platform and a flight the middle at the floor. */
  private static Vec place(Space space, Part p) {
    Box b = box(space, p);
    @Nullable Vec at = p instanceof Flight f ? f.at().at(f.base()) : null;
    return at != null
        ? at
        : new Vec((b.min().x() + b.max().x()) / 2, b.min().y(), (b.min().z() + b.max().z()) / 2);
  }
}
