package pied.core.carry;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.distance.DistanceOp;
import pied.core.Refusal;
import pied.core.carry.Answer.Measure;
import pied.core.carry.Answer.Snap;
import pied.core.carry.Question.Keep;
import pied.core.catalog.Article;
import pied.core.catalog.Mounting;
import pied.core.measure.Marks;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.piece.Lean;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Inset;
import pied.core.place.Rest;
import pied.core.place.Resting;
import pied.core.place.Surfaces;
import pied.core.place.Target;
import pied.core.size.Size;
import pied.core.solid.Body;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Wall;
import pied.core.units.Entry;
import pied.core.units.LengthUnit;

/**
 * Answers where what is carried goes: to the surface that is pointed at, held by what is near,
 * stopped by what is in the way. Nothing is changed by asking.
 */
public final class Carrying {
  /** Ids of copies and of a new piece begin so. */
  public static final String IN_HAND = "in hand";

  private static final double FAR = 1e4;

  /**
   * What comes up by more than this, or than half its height, would not be where it was put,
   * metres.
   */
  private static final double LOW = 0.05;

  private static final List<Side> ROUND = List.of(Side.left, Side.right, Side.front, Side.back);

  private final Space space;
  private final Question q;
  private final LengthUnit unit;
  private final List<Piece> members = new ArrayList<>();
  private final Set<String> own = new HashSet<>();
  private final Piece lead;
  private final Article article;
  private final boolean fresh;
  private final Vec grip;
  private final Vec mark;
  private final Resting resting;
  private final Surfaces surfaces;

  // what is found out, step by step
  private Vec at;
  private double turn;
  private Lean lean;
  private On on = On.NOTHING;
  private Body carrier;
  private String place = "";
  private int levels = 1;
  private String stopped = "";
  private String over = "";
  private String exact = "";
  private String refused = "";
  private final Distances distances;
  private final List<Snaps.Held> found = new ArrayList<>();
  private final List<Snap> snaps = new ArrayList<>();

  private Carrying(Space space, Question q, LengthUnit unit) {
    this.space = space;
    this.q = q;
    this.unit = unit;
    fresh = q.article() != null;
    if (fresh) {
      members.add(fresh());
    } else {
      gather();
    }
    lead = members.get(members.size() - 1);
    article = space.article(lead);
    at = lead.at();
    turn = lead.turn() + q.turn();
    lean = lead.lean();
    grip = q.picked() == null ? Vec.ZERO : lead.pose().unapply(q.picked());
    mark = mark(grip, lead.size());
    resting = new Resting(space, article, lead.size(), lead.lean(), own);
    surfaces = new Surfaces(space, article, own);
    distances = new Distances(space, own);
  }

  /**
   * Where what is carried goes.
   *
   * @param unit of what is typed and said
   * @throws Refusal if the question cannot be answered at all
   */
  public static Answer answer(Space space, Question q, LengthUnit unit) {
    return new Carrying(space, q, unit).run();
  }

  private Piece fresh() {
    Article a = space.shapes().catalog().article(q.article());
    Size size = q.size() == null ? a.size() : q.size();
    a.check(a.name(), size);
    Map<String, String> finishes = q.finishes() == null ? Map.of() : q.finishes();
    return new Piece(IN_HAND, a.id(), a.name(), size, Vec.ZERO, 0, On.NOTHING, finishes);
  }

  private void gather() {
    Set<String> chosen = new LinkedHashSet<>(q.pieces());
    chosen.forEach(space::piece);
    String first = q.pieces().get(q.pieces().size() - 1);
    Set<String> all = new LinkedHashSet<>(space.carriedBy(chosen));
    all.addAll(chosen);
    all.remove(first);
    all.add(first); // the lead is last
    for (String id : all) {
      Piece p = space.piece(id);
      members.add(q.copy() ? copied(p, all) : p);
    }
    if (!q.copy()) {
      own.addAll(all);
    }
  }

