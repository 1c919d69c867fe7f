package pied.core.tool.size;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.catalog.Article;
import pied.core.catalog.Sizing;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.measure.Hold;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.piece.Form;
import pied.core.piece.Piece;
import pied.core.size.Measure;
import pied.core.size.Size;
import pied.core.solid.Body;
import pied.core.solid.Box;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.space.Validity;

/**
 * Pulls a side of a piece to where a line of sight passes it, as far as the article comes; the
 * opposite side stays. Near what is next that way, or a face of a neighbour, it snaps to that.
 *
 * @param grip the line of sight at which it was taken hold of, from which it counts; null: the side
 *     itself goes to where the sight passes
 * @param near so near it snaps, metres
 * @param hold what stays instead; if that is the middle, the opposite side goes the other way
 */
@JsonTypeName("pullSide")
@RecordBuilder
public record PullSide(
    String piece,
    Side side,
    Sight ray,
    @Nullable Sight grip,
    double near,
    @Nullable Together together,
    @Nullable String hold)
    implements Edit {
  /** Neighbours whose faces count are no farther, metres. */
  private static final double AROUND = 3;

  private record PullSnap(double by, String words) {}

  @Override
  public String ofParts() {
    return WhyNot.SIZED;
  }

  @Override
  public void make(EditSession session) {
    Piece p = session.chosen(piece);
    Measure m = need(side, "side").measure();
    Vec out = p.pose().direct(side.outward());
    Sight s = need(ray, "ray");
    Vec middle = p.pose().apply(side.middle(p.size()));
    double by = along(middle, out, s) - (grip == null ? 0 : along(middle, out, grip));
    PullSnap snap = near > 0 ? snap(session.space(), p, middle, out, by) : null;
    double pulled = snap == null ? by : snap.by();
    Hold stays = Hold.read(hold);
    boolean both = stays.along(m) != null && stays.along(m) == 0;
    int end = side == Side.left || side == Side.back || side == Side.under ? 1 : -1;
    Article article = session.space().article(p);
    Sizing.SizingRule rule = article.sizing().rule(m);
    double wanted = m.of(p.size()) + (both ? 2 : 1) * pulled;
    double can = Math.max(Size.LEAST, Math.min(Size.MOST, rule.nearest(wanted)));
    double[] asked = {Double.NaN, Double.NaN, Double.NaN};
    asked[m.ordinal()] = p.form().stretched() ? Math.max(Size.LEAST, wanted) : can;
    Size next =
        article.sizing().follow(p.size(), Together.of(together, article).follow(p.size(), asked));
    OutOfRange beyond = p.form().stretched() ? OutOfRange.stretch : OutOfRange.nearest;
    Form form = Fitting.form(session, p, next, beyond, b -> this);
    Fitting.give(session, p, form, both ? stays : stays.with(m, end));
    if (snap != null && Math.abs(m.of(form.size()) - wanted) < Tolerance.SAME) {
      session.say("{}.", snap.words());
    } else if (Math.abs(can - wanted) > Tolerance.SAME && !p.form().stretched()) {
      session.say("{} comes {} {}.", p.name(), rule.words(), m.words());
    }
    session.sayOverlaps(List.of(p.id()));
  }

  /** How far along a line from a point a sight passes nearest to it. */
  private static double along(Vec from, Vec way, Sight s) {
    Vec d = Validity.sight(s.from(), s.along());
    Vec off = s.from().minus(from);
    double cos = way.dot(d);
    double sin = 1 - cos * cos;
    if (sin < Tolerance.SAME) {
      return 0; // looked at from its end nothing can be told
    }
    return (off.dot(way) - cos * off.dot(d)) / sin;
  }

  /**
   * What is near where the side is pulled to: the nearest of what it would touch or be level with.
   */
  private PullSnap snap(Space space, Piece p, Vec middle, Vec out, double by) {
    Set<String> own = space.withCarried(List.of(p.id()));
    PullSnap best = null;
    Reach reach = Reach.of(space, p, side, own, Math.abs(by) + near + 1);
    if (reach != null && Math.abs(reach.distance() - by) < near) {
      best = new PullSnap(reach.distance(), p.name() + " reaches " + reach.toName());
    }
    Vec around = new Vec(AROUND, AROUND, AROUND);
    for (Body b : space.bodies().near(new Box(middle.minus(around), middle.plus(around)))) {
      if (!space.has(b.id()) || own.contains(b.id())) {
        continue;
      }
      Piece n = space.piece(b.id());
      for (Side face : Side.values()) {
        Vec looks = n.pose().direct(face.outward());
        double at = n.pose().apply(face.middle(n.size())).minus(middle).dot(out);
        boolean level = Math.abs(Math.abs(looks.dot(out)) - 1) < Tolerance.FINE;
        if (level && Math.abs(at - by) < (best == null ? near : Math.abs(best.by() - by))) {
          best =
              new PullSnap(
                  at,
                  "Its "
                      + side.called()
                      + " is level with the "
                      + face.called()
                      + " of "
                      + n.name());
        }
      }
    }
    return best;
  }
}
