package pied.core.space;

import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Tolerance;
import pied.core.piece.Lean;
import pied.core.piece.Piece;
import pied.core.piece.Stance;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/**
 * What pairs of pieces are twins by: the image of one side in an upright plane is the other, or one
 * is the other turned half round a point.
 *
 * @param at a point of the line on the plan, or the point they are turned about; its y is 0
 * @param way along the line, level, of length 1
 * @param turned whether they are turned about the point, and not mirrored in the line
 */
@RecordBuilder
public record Twin(String id, Vec at, Vec way, boolean turned) implements TwinBuilder.With {
  public Twin {
    if (Math.abs(way.length() - 1) > Tolerance.SAME || way.y() != 0) {
      throw new Refusal("A line of twins is level and goes somewhere.");
    }
    at = new Vec(at.x(), 0, at.z());
  }

  /** Across the line, level, of length 1. */
  public Vec across() {
    return new Vec(-way.z() + 0.0, 0, way.x());
  }

  /** Across the line, so that a number from the datum grows to the right, or down the sheet. */
  public Vec reading() {
    Vec a = across();
    return a.x() > Tolerance.SAME || Math.abs(a.x()) <= Tolerance.SAME && a.z() > 0
        ? a
        : a.times(-1);
  }

  /** The image of a point; that of the image is the point. */
  public Vec image(Vec p) {
    if (turned) {
      return new Vec(2 * at.x() - p.x(), p.y(), 2 * at.z() - p.z());
    }
    return p.along(across(), -2 * p.minus(at).dot(across()));
  }

  /** The stance of the image of something that stands so. */
  public Stance image(Stance s) {
    if (turned) {
      return s.withAt(image(s.at())).withTurn(s.turn() + 180);
    }
    // the front (sin t, cos t) mirrored in the line; the lean goes over to the other hand
    double line = Math.toDegrees(Math.atan2(way.x(), way.z()));
    double turn = tidy(2 * line - s.turn());
    return new Stance(image(s.at()), turn, new Lean(-s.lean().toward(), s.lean().by()));
  }

  /** A piece as its twin is: with its form, mirrored unless they are turned, and its colours. */
  public Piece image(Piece p) {
    return p.withStance(image(p.stance()))
        .withForm(turned ? p.form() : p.form().withMirrored(!p.form().mirrored()));
  }

  /** Moved and turned with something. */
  public Twin moved(Motion m) {
    return withAt(m.of(at)).withWay(m.direct(way));
  }

  private static double tidy(double degrees) {
    double near = Math.rint(degrees * 1e9) / 1e9;
    return Math.abs(near - degrees) < Tolerance.ANGLE ? near : degrees;
  }
}
