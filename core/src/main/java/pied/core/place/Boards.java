package pied.core.place;

import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Geometry;
import pied.core.Tolerance;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.solid.Mesh;
import pied.core.space.Space;

/** The level tops and boards of pieces on which something may stand. */
public final class Boards {
  /** Smaller ones carry nothing, m². */
  private static final double LEAST = Tolerance.NEAR;

  /**
   * What stands on boards side by side stands over the joints between them, half of one, metres.
   */
  private static final double JOINT = 0.0125;

  private Boards() {}

  /**
   * One of them.
   *
   * @param high its height, metres
   * @param figure of the plan
   */
  public record CarryingBoard(double high, Geometry figure, On on) {}

  /** Those of an upright piece, from below; none if it carries nothing or leans. */
  public static List<CarryingBoard> of(Space space, Piece p) {
    List<CarryingBoard> all = new ArrayList<>();
    if (!space.article(p).carries() || !Flats.upright(p.pose())) {
      return all;
    }
    Mesh mesh = space.shapes().mesh(p);
    for (Flats.Flat flat : Flats.of(mesh).up()) {
      if (flat.area().getArea() > LEAST) {
        all.add(
            new CarryingBoard(
                flat.y() + p.at().y(),
                Footprint.moved(flat.area().buffer(JOINT).buffer(-JOINT), p.pose()),
                On.piece(p.id())));
      }
    }
    return all;
  }
}
