package pied.core.tool.shell;

import java.util.List;
import java.util.Locale;
import java.util.function.BiConsumer;
import pied.core.Tolerance;
import pied.core.edit.Edit;
import pied.core.phrase.Phrase;
import pied.core.phrase.Writer;
import pied.core.solid.Vec;
import pied.core.space.Bar;
import pied.core.space.Column;
import pied.core.space.Flight;
import pied.core.space.Opening;
import pied.core.space.Part;
import pied.core.space.PartName;
import pied.core.space.Partition;
import pied.core.space.Platform;
import pied.core.space.Shell;
import pied.core.space.ShellBodies;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Stage;
import pied.core.space.Wall;
import pied.core.tool.finish.PaintBuilder;
import pied.core.tool.keep.RenameBuilder;
import pied.core.units.Angle;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;
import pied.core.units.Text;

/** The caption of a part of the shell: how large it is and where, to be read and typed. */
public final class PartCaption {
  private final Writer w;
  private final Shell shell;
  private final BiConsumer<Writer, PartName> keeping;

  private PartCaption(Space space, LengthUnit unit, BiConsumer<Writer, PartName> keeping) {
    w = new Writer(space, unit);
    shell = space.shell();
    this.keeping = keeping;
  }

  /**
   * The caption of a part.
   *
   * @param part such as "wall:A", "opening:door 1" or "corner:0"
   * @param keeping writes how it is kept in order
   * @throws Refusal if there is none
   */
  public static List<Phrase> of(
      Space space, PartName part, LengthUnit unit, BiConsumer<Writer, PartName> keeping) {
    PartCaption c = new PartCaption(space, unit, keeping);
    String id = part.id();
    switch (part.kind()) {
      case wall -> c.wall(id);
      case corner -> c.corner(id);
      case opening -> c.opening(Part.find(space.shell().openings(), id));
      case column -> c.column(Part.find(space.shell().columns(), id));
      case platform -> c.platform(Part.find(space.shell().platforms(), id));
      case flight -> c.flight(Part.find(space.shell().flights(), id));
      case bar -> c.bar(Part.find(space.shell().bars(), id));
      default -> throw new Refusal("There is nothing to say of “{}”.", part);
    }
    return c.w.out;
  }

  /** A rake as a carpenter says it: "1 in 20", with the percentage where that is not whole. */
  public static String rake(Stage stage) {
    if (stage.rake() == 0) {
      return "0 %";
    }
    double in = 1 / stage.rake();
    return Math.abs(in - Math.rint(in)) < Tolerance.FINE
        ? "1 in " + (int) Math.rint(in)
        : String.format(Locale.ROOT, "%.1f %%", stage.rake() * 100);
  }

  /** Its name, which can be typed. */
  private Writer name(Part part, String usual) {
    String own = w.space.filing().part(part.name()).name();
    String text = own == null ? Text.capital(usual) : own;
    return w.field(text, "Name", "name", RenameBuilder.builder().piece(part.name().text()).build());
  }

  private void remove(PartName part) {
    w.action("Take it away", RemovePartsBuilder.builder().parts(List.of(part)).build());
  }

  private void end(PartName part) {
    keeping.accept(w, part);
    w.text(". ");
    remove(part);
  }

  // ---- walls and corners

  private void wall(String name) {
    for (Partition p : shell.partitions()) {
      if (p.id().equals(name)) {
        partition(p);
        return;
      }
    }
    List<Wall> walls = shell.walls();
    Wall wall =
        walls.stream()
            .filter(x -> x.name().equals(name))
            .findFirst()
            .orElseThrow(() -> new Refusal("There is no “{}” in this space.", name));
    int i = walls.indexOf(wall);
    Wall next = walls.get((i + 1) % walls.size());
    Wall before = walls.get((i + walls.size() - 1) % walls.size());
    Edit length = WallLengthBuilder.builder().wall(name).moves(WallLength.End.end).build();
    Edit other = WallLengthBuilder.builder().wall(name).moves(WallLength.End.start).build();
    w.word("Wall " + name, null).text(" — ");
    w.length(wall.length(), "Length; wall " + next.name() + " moves", "length", length);
    w.text(" long if wall ")
        .part(next.name(), PartName.wall(next.name()).text())
        .text(" moves, or ");
    w.length(wall.length(), "Length; wall " + before.name() + " moves", "length", other);
    w.text(" if wall ").part(before.name(), PartName.wall(before.name()).text()).text(" moves, ");
    w.length(
        wall.thickness(),
        "Thickness; 0 takes the wall away",
        "thickness",
        WallThicknessBuilder.builder().wall(name).build());
    w.text(wall.open() ? " thick: an open edge. Move it out by " : " thick. Move it out by ");
    w.length(0, "Move it out; with a minus in", "by", MoveWallBuilder.builder().wall(name).build());
    w.text(". ")
        .action("Put a corner in its middle", AddCornerBuilder.builder().wall(name).build());
    if (!wall.open()) {
      w.text(" ");
      paint(PartName.wall(name).text(), "Wall " + name);
    }
  }

