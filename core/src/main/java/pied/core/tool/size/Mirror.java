package pied.core.tool.size;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.catalog.Mounting;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.measure.Hold;
import pied.core.piece.Piece;
import pied.core.piece.Stance;
import pied.core.size.Measure;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.Carriers;
import pied.core.units.Refusal;

/**
 * Mirrors pieces in place, with all they carry: left and right, front and back, or top and bottom
 * change places.
 *
 * @param across the direction that is reversed; null for the width: left to right
 * @param about the mark through which the mirror stands; null for the middle of each
 */
@JsonTypeName("mirror")
@RecordBuilder
public record Mirror(List<String> pieces, @Nullable Measure across, @Nullable String about)
    implements Edit, MirrorBuilder.With {
  @Override
  public String ofParts() {
    return WhyNot.MIRRORED;
  }

  @Override
  public void make(EditSession session) {
    List<String> ids = session.chosen(pieces);
    Measure m = across == null ? Measure.width : across;
    Hold mark = Hold.read(about).orElse(new Hold(0, 0, 0));
    for (String id : Carriers.tops(session.space(), ids)) {
      Piece p = session.piece(id);
      boolean upright = session.article(id).mounting() == Mounting.STANDS || p.attached();
      if (m == Measure.height && !upright) {
        throw new Refusal(
            "{} cannot be mirrored top to bottom, for it would not hang or sit any more.",
            p.name());
      }
      if (m != Measure.width && session.article(id).mounting() == Mounting.WALL) {
        throw new Refusal(
            "{} has its back to the wall; it is mirrored left to right only.", p.name());
      }
      one(session, p, m, mark);
    }
    if (m == Measure.height) {
      session.settle(session.space().carriedBy(ids), true);
    }
    session.carriers(ids);
    session.sayOverlaps(ids);
  }

  private static void one(EditSession session, Piece p, Measure m, Hold mark) {
    Vec n = p.pose().direct(SpaceSize.way(m));
    double at = p.pose().apply(mark.on(p.size())).dot(n);
    Set<String> all =
        m == Measure.height // what stands on it does not go over with it
            ? Carriers.attachedTo(session.space(), p.id())
            : session.space().withCarried(List.of(p.id()));
    all.add(p.id());
    session.alter(all, q -> mirrored(q, n, at));
  }

  /**
   * The mirror image of a piece in the plane of the points whose dot product with n is d. The image
   * of a mesh is its left-to-right image, turned: M R = (M R X) X, where X exchanges left and right
   * and M R X is a rotation. The middle of the underside is that of the image.
   */
  static Piece mirrored(Piece p, Vec n, double d) {
    Vec at = image(p.at(), n, d);
    Vec right = image(p.pose().direct(new Vec(-1, 0, 0)), n, 0);
    Vec up = image(p.pose().direct(Vec.UP), n, 0);
    Vec front = image(p.pose().direct(new Vec(0, 0, 1)), n, 0);
    Stance stance = Stance.of(at, Pose.of(Vec.ZERO, right, up, front));
    return p.withStance(stance).withForm(p.form().withMirrored(!p.form().mirrored()));
  }

  private static Vec image(Vec v, Vec n, double d) {
    return v.minus(n.times(2 * (v.dot(n) - d)));
  }
}
