package pied.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.operation.distance.DistanceOp;
import pied.core.Effort;
import pied.core.Names;
import pied.core.Refusal;
import pied.core.Text;
import pied.core.carry.Answer;
import pied.core.carry.Carrying;
import pied.core.carry.Question;
import pied.core.catalog.Article;
import pied.core.catalog.Mounting;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.piece.Lean;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Inset;
import pied.core.place.Rest;
import pied.core.place.Resting;
import pied.core.place.Target;
import pied.core.size.Size;
import pied.core.solid.Bodies;
import pied.core.solid.Body;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.Shell;
import pied.core.space.ShellBodies;
import pied.core.space.Sound;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.units.LengthUnit;

/**
 * Applies edits to a space: what comes out is a new space and what there is to say about it, or a
 * {@link Refusal}, and then nothing has happened.
 */
public final class Editor {
  /** Most pieces a space may hold. */
  public static final int MOST_PIECES = 20_000;

  /** Most edits of one request. */
  public static final int MOST_EDITS = 5_000;

  private final LengthUnit unit;
  private final Supplier<String> newId;
  private final Effort effort;
  private final List<String> said = new ArrayList<>();
  private final List<Offer> offers = new ArrayList<>();
  private String part;
  private Space space;

  private Editor(Space space, LengthUnit unit, Supplier<String> newId, Effort effort) {
    this.effort = effort;
    this.space = space;
    this.unit = unit;
    this.newId = newId;
  }

  /**
   * The space after, the change, remarks for the person in sentences, what one may want to do next,
   * and the id of the body of the shell that was built or altered last, or null.
   */
  public record Outcome(
      Space space, Change change, List<String> said, List<Offer> offers, String part) {}

  /**
   * Applies several edits as one.
   *
   * @param unit what a bare number in a typed text means
   * @param newId makes ids for new pieces
   * @throws Refusal if one of them cannot be done; it names which if there are several
   */
  public static Outcome apply(
      Space space, List<Edit> edits, LengthUnit unit, Supplier<String> newId) {
    return apply(space, edits, unit, newId, Effort.ANY);
  }

  /**
   * The same, within a time.
   *
   * @throws Refusal also if the time is up
   */
  public static Outcome apply(
      Space space, List<Edit> edits, LengthUnit unit, Supplier<String> newId, Effort effort) {
    if (edits.isEmpty()) {
      throw new Refusal("There is no edit in this request.");
    }
    if (edits.size() > MOST_EDITS) {
      throw new Refusal(
          "A request may have up to "
              + MOST_EDITS
              + " edits; this one has "
              + edits.size()
              + ". Send them in parts.");
    }
    Editor editor = new Editor(space, unit, newId, effort);
    for (int i = 0; i < edits.size(); i++) {
      try {
        editor.apply(edits.get(i));
      } catch (Refusal e) {
        throw edits.size() == 1 ? e : new Refusal("Edit " + (i + 1) + ": " + e.getMessage());
      }
    }
    Change change = Change.between(space, editor.space);
    Sound.pieces(editor.space, change.changed());
    return new Outcome(editor.space, change, editor.said, editor.offers, editor.part);
  }

