package pied.core.measure;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import pied.core.Tolerance;
import pied.core.piece.Piece;
import pied.core.solid.Bodies;
import pied.core.solid.Creases;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.space.Validity;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * A point that is pointed at: a corner of a mesh or a mark near the line of sight, or else where
 * that meets a surface.
 *
 * @param at metres
 * @param words what it is
 */
public record PointOn(Vec at, String words) {
  /** What is hidden no deeper than this still counts, metres. */
  private static final double HIDDEN = 0.02;

  /**
   * A mark of the box is meant rather than a corner of the mesh that is nearer by no more than
   * this, metres: edges are eased, and one orders by the outside.
   */
  private static final double EASED = 0.012;

  /**
   * A point that may be meant.
   *
   * @param less so much farther off it counts, metres
   */
  private record MeantPoint(PointOn point, double less) {}

  /**
   * The point of one of some pieces; of no piece in particular, of anything there is.
   *
   * @param pieces ids
   * @param near so near to the line of sight corners and marks count, metres
   * @throws Refusal if nothing is there
   */
  public static PointOn of(Space space, List<String> pieces, Vec from, Vec along, double near) {
    Vec d = Validity.sight(from, along);
    Set<String> own = new HashSet<>(pieces);
    boolean any = own.isEmpty();
    Bodies.RayMet met =
        space.bodies().ray(from, d, 1e4, b -> any ? space.seen(b) : own.contains(b.id()));
    double seen = met == null ? Double.POSITIVE_INFINITY : met.distance() + HIDDEN;
    PointOn best = null;
    double least = Double.POSITIVE_INFINITY;
    double depth = Double.POSITIVE_INFINITY;
    for (MeantPoint m : any ? marks(space, from, d, near) : corners(space, pieces)) {
      PointOn p = m.point;
      double t = p.at.minus(from).dot(d);
      double away = p.at.minus(from.along(d, t)).length();
      double off = away + m.less;
      boolean nearer = off < least - Tolerance.FINE || off < least + Tolerance.FINE && t < depth;
      if (t > 0 && t <= seen + away && away < near && nearer) {
        best = p;
        least = off;
        depth = t;
      }
    }
    if (best != null) {
      return best;
    }
    if (met == null) {
      throw new Refusal(
          any
              ? Message.of("Point at something in the space.")
              : Message.of("Point at a place on {}.", space.piece(pieces.get(0)).name()));
    }
    return new PointOn(met.point(), "a point of " + space.nameOf(met.body().id()));
  }

  private static List<MeantPoint> marks(Space space, Vec from, Vec d, double near) {
    Marks.NamedMark mark = Marks.nearest(space, from, d, near, Set.of());
    return mark == null
        ? List.of()
        : List.of(new MeantPoint(new PointOn(mark.at(), mark.words()), 0));
  }

  /** The corners of their meshes and the marks of their boxes. */
  private static List<MeantPoint> corners(Space space, List<String> pieces) {
    List<MeantPoint> all = new ArrayList<>();
    for (String id : pieces) {
      Piece p = space.piece(id);
      for (int i = 0; i < 27; i++) {
        Hold mark = new Hold(i % 3 - 1, i / 3 % 3 - 1, i / 9 - 1);
        all.add(new MeantPoint(new PointOn(p.pose().apply(mark.on(p.size())), mark.words()), 0));
      }
      Mesh mesh = space.shapes().mesh(p);
      for (Vec corner : space.kept(List.of("corners", p.form()), () -> sharp(mesh))) {
        PointOn there = new PointOn(p.pose().apply(corner), "a corner of " + p.name());
        all.add(new MeantPoint(there, EASED));
      }
    }
    return all;
  }

  private static Set<Vec> sharp(Mesh mesh) {
    Set<Vec> all = new HashSet<>();
    Creases.sharp(mesh)
        .forEach(
            e -> {
              all.add(e.from());
              all.add(e.to());
            });
    return all;
  }
}
