package pied.core.space;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Envelope;
import pied.core.Tolerance;
import pied.core.show.Viewpoint;
import pied.core.solid.Vec;

/** Places to look from that every space has. */
public final class ReadyViewpoints {
  private ReadyViewpoints() {}

  /** Those of a shell. */
  public static List<Viewpoint> of(Shell shell) {
    List<Viewpoint> all = new ArrayList<>();
    Envelope e = shell.floor().getEnvelopeInternal();
    double y = Math.min(shell.height(), 4) / 2;
    Vec middle = new Vec((e.getMinX() + e.getMaxX()) / 2, y, (e.getMinY() + e.getMaxY()) / 2);
    boolean stage = shell.stage() != null;
    double far = e.getDiameter();
    outside(all, "From above", middle, new Vec(0, far, Tolerance.NEAR));
    outside(all, "From the front", middle, new Vec(0, 0.12 * far, far));
    outside(all, stage ? "From stage left" : "From the right", middle, new Vec(far, 0.3 * far, 0));
    outside(all, stage ? "From stage right" : "From the left", middle, new Vec(-far, 0.3 * far, 0));
    outside(all, stage ? "From upstage" : "From the back", middle, new Vec(0, 0.3 * far, -far));
    if (stage && shell.stage().seats() != null) {
      seats(all, shell.stage());
    }
    corners(all, shell, middle);
    return all;
  }

  private static void outside(List<Viewpoint> all, String name, Vec middle, Vec away) {
    all.add(Viewpoint.ready(name, "outside", middle.plus(away), middle, true));
  }

  private static void seats(List<Viewpoint> all, Stage stage) {
    int rows = stage.seats().rows();
    int last = Auditorium.seats(stage) - 1;
    Vec target = new Vec(0, 1.4, -2);
    for (int row :
        rows == 1
            ? new int[] {0}
            : rows == 2 ? new int[] {0, 1} : new int[] {0, rows / 2, rows - 1}) {
      for (int seat : new int[] {0, last / 2, last}) {
        String where = seat == 0 ? "house left" : seat == last ? "house right" : "middle";
        Vec eye =
            new Vec(
                seat == last / 2 ? 0 : Auditorium.seat(stage, seat),
                Auditorium.floor(stage, row) + Viewpoint.SEATED,
                Auditorium.row(stage, row));
        all.add(Viewpoint.ready("Row " + (row + 1) + ", " + where, "seats", eye, target, false));
        if (seat == last) {
          break;
        }
      }
    }
  }

  /** From every corner that one can stand in, a little way in, at eye height. */
  private static void corners(List<Viewpoint> all, Shell shell, Vec middle) {
    List<Wall> walls = shell.walls();
    for (int i = 0; i < walls.size() && all.size() < 60; i++) {
      Wall next = walls.get(i);
      Wall before = walls.get((i + walls.size() - 1) % walls.size());
      Vec in = next.inward().plus(before.inward());
      if (in.length() < Tolerance.FINE
          || before.along().cross(next.along()).y() > -Tolerance.FINE) {
        continue; // it juts into the room
      }
      Spot p = next.from().plus(in.x() * 0.35, in.z() * 0.35);
      double floor = shell.floorAt(p);
      if (Double.isNaN(floor)) {
        continue;
      }
      Vec eye = p.at(floor + Viewpoint.STANDING);
      Vec target = new Vec(middle.x(), floor + 1.1, middle.z());
      if (target.minus(eye).length() < 0.2) {
        continue;
      }
      all.add(
          Viewpoint.ready(
              "Corner " + before.name() + "–" + next.name(), "corners", eye, target, false));
    }
  }
}