  private void paint(String part, String name) {
    w.out.add(
        Phrase.swatch(
            name,
            null,
            part,
            ShellBodies.looks(shell).get(part),
            PaintBuilder.builder().part(part).build()));
  }

  private void partition(Partition p) {
    Edit edit = SetPartitionBuilder.builder().part(p.id()).build();
    name(p, p.id()).text(" — ");
    w.length(p.length(), "Length; its end moves", "length", edit).text(" long × ");
    w.length(p.thickness(), "Thickness", "thickness", edit).text(" thick × ");
    w.length(p.height(), "Height", "height", edit).text(" high, its middle from ");
    w.place(p.from().at(0), edit, "start").text(" to ");
    w.place(p.to().at(0), edit, "end");
    end(p.name());
    w.text(" ");
    paint(p.name().text(), Text.capital(p.id()));
  }

  private void corner(String number) {
    int i;
    try {
      i = Integer.parseInt(number);
    } catch (NumberFormatException e) {
      i = -1;
    }
    int n = shell.outline().size();
    if (i < 0 || i >= n) {
      throw new Refusal("There is no such corner.");
    }
    Spot p = shell.outline().get(i);
    Spot a = shell.outline().get((i + n - 1) % n);
    Spot b = shell.outline().get((i + 1) % n);
    double in =
        Math.toDegrees(
            Math.atan2(a.z() - p.z(), a.x() - p.x()) - Math.atan2(b.z() - p.z(), b.x() - p.x()));
    in = ((in % 360) + 360) % 360;
    String before = Shell.name((i + n - 1) % n);
    w.word("Corner of walls " + before + " and " + Shell.name(i), null);
    w.text(", " + Angle.text(in) + " — at ");
    Edit edit = MoveCornerBuilder.builder().corner(i).square(true).build();
    w.place(p.at(0), edit, "place");
    w.text(". Its walls keep their directions; drag it with Shift to let them turn. ");
    w.action("Take it away", RemoveCornerBuilder.builder().corner(i).build());
  }

  // ---- openings

  private void opening(Opening o) {
    Wall wall = shell.wall(o.wall());
    Edit edit = SetOpeningBuilder.builder().part(o.id()).build();
    name(o, o.words()).text(" in ");
    w.part(w.space.shell().wallName(o.wall()), PartName.wall(o.wall()).text()).text(" — ");
    w.length(o.width(), "Width", "width", edit).text(" wide × ");
    w.length(o.height(), "Height", "height", edit).text(" high, sill at ");
    w.length(o.sill(), "Height of the sill", "sill", edit).text(", ");
    w.length(o.from(), "From the start of the wall", "from", edit);
    w.text(" from its start, ");
    w.length(wall.length() - o.to(), "To the end of the wall", "toEnd", edit);
    w.text(" from its end");
    if (o.kind() == Opening.OpeningKind.niche) {
      w.text(", ").length(o.depth(), "Depth", "depth", edit).text(" deep");
    }
    if (o.kind() == Opening.OpeningKind.door) {
      w.text(", ");
      w.choice(
          words(o.hinge()),
          "Hinge, seen from inside",
          hinged(o, Opening.Hand.left),
          hinged(o, Opening.Hand.right));
    }
    if (o.kind() == Opening.OpeningKind.door || o.kind() == Opening.OpeningKind.doubleDoor) {
      w.text(", ");
      w.choice(
          words(o.opens()),
          "Opens",
          opening(o, Opening.OpeningWay.in),
          opening(o, Opening.OpeningWay.out));
    }
    end(o.name());
  }