  private void apply(Edit edit) {
    effort.goOn();
    if (edit instanceof Edit.Place e) {
      place(e);
    } else if (edit instanceof Edit.PutDown e) {
      putDown(e);
    } else if (edit instanceof Edit.SettleOnto e) {
      together(Together.onto(space, some(e.pieces()), e.onto(), effort), e.pieces());
    } else if (edit instanceof Edit.Beside e) {
      double gap = length(e.gap(), 0);
      boolean stay = Boolean.TRUE.equals(e.stay());
      together(
          Together.beside(space, some(e.pieces()), e.side(), gap, e.flush(), stay), e.pieces());
    } else if (edit instanceof Edit.Level e) {
      together(Together.level(space, some(e.pieces()), e.side()), e.pieces());
    } else if (edit instanceof Edit.Attach e) {
      attach(some(e.pieces()), e.to());
    } else if (edit instanceof Edit.MoveBy e) {
      move(e);
    } else if (edit instanceof Edit.MoveTo e) {
      moveTo(e);
    } else if (edit instanceof Edit.SetDistance e) {
      setDistance(e);
    } else if (edit instanceof Edit.Settle e) {
      settle(some(e.pieces()), true);
    } else if (edit instanceof Edit.Turn e) {
      turn(e);
    } else if (edit instanceof Edit.Resize e) {
      some(e.pieces()).forEach(id -> size(id, need(e.size(), "size"), e.hold()));
    } else if (edit instanceof Edit.Rename e) {
      space = space.with(space.piece(e.piece()).withName(Text.name("A piece", e.name())));
    } else if (edit instanceof Edit.Recolour e) {
      some(e.pieces()).forEach(id -> recolour(id, e.part(), e.colour()));
    } else if (edit instanceof Edit.Copy e) {
      copy(some(e.pieces()), e.by());
    } else if (edit instanceof Edit.Remove e) {
      remove(some(e.pieces()));
    } else if (edit instanceof Edit.LeanOver e) {
      lean(e);
    } else if (edit instanceof Edit.BringIn e) {
      some(e.pieces()).forEach(this::bringIn);
    } else if (edit instanceof ShellEdit e) {
      shell(e);
    } else {
      throw new Refusal("This edit is not known.");
    }
  }

  // ---- placing

  private void place(Edit.Place e) {
    Article article = space.shapes().catalog().article(e.article());
    if (space.pieces().size() >= MOST_PIECES) {
      throw new Refusal("The space holds " + MOST_PIECES + " pieces; no more fit into one space.");
    }
    Size size = article.size();
    if (e.size() != null) {
      size = measured(size, e.size(), article);
      article.check(article.name(), size);
    }
    String id = e.piece() == null ? newId.get() : e.piece();
    fresh(id);
    Target target;
    if (e.ray() != null) {
      Vec along = need(e.ray().along(), "ray.along");
      Vec from = need(e.ray().from(), "ray.from");
      target = new Target.Sight(from, Sound.sight(from, along));
    } else {
      Edit.PlanPoint p = need(e.at(), "at");
      target =
          new Target.OnPlan(
              new Spot(need(p.x(), "at.x").length(unit, 0), need(p.z(), "at.z").length(unit, 0)));
    }
    if (article.mounting() == Mounting.OPENING && e.size() == null) {
      size = Inset.size(space.shell(), Inset.at(space.shell(), target), article);
    }
    Double turn = e.turn() == null ? null : e.turn().angle(0);
    Rest rest = new Resting(space, article, size, Set.of()).at(target, turn);
    String name = e.name() == null ? freeName(article.name()) : Text.name("A piece", e.name());
    Map<String, String> finishes = new HashMap<>();
    if (e.finishes() != null) {
      e.finishes().forEach((part, colour) -> finishes.put(part, article.finish(part, colour)));
    }
    Piece piece =
        new Piece(id, article.id(), name, size, rest.at(), 0, rest.on(), finishes)
            .withTurn(rest.turn());
    space = space.with(piece);
    if (rest.aside() > 0.005) {
      said.add(name + " was set " + unit.fine(rest.aside()) + " aside, where it is free.");
    }
    sayOverlaps(List.of(id));
  }

