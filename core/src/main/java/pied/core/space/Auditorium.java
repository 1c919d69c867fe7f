package pied.core.space;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import pied.core.Tolerance;
import pied.core.solid.Mesh;
import pied.core.solid.MeshMaker;
import pied.core.solid.Prism;
import pied.core.solid.Vec;

/** The rows of seats before a stage, as simple as they need be to look from. */
public final class Auditorium {
  /** Width of one seat, metres. */
  public static final double SEAT = 0.55;

  private static final double ALLEY = 0.4;

  private Auditorium() {}

  /** Depth of a row's seats on the plan, metres. */
  public static double row(Stage stage, int row) {
    return stage.front() + stage.seats().first() + row * stage.seats().pitch();
  }

  /** Height of the floor under a row, metres. */
  public static double floor(Stage stage, int row) {
    return -stage.level() + row * stage.seats().rise();
  }

  /** How many sit in a row. */
  public static int seats(Stage stage) {
    return Math.max(1, (int) Math.floor(stage.seats().width() / SEAT + Tolerance.SAME));
  }

  /** Where a seat stands across, metres. */
  public static double seat(Stage stage, int seat) {
    return (seat - (seats(stage) - 1) / 2.0) * SEAT;
  }

  static Mesh mesh(Stage stage) {
    Stage.Seats s = stage.seats();
    List<Mesh> parts = new ArrayList<>();
    List<Coordinate> profile = new ArrayList<>();
    double under = -stage.level() - 0.2;
    double end = row(stage, s.rows() - 1) + s.pitch();
    profile.add(new Coordinate(0, under)); // its floor goes on under the apron
    profile.add(new Coordinate(end, under));
    for (int r = s.rows() - 1; r >= 0; r--) {
      double y = floor(stage, r);
      double from = r == 0 ? 0 : row(stage, r) - s.pitch() / 2;
      double to = r == s.rows() - 1 ? end : row(stage, r + 1) - s.pitch() / 2;
      profile.add(new Coordinate(to, y));
      profile.add(new Coordinate(from, y));
    }
    profile.add(profile.get(0).copy());
    Coordinate[] ring =
        new ArrayList<>(new java.util.LinkedHashSet<>(profile)).toArray(Coordinate[]::new);
    Coordinate[] closed = java.util.Arrays.copyOf(ring, ring.length + 1);
    closed[ring.length] = ring[0].copy();
    MeshMaker house = new MeshMaker();
    double half = s.width() / 2 + ALLEY;
    Prism.add(
        house,
        Shell.PLANE.createPolygon(closed),
        (p, far) -> new Vec(far ? -half : half, p.y, p.x));
    parts.add(house.mesh("house"));
    MeshMaker seats = new MeshMaker();
    for (int r = 0; r < s.rows(); r++) {
      for (int i = 0; i < seats(stage); i++) {
        double x = seat(stage, i);
        double y = floor(stage, r);
        double z = row(stage, r);
        box(seats, x, y + 0.1, z, 0.48, 0.34, 0.44);
        box(seats, x, y + 0.44, z + 0.2, 0.48, 0.42, 0.06);
      }
    }
    parts.add(seats.mesh("seat"));
    return Mesh.join(parts);
  }

  private static void box(
      MeshMaker maker, double x, double y, double z, double w, double h, double d) {
    Prism.add(
        maker,
        ShellBodies.rectangle(z - d / 2, x - w / 2, z + d / 2, x + w / 2),
        (p, far) -> new Vec(p.y, far ? y + h : y, p.x));
  }
}