  private static Piece copied(Piece p, Set<String> all) {
    On on = p.on();
    boolean along = on.kind() == On.Kind.piece && all.contains(on.id());
    return p.withId(IN_HAND + " " + p.id()).withOn(along ? On.piece(IN_HAND + " " + on.id()) : on);
  }

  /** The nearest of the 27 marks of a piece's box, in its own frame. */
  private static Vec mark(Vec p, Size s) {
    return new Vec(
        nearest(p.x(), -s.width() / 2, s.width() / 2),
        nearest(p.y(), 0, s.height()),
        nearest(p.z(), -s.depth() / 2, s.depth() / 2));
  }

  private static double nearest(double v, double lo, double hi) {
    double n = Math.rint(2 * (v - lo) / (hi - lo));
    return lo + Math.max(0, Math.min(2, n)) * (hi - lo) / 2;
  }

  // ---- the way to an answer

  private Answer run() {
    try {
      aim();
      if (q.against() == null && !toMark()) {
        keep();
        typed();
        stop();
      }
    } catch (Refusal e) {
      refused = e.getMessage();
    }
    List<Piece> pieces = placed(at);
    Piece now = pieces.get(pieces.size() - 1);
    List<Measure> measures = measures(now);
    String where = over.isEmpty() ? place : place + ", overlapping " + over;
    return new Answer(
        pieces,
        lead.id(),
        on,
        where,
        levels,
        now.pose().apply(mark),
        fresh ? null : lead.pose().apply(mark),
        way(),
        measures,
        List.copyOf(snaps),
        stopped,
        refused);
  }

  /** All that is carried, when the lead stands at a place. */
  private List<Piece> placed(Vec where) {
    Pose about = Pose.of(Vec.ZERO, turn - lead.turn());
    List<Piece> all = new ArrayList<>();
    for (Piece p : members) {
      if (p == lead) {
        Piece now = p.withAt(where).withTurn(turn).withLean(lean).withOn(on);
        all.add(now.withHeld(q.against() != null && on.kind() == On.Kind.piece));
      } else {
        Vec off = about.direct(p.at().minus(lead.at()));
        all.add(p.withAt(where.plus(off)).withTurn(p.turn() + turn - lead.turn()));
      }
    }
    return q.each() ? eachAtRest(all) : all;
  }

  /** Each comes down, or up, for itself; what stands on it goes along. */
  private List<Piece> eachAtRest(List<Piece> all) {
    Map<String, Double> rise = new HashMap<>();
    Map<String, On> to = new HashMap<>();
    for (Piece p : all) {
      Article a = space.article(p);
      if (onAnother(p) || a.mounting() != Mounting.STANDS || p.id().equals(lead.id())) {
        continue;
      }
      Rest rest = new Resting(space, a, p.size(), p.lean(), own).settle(p.at(), p.turn());
      if (!rest.on().equals(On.NOTHING)) {
        rise.put(p.id(), rest.at().y() - p.at().y());
        to.put(p.id(), rest.on());
      }
    }
    List<Piece> settled = new ArrayList<>();
    for (Piece p : all) {
      Piece root = p;
      while (onAnother(root)) {
        String id = root.on().id();
        root = all.stream().filter(o -> o.id().equals(id)).findFirst().orElseThrow();
      }
      double up = rise.getOrDefault(root.id(), 0.0);
      settled.add(p.withAt(p.at().plus(new Vec(0, up, 0))).withOn(to.getOrDefault(p.id(), p.on())));
    }
    return settled;
  }

  private boolean onAnother(Piece p) {
    return p.on().kind() == On.Kind.piece
        && members.stream().anyMatch(m -> m.id().equals(p.on().id()));
  }

  private Pose pose(Vec where) {
    return Piece.pose(where, turn, lean);
  }

  // ---- aiming

  private void aim() {
    if (q.against() != null) {
      against();
      return;
    }
    switch (article.mounting()) {
      case STANDS -> stand();
      case WALL -> fix();
      case HANGS -> hang();
      case OPENING -> inset();
    }
  }