  private void putDown(Edit.PutDown e) {
    Question q = need(e.carry(), "carry");
    Answer a = Carrying.answer(space, q, unit);
    if (!a.refused().isEmpty()) {
      throw new Refusal(a.refused());
    }
    Map<String, String> ids = new HashMap<>();
    if (q.copy() || q.article() != null) {
      if (space.pieces().size() + a.pieces().size() > MOST_PIECES) {
        throw new Refusal("The space holds at most " + MOST_PIECES + " pieces.");
      }
      a.pieces().forEach(p -> ids.put(p.id(), newId.get()));
      if (e.piece() != null && q.article() != null) {
        ids.put(a.lead(), e.piece());
      }
    }
    List<String> put = new ArrayList<>();
    for (Piece p : a.pieces()) {
      Piece own = p;
      if (!ids.isEmpty()) {
        String id = ids.get(p.id());
        fresh(id);
        boolean along = p.on().kind() == On.Kind.piece && ids.containsKey(p.on().id());
        On on = along ? On.piece(ids.get(p.on().id())) : p.on();
        own = p.withId(id).withOn(on).withName(freeName(p.name().replaceAll(" \\d+$", "")));
      }
      space = space.with(own);
      put.add(own.id());
    }
    List<String> tops = tops(put);
    String lead = put.get(put.size() - 1);
    tops.remove(lead);
    carriers(tops);
    sayOverlaps(tops.isEmpty() ? List.of(lead) : put);
  }

  /** An id for a new piece, which nothing here has. */
  private void fresh(String id) {
    if (space.has(Sound.id(id))) {
      throw new Refusal("There is a piece with the id “" + id + "” already.");
    }
  }

  /** The name itself, or with the first free number behind it. */
  private String freeName(String name) {
    Set<String> taken = new HashSet<>();
    space.pieces().forEach(p -> taken.add(p.name()));
    return Names.free(name, taken);
  }

  // ---- moving

  private void move(Edit.MoveBy e) {
    List<String> ids = some(e.pieces());
    Piece lead = space.piece(ids.get(ids.size() - 1));
    Vec v = Places.read(need(e.by(), "by"), Vec.ZERO, Vec.ZERO, unit);
    boolean stands = space.article(lead).mounting() == Mounting.STANDS;
    boolean steps = Boolean.TRUE.equals(e.stops()) && stands && !lead.held();
    if (steps && v.length() > 0) {
      putDown(new Edit.PutDown(Steps.to(space, ids, v), null));
    } else {
      moveBy(ids, v);
    }
  }

  private void moveBy(List<String> ids, Vec v) {
    shift(ids, v);
    if (v.y() == 0) {
      settle(tops(ids), false);
    } else {
      carriers(ids);
    }
    sayOverlaps(ids);
  }

  private void moveTo(Edit.MoveTo e) {
    Piece p = space.piece(e.piece());
    Edit.Place3 to = need(e.to(), "to");
    Vec at = Places.read(to, p.at(), space.shell().datum(), unit);
    shift(List.of(p.id()), at.minus(p.at()));
    if (to.y() == null) {
      settle(List.of(p.id()), false);
    } else {
      carriers(List.of(p.id()));
    }
    sayOverlaps(List.of(p.id()));
  }

  private void setDistance(Edit.SetDistance e) {
    Piece p = space.piece(e.piece());
    Side side = need(e.side(), "side");
    Reach reach = Reach.of(space, p, side);
    if (reach == null) {
      throw new Refusal(
          "For " + p.name() + " there is nothing " + side.words() + " to be at a distance from.");
    }
    double wanted = need(e.distance(), "distance").length(unit, reach.distance());
    if (wanted < 0) {
      throw new Refusal(
          "A distance is 0 or more; "
              + unit.fine(wanted)
              + " would push "
              + p.name()
              + " into "
              + reach.toName()
              + ".");
    }
    Vec way = p.pose().direct(side.outward());
    double by = reach.distance() - wanted;
    if (by < 0) {
      Reach behind = Reach.of(space, p, side.opposite());
      if (behind != null && behind.distance() >= 0 && behind.distance() < -by - 1e-9) {
        throw new Refusal(
            "Only "
                + unit.fine(reach.distance() + behind.distance())
                + " is free between "
                + reach.toName()
                + " and "
                + behind.toName()
                + "; "
                + unit.fine(wanted)
                + " does not fit.");
      }
    }
    shift(List.of(p.id()), way.times(by));
    if (side == Side.top || side == Side.under) {
      carriers(List.of(p.id()));
    } else {
      settle(List.of(p.id()), false);
    }
    sayOverlaps(List.of(p.id()));
  }

