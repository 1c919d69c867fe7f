package pied.core.tool.ring;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.RepeatedArticle;
import pied.core.piece.Piece;
import pied.core.place.Footprint;
import pied.core.space.Rule;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.tool.repeat.Repeating;
import pied.core.units.Refusal;

/**
 * Repeats something around a piece or a point; or adjusts such a ring. What is not said is as it
 * was; the piece is looked at anew.
 *
 * @param pieces what is repeated
 * @param group id of the ring to adjust
 * @param of articles to repeat instead
 * @param around id of the piece
 * @param at the point, instead
 * @param gap on the plan to the true outline of the piece, or to the point
 * @param radius from the middle to the middles, instead
 * @param facing inward if nothing is said
 * @param from where it begins, degrees as a piece is turned; in front if nothing is said
 * @param arc degrees over which it reaches
 * @param turn degrees, of all, or more than they look
 * @param refill whether places that were taken out are filled again
 */
@JsonTypeName("ring")
@RecordBuilder
public record Ring(
    @Nullable List<String> pieces,
    @Nullable String group,
    @Nullable List<RepeatedArticle> of,
    @Nullable String around,
    @Nullable PlanPoint at,
    @Nullable Amount count,
    @Nullable Amount gap,
    @Nullable Amount radius,
    @Nullable Rule.RepeatFacing facing,
    @Nullable Amount from,
    @Nullable Amount arc,
    @Nullable Amount turn,
    @Nullable Boolean refill)
    implements Edit, RingBuilder.With {

  /** Usual gap to the edge of a table, metres. */
  private static final double GAP = 0.1;

  @Override
  public void make(EditSession session) {
    Repeating r = Repeating.of(session, pieces, group, of);
    RingRule old = r.old(RingRule.class);
    Space space = session.space();
    String middle = around != null ? around : at == null && old != null ? old.around() : null;
    Piece about = middle != null && space.has(middle) ? space.piece(middle) : null;
    if (around != null && r.own().contains(around)) {
      throw new Refusal("It cannot go around itself; select only what is to go around it.");
    }
    if (around != null && about == null) {
      space.piece(around); // says that it is not there
    }
    if (old == null) {
      old = begun(r, about);
    }
    RingRule next = formed(space, r, old, about);
    r.lay(
        next.withCount(Repeating.count(count, old.count()))
            .withFrom(from == null ? old.from() : from.angle(old.from()))
            .withArc(arc == null ? old.arc() : arc.angle(old.arc())),
        Boolean.TRUE.equals(refill));
  }

  /** As it begins, where nothing is said of it. */
  private RingRule begun(Repeating r, @Nullable Piece about) {
    if (about == null && at == null) {
      throw new Refusal("Say around what: click a piece or a point.");
    }
    Piece first = r.first();
    Spot centre =
        about != null ? middle(about) : new Spot(r.length(at.x(), 0), r.length(at.z(), 0));
    double high = first != null ? first.at().y() : r.high(centre);
    double begin = about == null ? 0 : about.turn();
    return new RingRule(
        new Spot(0, 0),
        null,
        List.of(),
        6,
        GAP,
        null,
        Rule.RepeatFacing.inward,
        begin,
        360,
        0,
        high);
  }

  /** Around what is said, with the edge, the radius and the facing that are said. */
  private RingRule formed(Space space, Repeating r, RingRule old, @Nullable Piece about) {
    RingRule next = old;
    if (about != null) {
      next = next.withAround(about.id()).withOutline(outline(space, about)).withAt(middle(about));
    } else if (at != null) {
      next =
          next.withAround(null)
              .withOutline(List.of())
              .withAt(new Spot(r.length(at.x(), 0), r.length(at.z(), 0)));
    }
    if (gap != null) {
      next = next.withGap(r.length(gap, old.gap())).withRadius(null);
    }
    if (radius != null) {
      next = next.withRadius(positive(r.length(radius, old.radius() == null ? 0 : old.radius())));
    }
    if (facing != null) {
      Piece first = r.first();
      double fixed = facing == Rule.RepeatFacing.fixed && first != null ? first.turn() : 0;
      next = next.withFacing(facing).withTurn(fixed);
    }
    if (turn != null) {
      next = next.withTurn(turn.angle(old.turn()));
    }
    return next;
  }

  private static double positive(double radius) {
    if (!(radius > 0)) {
      throw new Refusal("A radius is more than 0.");
    }
    return radius;
  }

  private static Spot middle(Piece p) {
    return new Spot(p.at().x(), p.at().z());
  }

  private static List<Spot> outline(Space space, Piece p) {
    List<Spot> all = new ArrayList<>();
    for (Coordinate c :
        Footprint.of(space.shapes().mesh(p), p.pose()).convexHull().getCoordinates()) {
      all.add(new Spot(c.x, c.y));
    }
    return all;
  }
}
