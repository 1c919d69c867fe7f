package pied.core.caption;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import pied.core.Refusal;
import pied.core.solid.Vec;
import pied.core.space.Bar;
import pied.core.space.Column;
import pied.core.space.Flight;
import pied.core.space.Opening;
import pied.core.space.Partition;
import pied.core.space.Platform;
import pied.core.space.Shell;
import pied.core.space.ShellBodies;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Stage;
import pied.core.space.Wall;
import pied.core.units.Angle;
import pied.core.units.LengthUnit;

/** The caption of a part of the shell: how large it is and where, to be read and typed. */
public final class PartCaption {
  /** A corner of the outline is known by this and its number from 0. */
  public static final String CORNER = "corner:";

  private static final List<Writer.Named> HANDS =
      List.of(
          new Writer.Named("left", "hinged on the left"),
          new Writer.Named("right", "hinged on the right"));
  private static final List<Writer.Named> WAYS =
      List.of(new Writer.Named("in", "opening inward"), new Writer.Named("out", "opening outward"));

  private final Writer w;
  private final Shell shell;

  private PartCaption(Space space, LengthUnit unit) {
    w = new Writer(space, unit);
    shell = space.shell();
  }

  /**
   * The caption of a part.
   *
   * @param part id of its body, such as "wall:A" or "opening:door 1", or of a corner, "corner:0"
   * @throws Refusal if there is none
   */
  public static List<Phrase> of(Space space, String part, LengthUnit unit) {
    PartCaption c = new PartCaption(space, unit);
    int colon = part.indexOf(':');
    String id = part.substring(colon + 1);
    switch (part.substring(0, colon + 1)) {
      case ShellBodies.WALL -> c.wall(id);
      case CORNER -> c.corner(id);
      case ShellBodies.OPENING -> c.opening(find(space.shell().openings(), Opening::id, id));
      case ShellBodies.COLUMN -> c.column(find(space.shell().columns(), Column::id, id));
      case ShellBodies.PLATFORM -> c.platform(find(space.shell().platforms(), Platform::id, id));
      case ShellBodies.FLIGHT -> c.flight(find(space.shell().flights(), Flight::id, id));
      case ShellBodies.BAR -> c.bar(find(space.shell().bars(), Bar::id, id));
      default -> throw new Refusal("There is nothing to say of “" + part + "”.");
    }
    return c.w.out;
  }

  private static <T> T find(List<T> all, Function<T, String> id, String wanted) {
    return all.stream()
        .filter(t -> id.apply(t).equals(wanted))
        .findFirst()
        .orElseThrow(() -> new Refusal("There is no “" + wanted + "” in this space."));
  }

  /** A rake as a carpenter says it: "1 in 20", with the percentage where that is not whole. */
  static String rake(Stage stage) {
    if (stage.rake() == 0) {
      return "0 %";
    }
    double in = 1 / stage.rake();
    return Math.abs(in - Math.rint(in)) < 1e-6
        ? "1 in " + (int) Math.rint(in)
        : String.format(Locale.ROOT, "%.1f %%", stage.rake() * 100);
  }

  private void remove(String part) {
    w.action("Take it away", Map.of("do", "removeParts", "parts", List.of(part)));
  }

  private static String title(String id) {
    return Character.toUpperCase(id.charAt(0)) + id.substring(1);
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
    int i = walls.indexOf(find(walls, Wall::name, name));
    Wall wall = walls.get(i);
    Wall next = walls.get((i + 1) % walls.size());
    Wall before = walls.get((i + walls.size() - 1) % walls.size());
    Map<String, Object> length = Map.of("do", "wallLength", "wall", name, "moves", "end");
    Map<String, Object> other = Map.of("do", "wallLength", "wall", name, "moves", "start");
    w.word("Wall " + name, null).text(" — ");
    w.length(wall.length(), "Length; wall " + next.name() + " moves", "length", length);
    w.text(" long if wall ").part(next.name(), ShellBodies.WALL + next.name()).text(" moves, or ");
    w.length(wall.length(), "Length; wall " + before.name() + " moves", "length", other);
    w.text(" if wall ").part(before.name(), ShellBodies.WALL + before.name()).text(" moves, ");
    w.length(
        wall.thickness(),
        "Thickness; 0 takes the wall away",
        "thickness",
        Map.of("do", "wallThickness", "wall", name));
    w.text(wall.open() ? " thick: an open edge. Move it out by " : " thick. Move it out by ");
    w.length(0, "Move it out; with a minus in", "by", Map.of("do", "moveWall", "wall", name));
    w.text(". ").action("Put a corner in its middle", Map.of("do", "addCorner", "wall", name));
    if (!wall.open()) {
      w.text(" ");
      paint(ShellBodies.WALL + name, "Wall " + name);
    }
  }

  private void paint(String part, String name) {
    w.out.add(
        Phrase.swatch(
            name, ShellBodies.colours(shell).get(part), Map.of("do", "paint", "part", part)));
  }