  /** Moves pieces and all they carry by a vector. */
  private void shift(Collection<String> ids, Vec by) {
    alter(space.withCarried(ids), p -> p.withAt(p.at().plus(by)));
  }

  private void alter(Collection<String> ids, UnaryOperator<Piece> how) {
    List<Piece> next = new ArrayList<>();
    for (String id : ids) {
      Piece p = how.apply(space.piece(id));
      Sound.place(p.name(), p.at());
      next.add(p);
    }
    space = space.with(next);
  }

  /** Of some pieces those that are not carried by others of them. */
  private List<String> tops(List<String> ids) {
    Set<String> carried = space.carriedBy(ids);
    List<String> tops = new ArrayList<>(ids);
    tops.removeIf(
        id -> {
          On on = space.piece(id).on();
          return on.kind() == On.Kind.piece && (ids.contains(on.id()) || carried.contains(on.id()));
        });
    return tops;
  }

  // ---- resting

  /**
   * Lets pieces come to rest, the lowest first, each with what it carries.
   *
   * @param always also those that touch their carrier are tried again
   */
  private void settle(Collection<String> ids, boolean always) {
    List<String> order = new ArrayList<>(ids);
    order.sort(Comparator.comparingDouble(id -> space.piece(id).at().y()));
    for (String id : order) {
      effort.goOn();
      Piece p = space.piece(id);
      Article article = space.article(p);
      Resting resting = Resting.of(space, p);
      On touched = resting.carrier(p.pose());
      if (p.held() && !touched.equals(On.NOTHING)) {
        continue;
      }
      if (article.mounting() != Mounting.STANDS) {
        if (!touched.equals(On.NOTHING)) {
          space = space.with(p.withOn(touched));
        } else {
          rehang(p, resting, article);
        }
        continue;
      }
      Rest rest = resting.settle(p.at(), p.turn());
      if (rest.on().equals(On.NOTHING)) {
        said.add(p.name() + " is outside; there is no floor beneath it.");
        space = space.with(p.withOn(On.NOTHING));
        continue;
      }
      double by = rest.at().y() - p.at().y();
      if (Math.abs(by) <= (always ? 0 : Resting.CONTACT)) {
        space = space.with(p.withOn(rest.on()));
        continue;
      }
      shift(List.of(id), new Vec(0, by, 0));
      space = space.with(space.piece(id).withOn(rest.on()));
      if (Math.abs(by) > 0.001) {
        said.add(p.name() + " came to rest on " + space.nameOf(rest.on()) + ".");
      }
    }
  }

  private void rehang(Piece p, Resting resting, Article article) {
    if (!space.shell().holds(new Spot(p.at().x(), p.at().z()))) {
      space = space.with(p.withOn(On.NOTHING));
      return;
    }
    Rest rest = resting.at(new Target.OnPlan(new Spot(p.at().x(), p.at().z())), p.turn());
    Vec at = rest.at();
    if (article.mounting() == Mounting.WALL) {
      at = new Vec(at.x(), p.at().y(), at.z()); // back to the wall, at its own height
    }
    space = space.with(p.withAt(at).withTurn(rest.turn()).withOn(rest.on()));
    said.add(p.name() + " went to " + space.nameOf(rest.on()) + ".");
  }

  /** Works out anew what carries pieces that were put exactly somewhere. */
  private void carriers(Collection<String> ids) {
    for (String id : ids) {
      effort.goOn();
      Piece p = space.piece(id);
      On on = Resting.of(space, p).carrier(p.pose());
      space = space.with(p.withOn(on));
      if (on.equals(On.NOTHING)) {
        said.add(p.name() + " touches nothing that could carry it.");
      }
    }
  }