  private Target target() {
    return q.at() != null
        ? new Target.OnPlan(q.at())
        : new Target.Sight(q.ray().from(), q.ray().along().unit());
  }

  /** Where it was picked up, seen from the middle of the underside. */
  private Vec offset() {
    return pose(Vec.ZERO).direct(grip);
  }

  private void stand() {
    Surfaces.Surface s = surface();
    carrier = s.body();
    on = s.on();
    place =
        (on.kind() == On.Kind.piece ? "on " + space.nameOf(on) : "on " + space.nameOf(on))
            + (s.point().y() > 1e-6 ? ", " + unit.fine(s.point().y()) + " high" : "");
    Vec g = offset();
    at = new Vec(s.point().x() - g.x(), s.point().y(), s.point().z() - g.z());
  }

  private Surfaces.Surface surface() {
    if (q.at() != null) {
      return level(inRoom(q.at()), q.down());
    }
    if (q.level()) {
      return inPlane();
    }
    try {
      return surfaces.at(target(), lead.size().depth());
    } catch (Refusal e) {
      // pointing past the room means the floor as far that way as there is
      Vec d = q.ray().along();
      double t = Math.abs(d.y()) < 1e-9 ? 0 : -q.ray().from().y() / d.y();
      if (t <= 0) {
        throw e;
      }
      Vec p = q.ray().from().plus(d.times(t));
      return level(inRoom(new Spot(p.x(), p.z())), Integer.MAX_VALUE);
    }
  }

  private Surfaces.Surface level(Spot spot, int down) {
    List<Surfaces.Surface> all = surfaces.levels(spot);
    if (all.isEmpty()) {
      throw new Refusal("There is no floor under that point; choose one inside the room.");
    }
    levels = all.size();
    return all.get(Math.min(down, all.size() - 1));
  }

  /** The point itself, or the nearest over the floor. */
  private Spot inRoom(Spot spot) {
    Geometry floor = space.shell().floor();
    var here = floor.getFactory().createPoint(new Coordinate(spot.x(), spot.z()));
    if (floor.contains(here)) {
      return spot;
    }
    Coordinate near = DistanceOp.nearestPoints(floor, here)[0];
    var middle = floor.getCentroid();
    // a hair inside, so that there is floor under it
    double dx = middle.getX() - near.x;
    double dz = middle.getY() - near.y;
    double l = Math.max(1e-9, Math.hypot(dx, dz));
    return new Spot(near.x + 1e-4 * dx / l, near.y + 1e-4 * dz / l);
  }

  /** In a level drawing: the highest surface at or below the pointer, in the plane of the mark. */
  private Surfaces.Surface inPlane() {
    Vec p = planePoint();
    List<Surfaces.Surface> all = surfaces.levels(inRoom(new Spot(p.x(), p.z())));
    if (all.isEmpty()) {
      throw new Refusal("There is no floor under that point; choose one inside the room.");
    }
    double under = p.y() - offset().y() + Math.max(q.near(), 0.02);
    return all.stream()
        .filter(s -> s.point().y() <= under)
        .findFirst()
        .orElse(all.get(all.size() - 1));
  }

  /** Where the sight of a level drawing meets the upright plane through the mark. */
  private Vec planePoint() {
    Vec d = q.ray().along().unit();
    Vec through = fresh ? q.ray().from().along(d, 1) : lead.pose().apply(grip);
    double t = through.minus(q.ray().from()).dot(d);
    return q.ray().from().along(d, t);
  }

