package pied.core.drawing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.locationtech.jts.geom.Envelope;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.edit.Blank;
import pied.core.edit.Edit;
import pied.core.solid.Vec;
import pied.core.space.Bar;
import pied.core.space.Opening;
import pied.core.space.Shell;
import pied.core.space.Wall;
import pied.core.tool.shell.BuildBuilder;
import pied.core.tool.shell.SetOpeningBuilder;
import pied.core.tool.shell.SetPartitionBuilder;
import pied.core.units.LengthUnit;

/** The measures and heights that are written into an elevation or a section. */
final class ElevationMeasures {
  /** A bar so close above another leaves no room for a name between them, metres. */
  private static final double CLOSE = 0.7;

  private final Shell shell;
  private final @Nullable Wall wall;
  private final Eye eye;
  private final Envelope frame;
  private final LengthUnit unit;
  private final List<Label> labels;
  private final List<Dimension> out;

  /**
   * @param wall that is looked at; null for a section
   * @param frame of the drawing
   */
  ElevationMeasures(
      Shell shell,
      @Nullable Wall wall,
      Eye eye,
      Envelope frame,
      LengthUnit unit,
      List<Label> labels,
      List<Dimension> out) {
    this.shell = shell;
    this.wall = wall;
    this.eye = eye;
    this.frame = frame;
    this.unit = unit;
    this.labels = labels;
    this.out = out;
  }

  void add() {
    if (wall == null) {
      section();
    } else {
      elevation();
    }
  }

  private void section() {
    double h = shell.height();
    double left = frame.getMinX();
    vertical(
        left,
        0,
        h,
        1,
        shell.stage() == null ? "Height of the ceiling" : "Height to the grid",
        BuildBuilder.builder().build(),
        "height");
    for (var p : shell.platforms()) {
      double start = p.outline().stream().mapToDouble(c -> eye.u(c.at(0))).min().orElse(0);
      labels.add(new Label("note", "+" + unit.text(p.height()), start, -p.height(), "start"));
    }
    bars();
  }

  /**
   * Names of bars, each clear of the lines: above its own, or below where another is close above.
   * Those seen one behind the other share a name.
   */
  private void bars() {
    Map<List<Long>, List<Bar>> seen = new LinkedHashMap<>();
    for (Bar b : shell.bars()) {
      long millimetres = Math.round(start(b) * 1000);
      seen.computeIfAbsent(
              List.of(millimetres, Math.round(b.trim() * 1000)), k -> new ArrayList<>())
          .add(b);
    }
    for (List<Bar> same : seen.values()) {
      Bar b = same.get(0);
      boolean close =
          shell.bars().stream()
              .anyMatch(o -> o.trim() > b.trim() + Tolerance.NEAR && o.trim() < b.trim() + CLOSE);
      String names = same.stream().map(Bar::id).collect(Collectors.joining(", "));
      labels.add(
          new Label(
              close ? "under" : "note",
              names + " at " + unit.text(b.trim()),
              start(b),
              -b.trim() + (close ? Bar.TUBE / 2 : -Bar.TUBE / 2),
              across() ? "start" : "middle"));
    }
  }

  private boolean across() {
    return eye.right().x() != 0;
  }

  /** Where a bar begins, or is, seen end on. */
  private double start(Bar b) {
    return eye.u(new Vec(b.x(), 0, b.z())) - (across() ? b.length() / 2 : 0);
  }

  private void elevation() {
    boolean partition = shell.partitions().stream().anyMatch(p -> p.id().equals(wall.name()));
    vertical(
        frame.getMinX(),
        Math.max(0, wall.base()),
        wall.height(),
        1,
        partition ? "Height of the " + wall.name() : "Height of the ceiling",
        partition
            ? SetPartitionBuilder.builder().part(wall.name()).build()
            : BuildBuilder.builder().build(),
        "height");
    new Chains(shell, unit, out).below(wall, frame.getMaxY());
    for (Opening o : shell.openings()) {
      if (!o.wall().equals(wall.name())) {
        continue;
      }
      Edit edit = SetOpeningBuilder.builder().part(o.id()).build();
      double u = o.from() + o.width() / 2;
      vertical(u, o.sill(), o.head(), 0, "Height of the " + o.words(), edit, "height");
      if (o.sill() > 0) {
        vertical(u, 0, o.sill(), 0, "Sill of the " + o.words(), edit, "sill");
      }
    }
  }

  private void vertical(
      double u, double from, double to, int level, String label, Edit edit, String slot) {
    out.add(
        new Dimension(
            u, -from, u, -to, -1, 0, level, unit.fine(to - from), label, new Blank(edit, slot)));
  }
}