  // ---- turning

  private void turn(Edit.Turn e) {
    List<String> ids = tops(some(e.pieces()));
    if ((e.to() == null) == (e.by() == null)) {
      throw new Refusal("Say what to turn to, or what by.");
    }
    for (String id : ids) {
      Piece p = space.piece(id);
      double to = e.to() != null ? e.to().angle(p.turn()) : p.turn() + e.by().angle(0);
      double by = to - p.turn();
      Pose about = Pose.of(Vec.ZERO, by);
      Vec middle = p.at();
      alter(
          space.withCarried(List.of(id)),
          q -> {
            Vec at = q.id().equals(id) ? q.at() : middle.plus(about.direct(q.at().minus(middle)));
            return q.withAt(at).withTurn(q.id().equals(id) ? to : q.turn() + by);
          });
      if (!p.lean().equals(Lean.NONE) && near(p.lean(), floorLean(p))) {
        Piece turned = space.piece(id); // it stays square on a sloping floor
        space = space.with(turned.withLean(floorLean(turned)));
      }
    }
    if (ids.stream().allMatch(id -> space.article(space.piece(id)).mounting() == Mounting.STANDS)) {
      settle(ids, false);
    } else {
      carriers(ids);
    }
    sayOverlaps(ids);
  }

  // ---- several, by one of them

  private void together(Together.Done done, List<String> ids) {
    space = done.space();
    said.addAll(done.said());
    sayOverlaps(ids);
  }

  /** Attaches pieces to another, where they are; with null takes them off. */
  private void attach(List<String> ids, String to) {
    for (String id : ids) {
      Piece p = space.piece(id);
      if (to == null) {
        space = space.with(p.withHeld(false));
        carriers(List.of(id));
        continue;
      }
      Piece carrier = space.piece(to);
      if (to.equals(id) || space.carriedBy(id).contains(to)) {
        throw new Refusal(
            carrier.name() + " is carried by " + p.name() + "; it cannot carry it as well.");
      }
      space = space.with(p.withOn(On.piece(to)).withHeld(true));
      said.add(p.name() + " goes where " + carrier.name() + " goes.");
    }
  }

  // ---- leaning

  private void lean(Edit.LeanOver e) {
    List<String> ids = some(e.pieces());
    for (String id : ids) {
      Piece p = space.piece(id);
      Lean lean;
      if (Boolean.TRUE.equals(e.withFloor())) {
        lean = floorLean(p);
      } else {
        double by = e.by() == null ? p.lean().by() : e.by().angle(p.lean().by());
        if (!(Math.abs(by) <= 180)) {
          throw new Refusal("A piece leans up to 180°.");
        }
        double toward =
            e.toward() == null ? p.lean().toward() : e.toward().angle(p.lean().toward());
        lean = by < 0 ? new Lean(toward + 180, -by) : new Lean(toward, by);
      }
      space = space.with(p.withLean(lean));
    }
    settle(tops(ids), true);
    settle(space.carriedBy(ids), true);
    sayOverlaps(ids);
  }

  /** How a piece leans that stands square on the surface beneath it. */
  private Lean floorLean(Piece p) {
    Vec from = p.at().plus(new Vec(0, p.size().height() / 2 + 0.05, 0));
    Bodies.RayMet met =
        space
            .bodies()
            .ray(
                from,
                Vec.DOWN,
                1e3,
                b ->
                    b.id().equals(ShellBodies.FLOOR)
                        || b.id().startsWith(ShellBodies.PLATFORM)
                        || b.id().startsWith(ShellBodies.FLIGHT));
    if (met == null || met.normal().y() > 1 - 1e-12) {
      return Lean.NONE;
    }
    Vec n = met.normal();
    double by = Math.toDegrees(Math.atan2(Math.hypot(n.x(), n.z()), n.y()));
    return new Lean(Math.toDegrees(Math.atan2(n.x(), n.z())) - p.turn(), by);
  }