  private void partition(Partition p) {
    String part = ShellBodies.WALL + p.id();
    Map<String, Object> edit = Map.of("do", "partition", "part", p.id());
    w.word(title(p.id()), null).text(" — ");
    w.length(p.length(), "Length; its end moves", "length", edit).text(" long × ");
    w.length(p.thickness(), "Thickness", "thickness", edit).text(" thick × ");
    w.length(p.height(), "Height", "height", edit).text(" high, its middle from ");
    w.place(p.from().at(0), edit, "start").text(" to ");
    w.place(p.to().at(0), edit, "end").text(". ");
    remove(part);
    w.text(" ");
    paint(part, title(p.id()));
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
    Map<String, Object> edit = Map.of("do", "moveCorner", "corner", i, "square", true);
    w.place(p.at(0), edit, "place");
    w.text(". Its walls keep their directions; drag it with Shift to let them turn. ");
    w.action("Take it away", Map.of("do", "removeCorner", "corner", i));
  }

  // ---- openings

  private void opening(Opening o) {
    Wall wall = shell.wall(o.wall());
    Map<String, Object> edit = Map.of("do", "opening", "part", o.id());
    w.word(title(o.words()), null).text(" in ");
    w.part(w.space.wallName(o.wall()), ShellBodies.WALL + o.wall()).text(" — ");
    w.length(o.width(), "Width", "width", edit).text(" wide × ");
    w.length(o.height(), "Height", "height", edit).text(" high, sill at ");
    w.length(o.sill(), "Height of the sill", "sill", edit).text(", ");
    w.length(o.from(), "From the start of the wall", "from", edit);
    w.text(" from its start, ");
    w.length(wall.length() - o.to(), "To the end of the wall", "toEnd", edit);
    w.text(" from its end");
    if (o.kind() == Opening.Kind.niche) {
      w.text(", ").length(o.depth(), "Depth", "depth", edit).text(" deep");
    }
    if (o.kind() == Opening.Kind.door) {
      w.text(", ");
      w.choice(words(HANDS, o.hinge().name()), "Hinge, seen from inside", "hinge", edit, HANDS);
    }
    if (o.kind() == Opening.Kind.door || o.kind() == Opening.Kind.doubleDoor) {
      w.text(", ").choice(words(WAYS, o.opens().name()), "Opens", "opens", edit, WAYS);
    }
    w.text(". ");
    remove(ShellBodies.OPENING + o.id());
  }

  private static String words(List<Writer.Named> all, Object value) {
    return all.stream().filter(n -> n.value().equals(value)).findFirst().orElseThrow().words();
  }

  // ---- what is built in

  private void column(Column c) {
    Map<String, Object> edit = Map.of("do", "column", "part", c.id());
    w.word(title(c.id()), null).text(" — ");
    w.choice(
        c.round() ? "round" : "square",
        "Form",
        "round",
        edit,
        List.of(new Writer.Named(true, "round"), new Writer.Named(false, "square")));
    w.text(", ").length(c.width(), c.round() ? "Diameter" : "Width", "width", edit);
    if (c.round()) {
      w.text(" across");
    } else {
      w.text(" wide × ").length(c.depth(), "Depth", "depth", edit).text(" deep");
    }
    w.text(", at ").place(c.at().at(0), edit, "to").text(". ");
    remove(ShellBodies.COLUMN + c.id());
  }

  private void platform(Platform p) {
    Map<String, Object> edit = Map.of("do", "platform", "part", p.id());
    var e = Shell.envelope(p.outline());
    w.word(title(p.id()), null).text(" — ");
    w.length(e.getWidth(), "Width", "width", edit).text(" wide × ");
    w.length(e.getHeight(), "Depth", "depth", edit).text(" deep × ");
    w.length(p.height(), "Height", "height", edit).text(" high, ");
    w.text(w.unit.area(Math.abs(pied.core.space.Outlines.area(p.outline())))).text(", at ");
    w.place(new Vec(e.centre().x, 0, e.centre().y), edit, "to").text(". ");
    w.action("Steps up to it", Map.of("do", "flight", "kind", "steps", "platform", p.id()));
    w.text(" ");
    w.action("A ramp up to it", Map.of("do", "flight", "kind", "ramp", "platform", p.id()));
    w.text(" ");
    remove(ShellBodies.PLATFORM + p.id());
  }

  private void flight(Flight f) {
    Map<String, Object> edit = Map.of("do", "flight", "part", f.id());
    w.word(title(f.id()), null).text(" — ");
    if (f.kind() == Flight.Kind.steps) {
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
    w.place(f.at().at(0), edit, "to").text(". ");
    remove(ShellBodies.FLIGHT + f.id());
  }

  private void bar(Bar b) {
    Map<String, Object> edit = Map.of("do", "bar", "part", b.id());
    w.word(title(b.id()), null).text(" — ");
    w.length(b.length(), "Length", "length", edit).text(" long, trim ");
    w.length(b.trim(), "Trim: height of the middle of the tube", "trim", edit).text(", at ");
    w.place(new Vec(b.x(), 0, b.z()), edit, "to").text(". ");
    remove(ShellBodies.BAR + b.id());
  }
}
