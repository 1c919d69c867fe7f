package pied.core.still;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.material.Finishes;
import pied.core.piece.Shapes;
import pied.core.show.Viewpoint;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.Opening.OpeningKind;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.tool.place.Place;
import pied.core.units.LengthUnit;

/**
 * Pictures that nobody sees, of a small room with a window, a lamp and some furniture: once they
 * were made all that makes pictures is compiled, and the first that somebody asks for need not wait
 * for that.
 */
public final class StillTrial {
  private static final Viewpoint FROM =
      Viewpoint.ready("trial", "", new Vec(0.5, 1.6, 2.6), new Vec(2.6, 0.8, 0.6), false);

  private static final List<StillGrade> GRADES =
      List.of(StillGrade.draft, StillGrade.good, StillGrade.draft);

  private static final int WIDE = 240;
  private static final int HIGH = 160;

  private StillTrial() {}

  /**
   * Makes them, by one thread.
   *
   * @param between asked between two squares
   * @return how many were made before it was stopped
   */
  public static int run(Shapes shapes, StillWatch between) {
    Space room = room(shapes);
    int made = 0;
    for (StillGrade grade : GRADES) {
      StillRun run =
          new StillRun(
              room,
              new StillWish(FROM, WIDE, HIGH, grade, null, null, false, false, StillInk.over),
              1);
      if (!run.run(between, () -> run.picture(WIDE))) {
        break;
      }
      run.result().image();
      made++;
    }
    return made;
  }

  private static Space room(Shapes shapes) {
    Opening window = new Opening("w", OpeningKind.window, "A", 1, 1.2, 0.9, 1.3);
    Shell shell =
        new Shell(
            List.of(new Spot(0, 0), new Spot(4, 0), new Spot(4, 3), new Spot(0, 3)),
            2.6,
            0.2,
            List.of(window),
            Finishes.NONE);
    List<Edit> all = new ArrayList<>();
    put(all, "cafe-table", 2.6, 1.2);
    put(all, "dining-chair", 2.6, 2);
    put(all, "globe-pendant", 2, 1.5);
    put(all, "bottle", 2.6, 1.2);
    AtomicInteger n = new AtomicInteger();
    return Edits.apply(
            new Space(shell, List.of(), shapes), all, LengthUnit.M, () -> "t" + n.incrementAndGet())
        .space();
  }

  private static void put(List<Edit> all, String article, double x, double z) {
    Edit.PlanPoint at = new Edit.PlanPoint(Amount.of(x), Amount.of(z));
    all.add(new Place(null, article, null, at, null, null, null, null));
  }
}
