package pied.core.tool.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.material.Finish;
import pied.core.phrase.Phrase;
import pied.core.phrase.Writer;
import pied.core.space.PartName;
import pied.core.space.Shell;
import pied.core.space.ShellBodies;
import pied.core.space.Skirting;
import pied.core.space.Space;
import pied.core.space.Stage;
import pied.core.space.Wall;
import pied.core.tool.finish.PaintBuilder;
import pied.core.units.LengthUnit;

/** Everything a shell is made of, in rows to be read, typed into and chosen from. */
public final class ShellList {
  /**
   * One part or one measure.
   *
   * @param part id of the part, or null for a measure of the whole
   */
  public record ShellRow(@Nullable String part, List<Phrase> phrases) {}

  /** Rows that belong together. */
  public record ShellGroup(String title, List<ShellRow> rows) {}

  private final Space space;
  private final Shell shell;
  private final LengthUnit unit;
  private final List<ShellGroup> groups = new ArrayList<>();

  private ShellList(Space space, LengthUnit unit) {
    this.space = space;
    this.shell = space.shell();
    this.unit = unit;
  }

  public static List<ShellGroup> of(Space space, LengthUnit unit) {
    ShellList list = new ShellList(space, unit);
    list.write();
    return list.groups;
  }

  private ShellRow row(String part, Consumer<Writer> how) {
    Writer w = new Writer(space, unit);
    how.accept(w);
    return new ShellRow(part, w.out);
  }

  private void write() {
    List<ShellRow> whole = new ArrayList<>();
    Edit build = BuildBuilder.builder().build();
    whole.add(
        row(
            null,
            w ->
                w.text(shell.stage() == null ? "Ceiling at " : "Grid at ")
                    .length(shell.height(), "Height", "height", build)));
    whole.add(
        row(
            null,
            w ->
                w.text("Walls ")
                    .length(shell.thickness(), "Thickness of the walls", "thickness", build)
                    .text(" thick")));
    whole.add(row(null, w -> skirting(w, build)));
    if (shell.stage() == null) {
      whole.add(
          row(
              null,
              w -> w.text("North at ").angle(shell.north(), "North on the plan", "north", build)));
    }
    whole.add(row(null, this::datum));
    String round = unit.text(shell.perimeter()) + " round, ";
    String volume = String.format(Locale.ROOT, "%.1f m³", shell.volume());
    String floor = unit.area(shell.area()) + " of floor, ";
    whole.add(row(null, w -> w.text(floor + round + volume)));
    whole.add(row(null, this::finishes));
    groups.add(new ShellGroup(shell.stage() == null ? "Room" : "House", whole));
    if (shell.stage() != null) {
      stage(build);
    }
    parts();
  }

  private void datum(Writer w) {
    Edit edit = SetDatumBuilder.builder().build();
    w.text("Datum at ");
    w.length(shell.datum().x(), "Datum, across the space", "to.x", edit).text(" across, ");
    w.length(shell.datum().z(), "Datum, deep in the space", "to.z", edit).text(" deep");
  }

  private void finishes(Writer w) {
    w.text("Finishes ");
    Map<String, Finish> looks = ShellBodies.looks(shell);
    List<String> parts = new ArrayList<>(List.of("floor", "wall", "ceiling"));
    if (shell.skirting() != null) {
      parts.add("skirting");
    }
    if (!shell.platforms().isEmpty()) {
      parts.add("platform");
    }
    if (!shell.openings().isEmpty()) {
      parts.add("joinery");
      parts.add("leaf");
    }
    for (String part : parts) {
      w.out.add(
          Phrase.swatch(
              part.equals("joinery") ? "frames" : part,
              null,
              part,
              looks.get(part),
              PaintBuilder.builder().part(part).build()));
    }
  }