  private static boolean near(Lean a, Lean b) {
    double t = Math.abs(a.toward() - b.toward()) % 360;
    return Math.abs(a.by() - b.by()) < 0.01 && (t < 0.01 || t > 359.99);
  }

  // ---- the shell

  private void shell(ShellEdit e) {
    Space before = space;
    ShellEditor.Result r = ShellEditor.apply(space, e, unit);
    space = space.with(r.shell());
    said.addAll(r.said());
    part = r.part();
    Following following = new Following(before, r.shell(), r.renamed());
    List<String> resettle = new ArrayList<>();
    for (Piece p : before.pieces()) {
      if (p.on().kind() == On.Kind.wall && !following.nameNow(p.on().id()).equals(p.on().id())) {
        space = space.with(space.piece(p.id()).withOn(On.wall(following.nameNow(p.on().id()))));
      }
      if (p.on().kind() == On.Kind.opening) {
        inset(p, before.shell());
        continue;
      }
      Vec by = following.carried(p);
      if (!by.equals(Vec.ZERO)) {
        shift(List.of(p.id()), by);
      }
      boolean stands = p.on().kind() == On.Kind.floor || p.on().kind() == On.Kind.platform;
      if (stands && following.floorChanged()) {
        if (!p.lean().equals(Lean.NONE)
            && near(p.lean(), new Editor(before, unit, newId, effort).floorLean(p))) {
          space = space.with(space.piece(p.id()).withLean(floorLean(space.piece(p.id()))));
        }
        resettle.add(p.id());
      } else if (p.on().kind() != On.Kind.piece && !stands) {
        On on = Resting.of(space, space.piece(p.id())).carrier(space.piece(p.id()).pose());
        if (!on.equals(space.piece(p.id()).on())) {
          space = space.with(space.piece(p.id()).withOn(on));
          if (on.equals(On.NOTHING)) {
            said.add(p.name() + " touches nothing that could carry it.");
          }
        }
      }
    }
    settleAfter(resettle);
    offers.addAll(following.offers());
  }

  /** What sits in an opening goes with it, and fills it again if it did before. */
  private void inset(Piece p, Shell before) {
    Opening was = before.opening(p.on().id());
    Opening now = space.shell().opening(p.on().id());
    if (was == null || now == null || now.kind() != Opening.Kind.opening) {
      space = space.with(p.withOn(On.NOTHING));
      said.add(p.name() + " has lost its opening.");
      return;
    }
    Rest rest = Inset.rest(space.shell(), now);
    boolean turned = p.turn() != Inset.rest(before, was).turn();
    space = space.with(p.withAt(rest.at()).withTurn(rest.turn() + (turned ? 180 : 0)));
    boolean filled = p.size().width() == was.width() && p.size().height() == was.height();
    if (filled && (was.width() != now.width() || was.height() != now.height())) {
      try {
        Size size = Inset.size(space.shell(), now, space.article(p));
        space = space.with(space.piece(p.id()).withSize(size));
      } catch (Refusal e) {
        said.add(e.getMessage());
      }
    }
  }

  /** Lets pieces come to rest on another floor; those left outside are named together. */
  private void settleAfter(List<String> ids) {
    List<String> outside = new ArrayList<>();
    List<String> inside = new ArrayList<>();
    for (String id : ids) {
      Piece p = space.piece(id);
      boolean in = space.shell().holds(new Spot(p.at().x(), p.at().z()));
      (in ? inside : outside).add(id);
      if (!in) {
        space = space.with(p.withOn(On.NOTHING));
      }
    }
    settle(inside, false);
    if (!outside.isEmpty()) {
      List<String> names = outside.stream().map(id -> space.piece(id).name()).toList();
      String some = String.join(", ", names.subList(0, Math.min(4, names.size())));
      said.add(
          (names.size() > 4 ? some + " and " + (names.size() - 4) + " more" : some)
              + (names.size() == 1 ? " is" : " are")
              + " now outside.");
      offers.add(
          new Offer(
              outside.size() == 1 ? "Bring it in" : "Bring them in",
              List.of(new Edit.BringIn(outside))));
    }
  }

