package pied.core.tool.scatter;

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
import pied.core.edit.Wanting;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.space.Shell;
import pied.core.space.Spot;
import pied.core.tool.repeat.Repeating;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/**
 * Strews something over a floor, over tops and boards, or about a point; or adjusts what was strewn
 * so. What is not said is as it was.
 *
 * @param pieces what is repeated, by equal shares; it stays where it is, as one of them, unless it
 *     is said that they lie elsewhere
 * @param group id of the scatter to adjust
 * @param of articles to repeat instead, with their shares
 * @param onto ids of the pieces on which they lie; the floor if there are none
 * @param outline corners of the part of the floor
 * @param about the point about which they gather
 * @param radius how far from that they reach
 * @param count how many
 * @param density how many to the square metre, instead
 * @param least gap between any two
 * @param turn degrees
 * @param turning degrees by which each is turned more or less at most
 * @param sizing percent by which each is larger or smaller at most
 * @param off least gap to what is there
 * @param seed a whole number; the same one strews them in the same way
 * @param another true: by the next seed
 * @param refill whether places that were taken out are filled again
 */
@JsonTypeName("scatter")
@RecordBuilder
public record Scatter(
    @Nullable List<String> pieces,
    @Nullable String group,
    @Nullable List<RepeatedArticle> of,
    @Nullable List<String> onto,
    @Nullable List<PlanPoint> outline,
    @Nullable PlanPoint about,
    @Nullable Amount radius,
    @Nullable Amount count,
    @Nullable Amount density,
    @Nullable Amount least,
    @Nullable Amount turn,
    @Nullable Amount turning,
    @Nullable Amount sizing,
    @Nullable Amount off,
    @Nullable Amount seed,
    @Nullable Boolean another,
    @Nullable Boolean refill)
    implements Edit, ScatterBuilder.With {

  /** Usual least gap, metres. */
  private static final double LEAST = 0.02;

  @Override
  public void make(EditSession session) {
    Repeating r = Repeating.of(session, pieces, group, of);
    ScatterRule old = r.old(ScatterRule.class);
    if (old == null) {
      Piece first = r.first();
      double turn = first == null ? 0 : first.turn();
      old = new ScatterRule(List.of(), List.of(), null, 1, 12, null, LEAST, turn, 180, 0, 0, 1);
    }
    ScatterRule next = where(r, old);
    if (count != null) {
      next = next.withCount(Repeating.count(count, old.count())).withDensity(null);
    }
    if (density != null) {
      double d = density.length(LengthUnit.M, old.density() == null ? 0 : old.density());
      if (!(d > 0 && d <= 10_000)) {
        throw new Refusal("So many to the square metre is more than 0.");
      }
      next = next.withDensity(d);
    }
    long seeded = seed == null ? old.seed() : Repeating.count(seed, (int) old.seed());
    next =
        next.withLeast(least == null ? old.least() : r.length(least, old.least()))
            .withOff(off == null ? old.off() : r.length(off, old.off()))
            .withTurn(turn == null ? old.turn() : turn.angle(old.turn()))
            .withTurning(turning == null ? old.turning() : turning.angle(old.turning()))
            .withSizing(sizing == null ? old.sizing() : percent(sizing, old.sizing()))
            .withSeed(Boolean.TRUE.equals(another) ? seeded + 1 : seeded);
    ScatterRule rule = next;
    r.lay(next, Boolean.TRUE.equals(refill), r.begins().stream().allMatch(p -> lies(p, rule)));
  }

  /** Whether a piece lies already where it is said that they shall lie; anywhere if nothing is. */
  private static boolean lies(Piece p, ScatterRule rule) {
    Spot at = new Spot(p.at().x(), p.at().z());
    if (!rule.onto().isEmpty()) {
      return p.on().kind() == On.OnKind.piece && rule.onto().contains(p.on().id());
    }
    if (!rule.outline().isEmpty()) {
      var figure = Shell.figure(rule.outline());
      return figure.covers(figure.getFactory().createPoint(new Coordinate(at.x(), at.z())));
    }
    return rule.about() == null || rule.about().distance(at) <= rule.radius();
  }

  private static double percent(Amount a, double current) {
    String text = a.text() == null ? null : a.text().strip().replaceAll("\\s*%$", "");
    double v = text == null ? a.number() : Amount.typed(text).angle(current * 100);
    return v / 100;
  }

  private ScatterRule where(Repeating r, ScatterRule old) {
    ScatterRule next = old;
    if (onto != null) {
      for (String id : onto) {
        if (r.own().contains(id)) {
          throw new Refusal("It cannot lie on itself; select only what is to be strewn.");
        }
        r.session().piece(id);
      }
      next = next.withOnto(onto).withOutline(List.of()).withAbout(null);
    }
    if (outline != null) {
      List<Spot> spots = new ArrayList<>();
      for (PlanPoint p : outline) {
        spots.add(new Spot(r.length(p.x(), 0), r.length(p.z(), 0)));
      }
      if (spots.size() < 3) {
        throw new Wanting("Click the corners of the part of the floor; three at least.");
      }
      if (spots.size() > 500) {
        throw new Refusal("An outline has 3 to 500 corners.");
      }
      next = next.withOutline(spots).withOnto(List.of()).withAbout(null);
    }
    if (about != null) {
      next =
          next.withAbout(new Spot(r.length(about.x(), 0), r.length(about.z(), 0)))
              .withOnto(List.of())
              .withOutline(List.of());
    }
    return radius == null ? next : next.withRadius(r.length(radius, old.radius()));
  }
}