  private void stage(Edit build) {
    Stage st = shell.stage();
    List<ShellRow> rows = new ArrayList<>();
    rows.add(
        row(
            null,
            w ->
                w.text("Floor ")
                    .length(st.level(), "Height above the auditorium", "level", build)
                    .text(" above the auditorium")));
    rows.add(
        row(
            null,
            w -> w.text("Raked ").field(PartCaption.rake(st), "Rake: 5 %, 1:20", "rake", build)));
    Stage.Apron a = st.apron();
    rows.add(
        row(
            null,
            w -> {
              w.text("Apron ").length(a == null ? 0 : a.depth(), "Depth", "apronDepth", build);
              w.text(" deep");
              if (a != null) {
                w.text(", ").length(a.width(), "Width of the apron", "apronWidth", build);
                w.text(" wide, edge curved by ");
                w.length(a.curve(), "How far the edge draws back", "apronCurve", build);
              }
            }));
    rows.add(row(null, this::seats));
    groups.add(new ShellGroup("Stage", rows));
  }

  private void seats(Writer w) {
    Edit edit = SetSeatsBuilder.builder().build();
    Stage.Seats s = shell.stage().seats();
    if (s == null) {
      w.text("No seats. ").action("Put rows in", SetSeatsBuilder.builder().build());
      return;
    }
    w.field(String.valueOf(s.rows()), "Number of rows", "rows", edit).text(" rows, the first at ");
    w.length(s.first(), "From the stage to the first row", "first", edit).text(", ");
    w.length(s.pitch(), "From row to row", "pitch", edit).text(" apart, rising ");
    w.length(s.rise(), "Rise from row to row", "rise", edit).text(", ");
    w.length(s.width(), "Width of a row", "width", edit).text(" wide");
  }

  private void skirting(Writer w, Edit build) {
    Skirting s = shell.skirting();
    w.text("Skirting ");
    w.length(s == null ? 0 : s.height(), "Height of the skirting", "skirtingHeight", build);
    w.text(" high");
    if (s != null) {
      w.text(", ");
      w.length(s.depth(), "Depth of the skirting", "skirtingDepth", build);
      w.text(" deep");
    }
  }

  private void parts() {
    walls();
    openings();
    builtIn();
  }

  private void walls() {
    List<ShellRow> walls = new ArrayList<>();
    for (Wall wall : shell.walls()) {
      walls.add(
          row(
              PartName.wall(wall.name()).text(),
              w -> {
                w.part("Wall " + wall.name(), PartName.wall(wall.name()).text()).text("  ");
                w.length(
                    wall.length(),
                    "Length of wall " + wall.name(),
                    "length",
                    WallLengthBuilder.builder().wall(wall.name()).build());
                w.text(wall.open() ? ", open" : "");
              }));
    }
    groups.add(new ShellGroup("Walls", walls));
  }

  private void openings() {
    List<ShellRow> openings = new ArrayList<>();
    shell
        .openings()
        .forEach(
            o ->
                openings.add(
                    named(
                        o.name().text(),
                        o.id(),
                        unit.fine(o.width())
                            + " × "
                            + unit.fine(o.height())
                            + ", "
                            + space.shell().wallName(o.wall()))));
    group("Openings", openings);
  }

  private void builtIn() {
    List<ShellRow> built = new ArrayList<>();
    shell
        .partitions()
        .forEach(p -> built.add(named(p.name().text(), p.id(), unit.fine(p.length()))));
    shell.columns().forEach(c -> built.add(named(c.name().text(), c.id(), unit.fine(c.width()))));
    shell
        .platforms()
        .forEach(p -> built.add(named(p.name().text(), p.id(), "+" + unit.fine(p.height()))));
    shell
        .flights()
        .forEach(f -> built.add(named(f.name().text(), f.id(), "to " + unit.fine(f.top()))));
    shell
        .bars()
        .forEach(b -> built.add(named(b.name().text(), b.id(), "at " + unit.fine(b.trim()))));
    group("Built in", built);
  }

  private ShellRow named(String part, String name, String measure) {
    String title = Character.toUpperCase(name.charAt(0)) + name.substring(1);
    return row(part, w -> w.part(title, part).text("  " + measure));
  }

  private void group(String title, List<ShellRow> rows) {
    if (!rows.isEmpty()) {
      groups.add(new ShellGroup(title, rows));
    }
  }
}