  private void fix() {
    Wall wall = resting.wall(target());
    Spot spot = resting.spot(target(), wall);
    turn = wall.turn();
    Vec g = offset();
    Vec t = wall.along();
    double half = Math.min(lead.size().width(), wall.length()) / 2;
    double s = wall.station(spot) - g.dot(t);
    s = Math.max(half, Math.min(wall.length() - half, s));
    double usual = article.usualHeight(lead.size().height());
    double y = fresh ? usual : lead.at().y();
    if (q.ray() != null) {
      double seen = height(wall);
      y = Double.isNaN(seen) || fresh ? y : seen - g.y();
    }
    double most = wall.height() - lead.size().height();
    y = Math.max(0, Math.min(most, y));
    at = wall.from().at(y).along(t, s).along(wall.inward(), lead.size().depth() / 2);
    on = On.wall(wall.name());
    place = "on " + space.wallName(wall.name());
  }

  /** How high on a wall one points; NaN past it. */
  private double height(Wall wall) {
    Vec d = q.ray().along().unit();
    double rate = wall.inward().dot(d);
    if (Math.abs(rate) < 1e-9) {
      return Double.NaN;
    }
    double t = -wall.off(new Spot(q.ray().from().x(), q.ray().from().z())) / rate;
    return t > 0 ? q.ray().from().y() + t * d.y() : Double.NaN;
  }

  private void hang() {
    Vec g = offset();
    Spot pointed;
    if (q.level()) {
      Vec p = planePoint();
      pointed = new Spot(p.x(), p.z());
    } else {
      pointed = resting.hangs(target());
    }
    Rest rest = resting.hangAt(inRoom(pointed.plus(-g.x(), -g.z())), turn);
    at = rest.at();
    on = rest.on();
    place = "hanging from " + space.nameOf(on);
  }

  private void inset() {
    Opening o = Inset.at(space.shell(), target());
    Rest rest = Inset.rest(space.shell(), o);
    at = rest.at();
    turn = rest.turn();
    on = rest.on();
    place = "in " + space.nameOf(on);
  }

  /** A side of it goes flat onto the face that is pointed at, without going into it. */
  private void against() {
    FaceDown.Result r = new FaceDown(space, lead, q, own).place();
    at = r.at();
    turn = r.turn();
    lean = r.lean();
    on = r.on();
    place = r.words();
  }

  // ---- mark to mark

  /** Its mark goes exactly to the mark that is pointed at; whether there is one. */
  private boolean toMark() {
    if (!q.marks()) {
      return false;
    }
    double within = Math.max(0.05, 2 * q.near());
    Marks.Mark there =
        q.at() != null
            ? Marks.nearest(space, q.at(), within, own)
            : Marks.nearest(space, q.ray().from(), q.ray().along().unit(), within, own);
    if (there == null) {
      return false;
    }
    Vec to = there.at().minus(pose(Vec.ZERO).direct(mark));
    boolean stands = article.mounting() == Mounting.STANDS;
    boolean flat = q.at() != null || mark.y() == 0 && !q.level();
    at = flat && stands ? new Vec(to.x(), at.y(), to.z()) : to;
    exact = "on " + there.words();
    if (flat && stands) {
      onto();
      rest(true);
    } else {
      on = Resting.of(space, now()).carrier(pose(at));
    }
    return true;
  }

  // ---- keeping to a direction

  private Vec kept() {
    if (q.keep() == null || fresh) {
      return null;
    }
    Wall wall = wallBy(lead.at());
    return switch (q.keep()) {
      case across -> new Vec(1, 0, 0);
      case deep -> new Vec(0, 0, 1);
      case height -> Vec.UP;
      case along -> wall == null ? new Vec(1, 0, 0) : wall.along();
      case away -> wall == null ? new Vec(0, 0, 1) : wall.inward();
    };
  }

  private Wall wallBy(Vec p) {
    Spot here = new Spot(p.x(), p.z());
    Wall best = null;
    for (Wall w : space.shell().faces()) {
      best = best == null || w.distance(here) < best.distance(here) ? w : best;
    }
    return best;
  }