  private void bringIn(String id) {
    Piece p = space.piece(id);
    double round = Math.hypot(p.size().width(), p.size().depth()) / 2;
    Coordinate near = null;
    for (double margin = round + 0.01; near == null; margin = margin > 0.02 ? margin / 2 : 0) {
      var free = space.shell().floor().buffer(-margin);
      if (!free.isEmpty()) {
        var here = free.getFactory().createPoint(new Coordinate(p.at().x(), p.at().z()));
        near = DistanceOp.nearestPoints(free, here)[0];
      }
    }
    Rest rest = Resting.of(space, p).at(new Target.OnPlan(new Spot(near.x, near.y)), p.turn());
    shift(List.of(id), rest.at().minus(p.at()));
    space = space.with(space.piece(id).withTurn(rest.turn()).withOn(rest.on()));
    said.add(p.name() + " stands on " + space.nameOf(rest.on()) + " again.");
    sayOverlaps(List.of(id));
  }

  // ---- sizing

  private Size measured(Size now, Edit.Measures m, Article article) {
    double[] asked = {
      m.width() == null ? Double.NaN : m.width().length(unit, now.width()),
      m.depth() == null ? Double.NaN : m.depth().length(unit, now.depth()),
      m.height() == null ? Double.NaN : m.height().length(unit, now.height())
    };
    for (double v : asked) {
      if (v <= 0) {
        throw new Refusal("A size must be more than zero; " + unit.fine(v) + " was asked for.");
      }
      if (v > Size.MOST) {
        throw new Refusal("Nothing here is larger than 100 m.");
      }
    }
    return article.sizing().follow(now, asked);
  }

  private void size(String id, Edit.Measures m, Side hold) {
    Piece p = space.piece(id);
    Article article = space.article(p);
    Size size = measured(p.size(), m, article);
    article.check(p.name(), size);
    Vec shift =
        new Vec(
            held(p, hold, Side.left, Side.right, size.width() - p.size().width()),
            0,
            held(p, hold, Side.back, Side.front, size.depth() - p.size().depth()));
    double up = size.height() - p.size().height();
    boolean fromTop = hold == Side.top || hold == null && article.mounting() == Mounting.HANGS;
    boolean fromMiddle =
        hold == null && article.mounting() == Mounting.WALL && !Double.isNaN(article.usualMiddle());
    double rise = fromTop ? -up : fromMiddle ? -up / 2 : 0;
    Vec at = p.at().plus(p.pose().direct(shift)).plus(new Vec(0, rise, 0));
    Set<String> carried = space.carriedBy(id);
    space = space.with(p.withSize(size).withAt(at));
    if (!carried.isEmpty()) { // what stands on it stays over its place and comes to rest again
      if (up > 0) {
        alter(carried, q -> q.withAt(q.at().plus(new Vec(0, up, 0))));
      }
      settle(carried, true);
    }
    carriers(List.of(id));
    sayOverlaps(List.of(id));
  }

  /**
   * How far the middle moves along one of the piece's own directions when it grows by so much: half
   * of it away from the side that holds.
   */
  private double held(Piece p, Side hold, Side low, Side high, double growth) {
    if (growth == 0) {
      return 0;
    }
    boolean holdsLow = hold == low;
    boolean holdsHigh = hold == high;
    if (hold == null) {
      holdsLow = touches(p, low);
      holdsHigh = !holdsLow && touches(p, high);
      if (space.article(p).mounting() == Mounting.WALL && low == Side.back) {
        holdsLow = true;
        holdsHigh = false;
      }
    }
    return holdsLow ? growth / 2 : holdsHigh ? -growth / 2 : 0;
  }

