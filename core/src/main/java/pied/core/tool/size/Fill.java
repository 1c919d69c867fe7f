package pied.core.tool.size;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.catalog.Article;
import pied.core.catalog.Mounting;
import pied.core.catalog.Sizing;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.measure.Hold;
import pied.core.measure.Side;
import pied.core.piece.Form;
import pied.core.piece.Piece;
import pied.core.place.Inset;
import pied.core.place.Rest;
import pied.core.place.Resting;
import pied.core.size.Measure;
import pied.core.size.Size;
import pied.core.solid.Bodies;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * Makes a piece fill what is free: from what is on one side of it to what is on the other, be that
 * walls, pieces, floor or ceiling; or an opening.
 *
 * <p>What is free is found from a slice at its middle, so that it does not matter whether it
 * reaches too far at present.
 *
 * @param measures which grow or shrink; null with an opening
 * @param opening whether it fills the plain opening that is nearest
 * @param clearance left free on each side that it fills up to, of the height above it only; null
 *     for none
 */
@JsonTypeName("fill")
@RecordBuilder
public record Fill(
    String piece,
    @Nullable List<Measure> measures,
    @Nullable Boolean opening,
    @Nullable Amount clearance,
    @Nullable OutOfRange beyond)
    implements Edit, FillBuilder.With {
  /** A slice is so thick, metres, or a tenth of the piece. */
  private static final double SLICE = 0.01;

  @Override
  public String ofParts() {
    return WhyNot.SIZED;
  }

  @Override
  public void make(EditSession session) {
    Piece p = session.chosen(piece);
    double free = session.length(clearance, 0);
    if (!(free >= 0 && free < Size.MOST)) {
      throw new Refusal("A clearance is 0 or more; {} was asked for.", Message.length(free));
    }
    if (Boolean.TRUE.equals(opening)) {
      opening(session, p, free);
    } else if (measures == null || measures.isEmpty()) {
      throw new Refusal("Say what is to be filled: the width, the depth or the height.");
    } else {
      for (Measure m : new LinkedHashSet<>(measures)) {
        between(session, session.piece(piece), m, free);
      }
    }
    session.sayOverlaps(List.of(piece));
  }

  // ---- between two things

  private void between(EditSession session, Piece p, Measure m, double free) {
    Space space = session.space();
    boolean up = m == Measure.height;
    boolean stands = space.article(p).mounting() == Mounting.STANDS && !p.attached();
    double slice = Math.min(SLICE, m.of(p.size()) / 10);
    double from = up && stands ? 0 : (m.of(p.size()) - slice) / 2;
    Vec way = SpaceSize.way(m);
    Vec half = new Vec(p.size().width() / 2, 0, p.size().depth() / 2);
    Vec low = new Vec(-half.x(), 0, -half.z());
    Vec high = new Vec(half.x(), p.size().height(), half.z());
    Vec start = low.plus(way.times(from));
    Vec end = high.plus(way.times(from + slice - m.of(p.size())));
    Mesh thin = Mesh.ofBox(start, end);
    Side back = m == Measure.width ? Side.left : up ? Side.under : Side.back;
    double before = up && stands ? 0 : reach(space, p, thin, back);
    double after = reach(space, p, thin, back.opposite());
    double all = before + slice + after;
    double wanted = all - (up && stands ? free : 2 * free);
    if (wanted <= 0) {
      throw new Refusal(
          "Only {} is free there, so that clearance leaves nothing.", Message.length(all));
    }
    Size next = m.with(p.size(), fitting(session, p, m, wanted));
    Form form = Fitting.form(session, p, next, beyond, this::withBeyond);
    double left = wanted - m.of(form.size());
    if (Math.abs(left) > Resting.CONTACT) {
      session.say("{} stays free.", Message.length(left));
    }
    // what is left free is so on both sides alike; what stands goes on standing
    double lowEnd = up && stands ? 0 : from - before + (all - m.of(form.size())) / 2;
    Hold stays = Hold.FOOT.with(m, -1);
    Vec shift = p.pose().direct(way.times(lowEnd));
    session.shift(List.of(p.id()), shift);
    Fitting.give(session, session.piece(p.id()), form, stays);
  }

  /** What comes in steps takes the largest that fits. */
  private static double fitting(EditSession session, Piece p, Measure m, double wanted) {
    Sizing.SizingRule rule = session.space().article(p).sizing().rule(m);
    boolean steps = !(rule instanceof Sizing.Free) && rule.least() < rule.most();
    double nearest = rule.nearest(wanted);
    if (!steps || nearest <= wanted + Tolerance.SAME || wanted < rule.least()) {
      return steps ? nearest : wanted;
    }
    if (rule instanceof Sizing.SizingSteps s) {
      return nearest - s.by();
    }
    return ((Sizing.Listed) rule)
        .values().stream().filter(v -> v <= wanted).reduce((a, b) -> b).orElse(wanted);
  }

  /** How far a slice can go that way. */
  private static double reach(Space space, Piece p, Mesh slice, Side side) {
    Set<String> own = space.withCarried(List.of(p.id()));
    Vec way = p.pose().direct(side.outward());
    Bodies.Met met = space.bodies().travel(slice, p.pose(), way, 1e4, b -> !own.contains(b.id()));
    if (met.stop().overlapping()) {
      throw new Refusal(
          "{} is where the middle of {} is; move it to where it is to fit.",
          space.nameOf(met.body().id()),
          p.name());
    }
    if (!met.stop().meets()) {
      throw new Refusal("There is nothing {} that it could reach to.", side.words());
    }
    return met.stop().distance();
  }

  // ---- an opening

  private void opening(EditSession session, Piece p, double free) {
    Space space = session.space();
    Spot here = new Spot(p.at().x(), p.at().z());
    Opening o = Inset.nearest(space.shell(), here);
    Article article = space.article(p);
    Rest rest = Inset.rest(space.shell(), o);
    Size wanted = new Size(o.width() - 2 * free, p.size().depth(), o.height() - free);
    MeasureReader.sound(wanted.width());
    MeasureReader.sound(wanted.height());
    Form form = Fitting.form(session, p, wanted, beyond, this::withBeyond);
    boolean other = Math.cos(Math.toRadians(p.turn() - rest.turn())) < 0;
    double turn = other ? rest.turn() + 180 : rest.turn(); // it goes on facing where it does
    session.shift(List.of(p.id()), rest.at().minus(p.at()));
    session.set(session.piece(p.id()).withTurn(turn));
    Fitting.give(session, session.piece(p.id()), form, Hold.FOOT);
    if (article.mounting() == Mounting.OPENING) {
      session.set(session.piece(p.id()).withOn(rest.on()));
    }
    session.say("{} fills the {} in {}.", p.name(), o.words(), space.shell().wallName(o.wall()));
  }
}
