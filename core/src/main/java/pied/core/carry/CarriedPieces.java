package pied.core.carry;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.catalog.Article;
import pied.core.catalog.Mounting;
import pied.core.material.Finishes;
import pied.core.piece.Form;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Stance;
import pied.core.place.Hung;
import pied.core.place.Inset;
import pied.core.place.Rest;
import pied.core.place.Resting;
import pied.core.size.Size;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.space.Locked;
import pied.core.space.Space;
import pied.core.units.Entry;
import pied.core.units.Refusal;

/**
 * All that is carried: what was picked up with what stands on it, copies of that, or a new piece.
 *
 * @param members as they were when picked up, the lead last
 * @param own ids of pieces that are not in the way, since they are carried themselves
 * @param lead the one that follows the pointer
 * @param article of the lead
 * @param grip where the lead was picked up, in its own frame
 * @param mark the mark of the lead nearest to that, in its own frame
 */
record CarriedPieces(
    Space space,
    boolean fresh,
    List<Piece> members,
    Set<String> own,
    Piece lead,
    Article article,
    Vec grip,
    Vec mark) {

  /** Ids of copies and of a new piece begin so. */
  static final String IN_HAND = "in hand";

  static CarriedPieces of(Space space, CarryAsk q) {
    boolean fresh = q.article() != null;
    Set<String> own = new HashSet<>();
    List<Piece> members = fresh ? List.of(fresh(space, q)) : gathered(space, q, own);
    Piece lead = members.get(members.size() - 1);
    Vec grip = q.picked() == null ? Vec.ZERO : lead.pose().unapply(q.picked());
    Vec mark = mark(grip, lead.size());
    return new CarriedPieces(space, fresh, members, own, lead, space.article(lead), grip, mark);
  }

  private static Piece fresh(Space space, CarryAsk q) {
    Article a = space.shapes().catalog().article(q.article());
    Size size = q.size() == null ? usual(space, q, a) : q.size();
    a.check(a.name(), size);
    Finishes finishes = a.finishes(q.finishes());
    return new Piece(
        IN_HAND, a.name(), new Form(a.id(), size), new Stance(Vec.ZERO, 0), On.NOTHING, finishes);
  }

  /** What sits in an opening fills the one pointed at; all else has its natural size. */
  private static Size usual(Space space, CarryAsk q, Article a) {
    if (a.mounting() != Mounting.OPENING) {
      return a.size();
    }
    try {
      return Inset.size(space.shell(), Inset.at(space.shell(), q.target()), a);
    } catch (Refusal e) {
      return a.size(); // where it goes is asked again, and then it is said why not
    }
  }

  private static List<Piece> gathered(Space space, CarryAsk q, Set<String> own) {
    Set<String> chosen = new LinkedHashSet<>(q.pieces());
    chosen.forEach(space::piece);
    String first = q.pieces().get(q.pieces().size() - 1);
    Set<String> all = new LinkedHashSet<>(space.carriedBy(chosen));
    all.addAll(chosen);
    all.remove(first);
    all.add(first); // the lead is last
    List<Piece> members = new ArrayList<>();
    for (String id : all) {
      Piece p = space.piece(id);
      members.add(q.copy() ? copied(p, all) : p);
    }
    if (!q.copy()) {
      List<Piece> locked = members.stream().filter(space::locked).toList();
      if (!locked.isEmpty()) {
        throw new Locked(space, locked);
      }
      own.addAll(all);
    }
    return members;
  }

  /** A copy that is carried, as what it is a copy of. */
  static Piece original(Piece copy) {
    On on = copy.on();
    return copy.withId(original(copy.id()))
        .withOn(on.kind() == On.OnKind.piece ? On.piece(original(on.id())) : on);
  }

  private static String original(String id) {
    return id.startsWith(IN_HAND + " ") ? id.substring(IN_HAND.length() + 1) : id;
  }

  private static Piece copied(Piece p, Set<String> all) {
    On on = p.on();
    boolean along = on.kind() == On.OnKind.piece && all.contains(on.id());
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

  /**
   * How the lead comes to rest; what stands on something may go on doing so.
   *
   * @param tops whether onto whatever carries
   */
  Resting resting(boolean tops) {
    boolean onPiece = lead.on().kind() == On.OnKind.piece;
    return new Resting(space, lead.form(), lead.lean(), own, tops || onPiece);
  }

  boolean stands() {
    return article.mounting() == Mounting.STANDS;
  }

  boolean hangs() {
    return article.mounting() == Mounting.HANGS;
  }

  /** Whether it hung in mid-air, on lines of its own, when it was picked up. */
  boolean onLines() {
    return !fresh && hangs() && Hung.of(space, lead).onLines();
  }

  /** Whether it was held at a height when it was picked up, with nothing under it. */
  boolean held() {
    return !fresh && lead.on().held();
  }

  boolean onWall() {
    return article.mounting() == Mounting.WALL;
  }

  /** Whether it may be turned: what sits on a wall or in an opening looks where that looks. */
  boolean turns(CarryAsk q) {
    return q.against() != null || stands() || hangs();
  }

  /** The turn that was typed: how it faces, or how far it is turned in the face it is on. */
  double turned(CarryAsk q) {
    Entry entry = Entry.angle(q.typed().text());
    double start = lead.turn();
    return q.against() != null ? entry.from(q.by()) : entry.from(start + q.by()) - start;
  }

  /** All of it, when the lead stands so. */
  List<Piece> placed(Footing s) {
    List<Piece> all = new ArrayList<>(members.size());
    Pose about = Pose.of(Vec.ZERO, s.turn() - lead.turn());
    for (Piece p : members) {
      if (p == lead) {
        all.add(lead(s));
      } else {
        Vec off = about.direct(p.at().minus(lead.at()));
        all.add(p.withAt(s.at().plus(off)).withTurn(p.turn() + s.turn() - lead.turn()));
      }
    }
    return all;
  }

  /** The lead, when it stands so. */
  Piece lead(Footing s) {
    return lead.withStance(s.stance()).withOn(s.on()).withAttached(false);
  }

  /**
   * Each comes down, or up, for itself; what stands on it goes along.
   *
   * @param tops whether onto whatever carries
   */
  List<Piece> eachAtRest(List<Piece> all, boolean tops) {
    Map<String, Double> rise = new HashMap<>();
    Map<String, On> to = new HashMap<>();
    for (Piece p : all) {
      Article a = space.article(p);
      if (onAnother(p) || a.mounting() != Mounting.STANDS || p.id().equals(lead.id())) {
        continue;
      }
      Rest rest = new Resting(space, p.form(), p.lean(), own, tops).settle(p.at(), p.turn());
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
      settled.add(p.moved(new Vec(0, up, 0)).withOn(to.getOrDefault(p.id(), p.on())));
    }
    return settled;
  }

  /** Of all that is carried the lead and what stands on that. */
  List<Piece> onLead(List<Piece> all) {
    Set<String> on = new HashSet<>(Set.of(lead.id()));
    List<Piece> own = new ArrayList<>(List.of(all.get(all.size() - 1)));
    boolean more = all.size() > 1;
    while (more) {
      more = false;
      for (Piece p : all) {
        if (p.on().kind() == On.OnKind.piece && on.contains(p.on().id()) && on.add(p.id())) {
          more = own.add(p);
        }
      }
    }
    return own;
  }

  /** Whether it stands on something that is carried too. */
  private boolean onAnother(Piece p) {
    return p.on().kind() == On.OnKind.piece
        && members.stream().anyMatch(m -> m.id().equals(p.on().id()));
  }
}