  private static String words(Opening.Hand hand) {
    return hand == Opening.Hand.left ? "hinged on the left" : "hinged on the right";
  }

  private static Phrase.Option hinged(Opening o, Opening.Hand hand) {
    return new Phrase.Option(
        words(hand), SetOpeningBuilder.builder().part(o.id()).hinge(hand).build());
  }

  private static String words(Opening.OpeningWay way) {
    return way == Opening.OpeningWay.in ? "opening inward" : "opening outward";
  }

  private static Phrase.Option opening(Opening o, Opening.OpeningWay way) {
    return new Phrase.Option(
        words(way), SetOpeningBuilder.builder().part(o.id()).opens(way).build());
  }

  // ---- what is built in

  private void column(Column c) {
    Edit edit = SetColumnBuilder.builder().part(c.id()).build();
    name(c, c.id()).text(" — ");
    w.choice(
        c.round() ? "round" : "square",
        "Form",
        new Phrase.Option("round", SetColumnBuilder.builder().part(c.id()).round(true).build()),
        new Phrase.Option("square", SetColumnBuilder.builder().part(c.id()).round(false).build()));
    w.text(", ").length(c.width(), c.round() ? "Diameter" : "Width", "width", edit);
    if (c.round()) {
      w.text(" across");
    } else {
      w.text(" wide × ").length(c.depth(), "Depth", "depth", edit).text(" deep");
    }
    w.text(", at ").place(c.at().at(0), edit, "to");
    end(c.name());
  }

  private void platform(Platform p) {
    Edit edit = SetPlatformBuilder.builder().part(p.id()).build();
    var e = Shell.envelope(p.outline());
    name(p, p.id()).text(" — ");
    w.length(e.getWidth(), "Width", "width", edit).text(" wide × ");
    w.length(e.getHeight(), "Depth", "depth", edit).text(" deep × ");
    w.length(p.height(), "Height", "height", edit).text(" high, ");
    w.text(w.unit.area(Math.abs(pied.core.space.Outlines.area(p.outline())))).text(", at ");
    w.place(new Vec(e.centre().x, 0, e.centre().y), edit, "to");
    keeping.accept(w, p.name());
    w.text(". ");
    w.action(
        "Steps up to it",
        SetFlightBuilder.builder().kind(Flight.FlightKind.steps).platform(p.id()).build());
    w.text(" ");
    w.action(
        "A ramp up to it",
        SetFlightBuilder.builder().kind(Flight.FlightKind.ramp).platform(p.id()).build());
    w.text(" ");
    remove(p.name());
  }

  private void flight(Flight f) {
    Edit edit = SetFlightBuilder.builder().part(f.id()).build();
    name(f, f.id()).text(" — ");
    if (f.kind() == Flight.FlightKind.steps) {
      w.field(String.valueOf(f.count()), "Number of treads", "count", edit).text(" treads, riser ");
      w.length(f.riser(), "Riser", "riser", edit).text(", going ");
      w.length(f.going(), "Going", "going", edit).text(", ");
    } else {
      w.text("rising ").length(f.riser(), "Rise", "riser", edit).text(" over ");
      w.length(f.going(), "Length on the plan", "going", edit);
      w.text(", 1 in " + Math.round(f.going() / f.riser() * 10) / 10.0 + ", ");
    }
    w.length(f.width(), "Width", "width", edit).text(" wide, coming down toward ");
    w.angle(f.turn(), "Direction it comes down, degrees", "turn", edit);
    w.text(", from " + w.unit.fine(f.top()) + " to " + w.unit.fine(f.base()) + ", its top at ");
    w.place(f.at().at(0), edit, "to");
    end(f.name());
  }

  private void bar(Bar b) {
    Edit edit = SetBarBuilder.builder().part(b.id()).build();
    name(b, b.id()).text(" — ");
    w.length(b.length(), "Length", "length", edit).text(" long, trim ");
    w.length(b.trim(), "Trim: height of the middle of the tube", "trim", edit).text(", at ");
    w.place(new Vec(b.x(), 0, b.z()), edit, "to");
    end(b.name());
  }
}
