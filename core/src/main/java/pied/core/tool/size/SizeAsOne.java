package pied.core.tool.size;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.edit.Declined;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Offer;
import pied.core.edit.WhyNot;
import pied.core.measure.Hold;
import pied.core.piece.Form;
import pied.core.piece.Piece;
import pied.core.size.Measure;
import pied.core.size.Size;
import pied.core.solid.Box;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.Message;

/**
 * Sizes several pieces as one whole, by what they measure together across, deep and high: each
 * keeps its place in the whole.
 *
 * @param hold the mark or side of the whole that stays; what it does not say is the middle of its
 *     underside
 * @param together as in {@link Resize}
 */
@JsonTypeName("sizeAsOne")
@RecordBuilder
public record SizeAsOne(
    List<String> pieces,
    Measures size,
    @Nullable String hold,
    @Nullable Together together,
    @Nullable OutOfRange beyond)
    implements Edit, SizeAsOneBuilder.With {
  private static final double SAME = Tolerance.SAME;

  @Override
  public String ofParts() {
    return WhyNot.SIZED;
  }

  @Override
  public void make(EditSession session) {
    List<String> ids = session.chosen(pieces);
    Box whole = whole(session.space(), ids);
    Size now = size(whole);
    double[] asked = MeasureReader.read(need(size, "size"), now, session.unit());
    Piece lead = session.piece(ids.get(ids.size() - 1));
    asked = Together.of(together, session.space().article(lead)).follow(now, asked);
    double[] factors = new double[3];
    for (Measure m : Measure.values()) {
      double v = asked[m.ordinal()];
      factors[m.ordinal()] = Double.isNaN(v) ? 1 : v / m.of(now);
    }
    Vec from = Hold.read(hold).orElse(Hold.FOOT).on(now);
    Vec stays = new Vec(whole.centre().x(), whole.min().y(), whole.centre().z()).plus(from);
    Map<String, Piece> next = new HashMap<>();
    for (String id : ids) {
      Piece p = session.piece(id);
      Form form = Fitting.form(session, p, sized(p, factors), beyond, this::withBeyond);
      next.put(id, p.withForm(form).withAt(placed(p.at(), stays, factors)));
    }
    Set<String> others = new HashSet<>(session.space().carriedBy(ids));
    others.removeAll(ids);
    session.alter(others, q -> q.withAt(placed(q.at(), stays, factors)));
    session.alter(ids, q -> next.get(q.id()));
    session.settle(others, true);
    session.carriers(ids);
    session.sayOverlaps(ids);
  }

  /** The upright box about pieces. */
  public static Box whole(Space space, List<String> ids) {
    return ids.stream()
        .map(space::piece)
        .map(p -> p.pose().box(space.shapes().mesh(p).box()))
        .reduce(Box::union)
        .orElseThrow();
  }

  /** What an upright box measures across, deep and high. */
  public static Size size(Box whole) {
    return new Size(whole.size().x(), whole.size().z(), whole.size().y());
  }

  private static Vec placed(Vec at, Vec stays, double[] f) {
    Vec d = at.minus(stays);
    return stays.plus(new Vec(d.x() * f[0], d.y() * f[2], d.z() * f[1]));
  }

  private Size sized(Piece p, double[] factors) {
    boolean even =
        Math.abs(factors[1] / factors[0] - 1) < SAME
            && Math.abs(factors[2] / factors[0] - 1) < SAME;
    if (even) {
      return p.size().times(factors[0]);
    }
    Size extent = SpaceSize.of(p).extent(p.size());
    double[] wanted = new double[3];
    for (Measure m : Measure.values()) {
      wanted[m.ordinal()] = m.of(extent) * factors[m.ordinal()];
    }
    if (SpaceSize.of(p).askew(factors)) {
      throw new Declined(
          Message.of(
              "{} is turned askew in it, so the whole can only be sized with its proportions"
                  + " kept.",
              p.name()),
          List.of(
              new Offer(
                  "Keep the proportions of the whole",
                  List.of(withTogether(Together.all).withSize(first())))));
    }
    double[] own = SpaceSize.of(p).own(wanted, p.size());
    Size s = p.size();
    for (Measure m : Measure.values()) {
      s = Double.isNaN(own[m.ordinal()]) ? s : m.with(s, own[m.ordinal()]);
    }
    return s;
  }

  /** The first of the measures that were asked for. */
  private Measures first() {
    return size.width() != null
        ? new Measures(size.width(), null, null)
        : size.depth() != null
            ? new Measures(null, size.depth(), null)
            : new Measures(null, null, size.height());
  }
}