  private boolean touches(Piece p, Side side) {
    Reach r = Reach.of(space, p, side);
    return r != null && r.distance() < Resting.CONTACT;
  }

  // ---- finishes

  private void recolour(String id, String part, String colour) {
    Piece p = space.piece(id);
    Map<String, String> next = new HashMap<>(p.finishes());
    Article article = space.article(p);
    if (colour == null) {
      article.finish(part, "#000000"); // it must have that part
      next.remove(part);
    } else {
      next.put(part, article.finish(part, colour));
    }
    space = space.with(p.withFinishes(next));
  }

  // ---- copying and removing

  private void copy(List<String> ids, Edit.Place3 by) {
    List<String> tops = tops(ids);
    Map<String, String> twin = new HashMap<>();
    Set<String> all = space.withCarried(tops);
    all.forEach(id -> twin.put(id, newId.get()));
    if (space.pieces().size() + all.size() > MOST_PIECES) {
      throw new Refusal("The space holds at most " + MOST_PIECES + " pieces.");
    }
    double beside =
        tops.stream().mapToDouble(id -> space.piece(id).size().width()).max().orElse(0) + 0.1;
    List<Piece> made = new ArrayList<>();
    for (String id : all) {
      Piece p = space.piece(id);
      Vec v =
          by == null
              ? p.pose().direct(new Vec(beside, 0, 0))
              : new Vec(length(by.x(), 0), length(by.y(), 0), length(by.z(), 0));
      if (by == null && !tops.contains(id)) {
        Piece top = topOf(p, tops);
        v = top.pose().direct(new Vec(beside, 0, 0));
      }
      On on =
          p.on().kind() == On.Kind.piece && twin.containsKey(p.on().id())
              ? On.piece(twin.get(p.on().id()))
              : p.on();
      made.add(p.withId(twin.get(id)).withAt(p.at().plus(v)).withOn(on));
    }
    for (Piece p : made) {
      space = space.with(p.withName(freeName(p.name().replaceAll(" \\d+$", ""))));
    }
    List<String> copies = tops.stream().map(twin::get).toList();
    settle(copies, false);
    sayOverlaps(copies);
  }

  private Piece topOf(Piece p, List<String> tops) {
    Piece q = p;
    while (!tops.contains(q.id())) {
      q = space.piece(q.on().id());
    }
    return q;
  }

  private void remove(List<String> ids) {
    Set<String> left = space.carriedBy(ids);
    left.removeAll(Set.copyOf(ids));
    List<String> bereft =
        left.stream().filter(id -> ids.contains(space.piece(id).on().id())).toList();
    space = space.without(ids);
    settle(bereft, true);
  }

  // ---- words

  private void sayOverlaps(Collection<String> ids) {
    for (String id : ids) {
      effort.goOn();
      Piece p = space.piece(id);
      Set<String> own = space.withCarried(List.of(id));
      List<Body> met =
          space
              .bodies()
              .overlapping(
                  space.shapes().mesh(p), p.pose(), Resting.CONTACT, b -> !own.contains(b.id()));
      if (!met.isEmpty()) {
        said.add(p.name() + " overlaps " + space.nameOf(met.get(0).id()) + ".");
      }
    }
  }

  private List<String> some(List<String> ids) {
    if (ids == null || ids.isEmpty()) {
      throw new Refusal("No piece was named.");
    }
    if (ids.size() > MOST_PIECES) {
      throw new Refusal("A space holds at most " + MOST_PIECES + " pieces; more were named.");
    }
    ids.forEach(space::piece);
    return List.copyOf(new LinkedHashSet<>(ids));
  }

  private double length(Amount amount, double current) {
    return amount == null ? current : amount.length(unit, current);
  }

  private static <T> T need(T value, String name) {
    if (value == null) {
      throw new Refusal("The edit lacks “" + name + "”.");
    }
    return value;
  }
}
