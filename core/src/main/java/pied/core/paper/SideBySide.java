package pied.core.paper;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Envelope;
import pied.core.drawing.Lines;
import pied.core.paper.Drawings.DrawnSheet;
import pied.core.paper.Drawings.SheetKind;
import pied.core.paper.Drawings.SheetWish;
import pied.core.space.Space;
import pied.core.units.Deadline;
import pied.core.units.Refusal;

/**
 * The plans of several spaces at one scale on one sheet: in rows from left to right, in their
 * order, as many in a row as there is room for.
 */
public final class SideBySide {
  /** Between two plans, millimetres. */
  private static final double BETWEEN = 12;

  /**
   * A space with its name.
   *
   * @param all the whole space
   * @param shown what of it is drawn
   */
  public record NamedSpace(String name, Space all, Space shown) {}

  private final Lines lines;

  public SideBySide(Lines lines) {
    this.lines = lines;
  }

  /**
   * Draws them; without a scale at the largest at which all are on one sheet.
   *
   * @throws Refusal if there is none, or it takes too many sheets
   */
  public List<Sheet> draw(List<NamedSpace> spaces, SheetWish wish, Plate plate, Deadline deadline) {
    if (spaces.isEmpty()) {
      throw new Refusal("There is no space in this project to be drawn.");
    }
    int smallest = Paper.SCALES.get(Paper.SCALES.size() - 1);
    for (int scale : wish.scale() == null ? Paper.SCALES : List.of(wish.scale())) {
      boolean last = wish.scale() != null || scale == smallest;
      boolean may = spaces.stream().allMatch(s -> Layout.mayFit(s.shown(), wish, scale));
      if (!may && !last) {
        continue;
      }
      Board board = board(spaces, wish, scale, deadline);
      DrawnSheet drawn = new DrawnSheet("Plans", board, new Legend());
      Layout layout = new Layout(spaces.get(0).shown(), wish, scale, plate, drawn);
      if (layout.onOne() || last) {
        return layout.sheets();
      }
    }
    throw new IllegalStateException();
  }

  private Board board(List<NamedSpace> spaces, SheetWish wish, int scale, Deadline deadline) {
    List<Board> plans = new ArrayList<>();
    for (NamedSpace s : spaces) {
      deadline.check();
      SheetNumbers numbers = new SheetNumbers(s.all(), wish.unit());
      PlanBoard plan =
          new PlanBoard(s.shown(), wish.unit(), false, scale, lines, numbers, false, deadline);
      plans.add(plan.draw(s.name()));
    }
    Board all = new Board(scale);
    double room = Layout.room(wish);
    double x = 0;
    double y = 0;
    double high = 0;
    for (Board plan : plans) {
      Envelope e = plan.extent();
      if (x > 0 && x + e.getWidth() > room) {
        x = 0;
        y += high + BETWEEN;
        high = 0;
      }
      double dx = x - e.getMinX();
      double dy = y - e.getMinY();
      plan.marks().forEach(m -> all.add(m.moved(dx, dy)));
      x += e.getWidth() + BETWEEN;
      high = Math.max(high, e.getHeight());
    }
    return all;
  }

  /** What is wished for of a plan, as a wish for all of them. */
  public static SheetWish wish(SheetWish of) {
    return new SheetWish(SheetKind.plan, null, of.scale(), of.paper(), of.unit(), false);
  }
}
