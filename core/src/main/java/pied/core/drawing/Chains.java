package pied.core.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import pied.core.Tolerance;
import pied.core.edit.Blank;
import pied.core.edit.Edit;
import pied.core.space.Opening;
import pied.core.space.Shell;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.tool.shell.SetOpeningBuilder;
import pied.core.tool.shell.SetPartitionBuilder;
import pied.core.tool.shell.WallLength;
import pied.core.tool.shell.WallLengthBuilder;
import pied.core.units.LengthUnit;

/** The chains of dimensions along a wall: its openings and what is between, and the whole. */
final class Chains {
  private final Shell shell;
  private final LengthUnit unit;
  private final List<Dimension> out;

  Chains(Shell shell, LengthUnit unit, List<Dimension> out) {
    this.shell = shell;
    this.unit = unit;
    this.out = out;
  }

  /** One stretch of a chain. */
  private record ChainStretch(double from, double to, String label, Blank blank) {}

  private static List<ChainStretch> stretches(Shell shell, Wall w) {
    List<Opening> own = new ArrayList<>(shell.openings());
    own.removeIf(o -> !o.wall().equals(w.name()));
    own.sort(Comparator.comparingDouble(Opening::from));
    List<ChainStretch> all = new ArrayList<>();
    double at = 0;
    Opening last = null;
    for (Opening o : own) {
      if (o.from() < at - Tolerance.SAME) {
        continue; // above or below another one
      }
      Edit edit = SetOpeningBuilder.builder().part(o.id()).build();
      String words = "the " + o.words();
      all.add(
          new ChainStretch(
              at,
              o.from(),
              last == null
                  ? "From the start of wall " + w.name() + " to " + words
                  : "Between the " + last.words() + " and " + words,
              new Blank(edit, last == null ? "from" : "gap")));
      all.add(new ChainStretch(o.from(), o.to(), "Width of " + words, new Blank(edit, "width")));
      at = o.to();
      last = o;
    }
    if (last != null) {
      all.add(
          new ChainStretch(
              at,
              w.length(),
              "From the " + last.words() + " to the end of wall " + w.name(),
              new Blank(SetOpeningBuilder.builder().part(last.id()).build(), "toEnd")));
    }
    all.removeIf(s -> s.to - s.from < Tolerance.HALF);
    return all;
  }

  /** Which wall moves is said before one types. */
  private String length(Wall w) {
    String moves = WallLength.moved(shell, w);
    return "Length of wall " + w.name() + "; wall " + moves + " moves";
  }

  private static Blank whole(Wall w) {
    return new Blank(WallLengthBuilder.builder().wall(w.name()).build(), "length");
  }

  /** On the plan, outside the wall. */
  void along(Wall w) {
    Spot out1 = w.spot(0, -1);
    double nx = out1.x() - w.from().x();
    double nz = out1.z() - w.from().z();
    List<ChainStretch> all = stretches(shell, w);
    for (ChainStretch s : all) {
      add(w.spot(s.from, -w.thickness()), w.spot(s.to, -w.thickness()), nx, nz, 1, s);
    }
    ChainStretch whole = new ChainStretch(0, w.length(), length(w), whole(w));
    add(
        w.spot(0, -w.thickness()),
        w.spot(w.length(), -w.thickness()),
        nx,
        nz,
        all.isEmpty() ? 1 : 2,
        whole);
  }

  private void add(Spot a, Spot b, double nx, double nz, int level, ChainStretch s) {
    out.add(
        new Dimension(
            a.x(),
            a.z(),
            b.x(),
            b.z(),
            nx + 0.0,
            nz + 0.0,
            level,
            unit.fine(s.to - s.from),
            s.label,
            s.blank));
  }

  /** On an elevation, below the wall. */
  void below(Wall w, double down) {
    List<ChainStretch> all = stretches(shell, w);
    for (ChainStretch s : all) {
      add(new Spot(s.from, down), new Spot(s.to, down), 0, 1, 1, s);
    }
    boolean partition = shell.partitions().stream().anyMatch(p -> p.id().equals(w.name()));
    ChainStretch whole =
        new ChainStretch(
            0,
            w.length(),
            partition ? "Length of the " + w.name() : length(w),
            partition
                ? new Blank(SetPartitionBuilder.builder().part(w.name()).build(), "length")
                : whole(w));
    add(new Spot(0, down), new Spot(w.length(), down), 0, 1, all.isEmpty() ? 1 : 2, whole);
  }
}