  private void keep() {
    Vec way = kept();
    if (way == null) {
      return;
    }
    if (q.keep() == Keep.height) {
      double y = at.y();
      if (q.level() || q.ray() != null && article.mounting() == Mounting.WALL) {
        y = q.level() ? planePoint().y() - offset().y() : at.y();
      }
      at = new Vec(lead.at().x(), Math.max(0, y), lead.at().z());
      on = article.mounting() == Mounting.WALL ? lead.on() : On.NOTHING;
      carrier = null;
      return;
    }
    double by = at.minus(lead.at()).dot(way);
    Vec line = lead.at().along(way, by);
    at = new Vec(line.x(), article.mounting() == Mounting.WALL ? lead.at().y() : at.y(), line.z());
    if (article.mounting() == Mounting.STANDS) {
      Surfaces.Surface under = under(at, lead.at().y());
      carrier = under == null ? carrier : under.body();
      on = under == null ? on : under.on();
      at = under == null ? at : new Vec(at.x(), under.point().y(), at.z());
      place = "on " + space.nameOf(on);
    }
  }

  /** The highest surface under a place that is no higher than so. */
  private Surfaces.Surface under(Vec where, double y) {
    for (Surfaces.Surface s : surfaces.levels(inRoom(new Spot(where.x(), where.z())))) {
      if (s.point().y() <= y + 0.05) {
        return s;
      }
    }
    return null;
  }

  // ---- holding

  private void hold() {
    if (q.near() == 0 || q.typed() != null || article.mounting() == Mounting.OPENING) {
      return;
    }
    if (q.keep() == Keep.height && article.mounting() != Mounting.WALL) {
      return;
    }
    Vec kept = kept();
    Vec u = Pose.of(Vec.ZERO, turn).direct(new Vec(1, 0, 0));
    Vec v = Pose.of(Vec.ZERO, turn).direct(new Vec(0, 0, 1));
    boolean onWall = article.mounting() == Mounting.WALL;
    boolean level = lean.by() == 0;
    boolean alongU = kept == null || Math.abs(kept.dot(u)) > 1 - 1e-9;
    boolean alongV = kept == null || Math.abs(kept.dot(v)) > 1 - 1e-9;
    if (alongU) {
      double half = lead.size().width() / 2;
      found.add(held(u, half, level ? Side.left : null, Side.right));
    }
    if (alongV && !onWall) {
      double half = lead.size().depth() / 2;
      Snaps.Held deep = held(v, half, level ? Side.back : null, Side.front);
      found.add(deep);
      if (alongU && deep != null && Math.abs(deep.by()) > 1e-9) {
        // what is round is elsewhere now to what is beside it
        double w = lead.size().width() / 2;
        Snaps.Held again = held(u, w, level ? Side.left : null, Side.right);
        found.set(0, again == null ? found.get(0) : again);
      }
    }
    if (onWall && (kept == null || q.keep() == Keep.height)) {
      Snaps.Held up = snaps(now()).upward(article.usualHeight(lead.size().height()));
      if (up != null) {
        at = at.plus(new Vec(0, up.by(), 0));
        found.add(up);
      }
    }
  }

  private Piece now() {
    return lead.withAt(at).withTurn(turn).withOn(on);
  }

  private Snaps snaps(Piece piece) {
    distances.at(piece);
    return new Snaps(space, piece, own, q.near(), unit, distances);
  }

  private Snaps.Held held(Vec axis, double half, Side low, Side high) {
    Snaps.Held h = snaps(now()).best(axis, half, low, high);
    if (h != null) {
      at = at.along(axis, h.by());
    }
    return h;
  }

  /**
   * What held it and still is so: stopping may have come in between, or one hold undone another.
   */
  private void say(Map<Side, Double> distances) {
    List<Snaps.Held> all =
        found.stream()
            .filter(h -> h != null && so(h, h.low(), distances) && so(h, h.high(), distances))
            .toList();
    if (all.size() == 2 && all.stream().allMatch(h -> h.wall() != null)) {
      List<String> walls = all.stream().map(Snaps.Held::wall).sorted().toList();
      String words = "in the corner of walls " + walls.get(0) + " and " + walls.get(1);
      snaps.add(new Snap(words, null, null));
      return;
    }
    for (Snaps.Held h : all) {
      snaps.add(new Snap(h.words(), h.from(), h.to()));
    }
  }

