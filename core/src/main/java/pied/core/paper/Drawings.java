package pied.core.paper;

import java.util.List;
import pied.core.Nullable;
import pied.core.drawing.Elevation;
import pied.core.drawing.Elevations;
import pied.core.drawing.Lines;
import pied.core.space.Space;
import pied.core.units.Deadline;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** Draws a space on sheets of paper. */
public final class Drawings {
  /** What is drawn. */
  public enum SheetKind {
    plan,
    /** The ceiling as in a mirror on the floor. */
    ceiling,
    /** At a wall, or a section. */
    elevation
  }

  /**
   * What is asked for.
   *
   * @param look of an elevation or a section
   * @param scale 50 for 1:50; null for the largest at which it is on one sheet
   * @param numbers whether pieces are numbered, with a legend
   */
  public record SheetWish(
      SheetKind kind,
      @Nullable Elevation.ElevationLook look,
      @Nullable Integer scale,
      Paper paper,
      LengthUnit unit,
      boolean numbers) {
    public SheetWish {
      if (scale != null && !Paper.SCALES.contains(scale)) {
        throw new Refusal(
            "Drawings are made at 1:10, 1:20, 1:25, 1:50, 1:100 or 1:200, not at 1:{}.", scale);
      }
    }
  }

  /** A drawing before it is on sheets. */
  record DrawnSheet(String title, Board board, Legend legend) {}

  private final Lines lines;
  private final Elevations elevations;

  public Drawings(Lines lines, Elevations elevations) {
    this.lines = lines;
    this.elevations = elevations;
  }

  /**
   * Draws it.
   *
   * @param all the whole space, whose numbers count
   * @param space what of it is drawn
   * @return as many sheets as it takes
   * @throws Refusal if there is no such wall or cut, or the drawing would take too many sheets
   */
  public List<Sheet> draw(Space all, Space space, SheetWish wish, Plate plate, Deadline deadline) {
    SheetNumbers numbers = new SheetNumbers(all, wish.unit());
    if (wish.scale() != null) {
      DrawnSheet drawn = drawn(space, wish, wish.scale(), numbers, plate, deadline);
      return new Layout(space, wish, wish.scale(), plate, drawn).sheets();
    }
    int smallest = Paper.SCALES.get(Paper.SCALES.size() - 1);
    // what is written on it decides too, so that it is drawn at each scale that may do
    for (int scale : Paper.SCALES) {
      if (scale != smallest && !Layout.mayFit(space, wish, scale)) {
        continue;
      }
      DrawnSheet drawn = drawn(space, wish, scale, numbers, plate, deadline);
      Layout layout = new Layout(space, wish, scale, plate, drawn);
      if (layout.onOne() || scale == smallest) {
        return layout.sheets();
      }
    }
    throw new IllegalStateException();
  }

  private DrawnSheet drawn(
      Space space,
      SheetWish wish,
      int scale,
      SheetNumbers numbers,
      Plate plate,
      Deadline deadline) {
    deadline.check();
    if (wish.kind() != SheetKind.elevation) {
      boolean ceiling = wish.kind() == SheetKind.ceiling;
      PlanBoard plan =
          new PlanBoard(
              space, wish.unit(), ceiling, scale, lines, numbers, wish.numbers(), deadline);
      Board board = plan.draw(plate.space());
      return new DrawnSheet(ceiling ? "Ceiling plan" : "Plan", board, plan.legend());
    }
    Elevation e = elevations.draw(space, wish.look(), wish.unit());
    ElevationBoard drawing = new ElevationBoard(space, e, scale, numbers, wish.numbers());
    Board board = drawing.draw();
    return new DrawnSheet(e.title(), board, drawing.legend());
  }
}