  private static boolean so(Snaps.Held h, Side side, Map<Side, Double> distances) {
    return side == null || Math.abs(distances.getOrDefault(side, FAR) - h.gap()) < Resting.CONTACT;
  }

  // ---- a number that was typed

  private void typed() {
    if (q.typed() == null) {
      return;
    }
    Question.Typed t = q.typed();
    Entry entry = Entry.length(t.text(), unit);
    switch (t.slot()) {
      case "moved" -> {
        Vec way = t.way() == null ? way() : t.way();
        if (way == null || fresh || !(way.length() > 0.5)) {
          throw new Refusal("Move it a little first, so that the direction is known.");
        }
        Vec to = lead.at().along(way.unit(), entry.from(0));
        at = new Vec(to.x(), Math.abs(way.y()) > 0.5 ? to.y() : at.y(), to.z());
        onto();
      }
      case "underside" -> at = new Vec(at.x(), entry.from(at.y()), at.z());
      case "upperside" -> {
        double h = lead.size().height();
        at = new Vec(at.x(), entry.from(at.y() + h) - h, at.z());
      }
      default -> aside(t.slot(), entry);
    }
  }

  private void aside(String slot, Entry entry) {
    Side side;
    try {
      side = Side.valueOf(slot);
    } catch (IllegalArgumentException e) {
      throw new Refusal("“" + slot + "” is no distance that is shown.");
    }
    Reach r = Reach.of(space, now(), side, own, FAR);
    if (r == null) {
      throw new Refusal("There is nothing " + side.words() + " to be at a distance from.");
    }
    double wanted = entry.from(r.distance());
    if (wanted < 0) {
      throw new Refusal("A distance is 0 or more.");
    }
    Vec way = Pose.of(Vec.ZERO, turn).direct(side.outward());
    at = at.along(way, r.distance() - wanted);
    onto();
  }

  /** What stands comes down onto what is beneath its new place. */
  private void onto() {
    if (article.mounting() == Mounting.STANDS) {
      Surfaces.Surface under = under(at, at.y());
      if (under != null) {
        carrier = under.body();
        on = under.on();
        at = new Vec(at.x(), under.point().y(), at.z());
      }
    }
  }

  // ---- stopping, and coming to rest

  private void stop() {
    boolean exactly = q.typed() != null;
    boolean raised = exactly && q.typed().slot().endsWith("side");
    if (article.mounting() == Mounting.OPENING) {
      return;
    }
    boolean stands = article.mounting() == Mounting.STANDS;
    boolean rests = stands && !raised && q.keep() != Keep.height;
    boolean stops = !q.free() && !exactly;
    if (stops) {
      push(stands ? carrier : null);
    }
    Vec pushed = at;
    hold();
    Vec heldAt = at;
    if (stops && !at.equals(pushed)) {
      push(stands ? carrier : null);
    }
    Vec held = at;
    if (rests && !rest(!stops) && stops) {
      // it has no room in its carrier here, but perhaps a little aside
      String low = refused;
      On meant = on;
      at = held.plus(new Vec(0, 2 * Resting.CONTACT, 0));
      refused = "";
      push(null);
      if (!rest(false) || !on.equals(meant)) {
        at = held;
        on = meant;
        refused = low;
      }
    }
    if (level(at.minus(heldAt)).length() > 3 * Resting.CONTACT) {
      found.removeIf(h -> h != null && h.low() == null); // the lines it was held in are left
    }
  }

  private void push(Body except) {
    Vec motion = fresh ? Vec.ZERO : level(at.minus(lead.at()));
    Vec from = at;
    Stops.Push push =
        new Stops(space, own, motion, ways()).out(by -> placed(from.plus(by)), except, lead.id());
    at = at.plus(push.by());
    if (push.stopped() != null) {
      stopped = space.nameOf(push.stopped().id());
    }
    if (!push.free()) {
      refused = "There is no room for it there; " + stopped + " is in the way.";
    }
  }

  private static Vec level(Vec v) {
    return new Vec(v.x(), 0, v.z());
  }

  /** The directions in which it may be pushed: level; on a wall along it and up and down. */
  private List<Vec> ways() {
    if (article.mounting() == Mounting.WALL) {
      Vec t = Pose.of(Vec.ZERO, turn).direct(new Vec(1, 0, 0));
      return List.of(t, t.times(-1), Vec.UP, Vec.DOWN);
    }
    Vec kept = kept();
    return kept == null || q.keep() == Keep.height ? null : List.of(kept, kept.times(-1));
  }

  /** Comes to rest: up out of its carrier, and down onto what is beneath; whether it can. */
  private boolean rest(boolean anyhow) {
    Rest rest = resting.settle(at, turn, b -> anyhow || b == carrier);
    if (rest.on().equals(On.NOTHING)) {
      on = On.NOTHING;
      refused = refused.isEmpty() ? "There is nothing beneath it there." : refused;
      return false;
    }
    double most = Math.max(LOW, lead.size().height() / 2);
    if (carrier != null && rest.at().y() - at.y() > most && !anyhow) {
      refused = "There is no room for it there; " + space.nameOf(carrier.id()) + " is too low.";
      return false;
    }
    at = rest.at();
    if (!rest.on().equals(on)) {
      on = rest.on();
      place = "on " + space.nameOf(on);
    }
    return true;
  }

  // ---- what is told

  /**
   * The direction in which it is moved, the nearest of the room's and its own; null if it is not.
   */
  private Vec way() {
    if (fresh) {
      return null;
    }
    Vec moved = at.minus(lead.at());
    if (moved.length() < 1e-6) {
      return null;
    }
    List<Vec> ways = new ArrayList<>();
    Vec kept = kept();
    if (kept != null) {
      ways.add(kept);
    } else {
      ways.add(new Vec(1, 0, 0));
      ways.add(new Vec(0, 0, 1));
      ways.add(Vec.UP);
      Wall wall = wallBy(lead.at());
      if (wall != null) {
        ways.add(wall.along());
        ways.add(wall.inward());
      }
    }
    Vec best = null;
    for (Vec w : ways) {
      for (double sign : new double[] {1, -1}) {
        Vec d = w.times(sign);
        best = best == null || moved.dot(d) > moved.dot(best) + 1e-9 ? d : best;
      }
    }
    return best;
  }

  private List<Measure> measures(Piece now) {
    List<Measure> all = new ArrayList<>();
    Map<Side, Double> found = new EnumMap<>(Side.class);
    distances.at(now);
    Vec way = way();
    if (way != null) {
      double moved = at.minus(lead.at()).dot(way);
      Vec from = lead.pose().apply(mark);
      all.add(new Measure("moved", moved, unit.fine(moved), "moved", from, from.along(way, moved)));
    }
    for (Side side : ROUND) {
      Reach r = distances.of(side);
      if (r != null) {
        found.put(side, r.distance());
        if (r.distance() < -Resting.CONTACT && over.isEmpty()) {
          over = r.toName();
        }
      }
      if (r != null && !(article.mounting() == Mounting.WALL && side == Side.back)) {
        all.add(
            new Measure(
                side.name(),
                r.distance(),
                unit.fine(r.distance()),
                "to " + r.toName() + " " + side.words(),
                r.fromPoint(),
                r.toPoint()));
      }
    }
    say(found);
    if (!exact.isEmpty()) {
      snaps.add(new Snap(exact, null, null));
    }
    double top = now.at().y() + now.size().height();
    all.add(new Measure("underside", at.y(), unit.fine(at.y()), "underside", null, null));
    all.add(new Measure("upperside", top, unit.fine(top), "top", null, null));
    return all;
  }
}
