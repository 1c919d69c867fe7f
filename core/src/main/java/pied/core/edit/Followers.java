package pied.core.edit;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.Tolerance;
import pied.core.piece.Lean;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.FloorLean;
import pied.core.place.Hung;
import pied.core.place.Inset;
import pied.core.place.Rest;
import pied.core.place.Resting;
import pied.core.size.Size;
import pied.core.solid.Body;
import pied.core.solid.Vec;
import pied.core.space.KeptPart;
import pied.core.space.Opening;
import pied.core.space.Part;
import pied.core.space.PartName;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * Lets the pieces follow when another shell was put onto the bench: those it concerns, and no
 * others. A piece is concerned if its carrier is another body now, or the floor or ceiling is
 * another where it is.
 */
public final class Followers {
  /** Most pieces named in one sentence. */
  private static final int NAMED = 4;

  private final EditSession session;
  private final Space before;
  private final Shell shell;
  private final Following following;
  private final Ground ground;
  private final Set<String> altered;
  private final List<String> settling = new ArrayList<>();

  /**
   * What came of it that one may want to do something about.
   *
   * @param against pieces that stood against walls that have moved, by those walls
   * @param outside ids of pieces that are outside now
   */
  public record Followed(List<StoodAgainst> against, List<String> outside) {}

  /**
   * Pieces that stood against a wall that has moved.
   *
   * @param by how far
   */
  public record StoodAgainst(String wall, List<Piece> pieces, Vec by) {}

  /**
   * @param renamed walls that have other names now, by those they had
   */
  Followers(EditSession session, Space after, Map<String, String> renamed) {
    this.session = session;
    this.shell = after.shell();
    before = session.space();
    unlocked();
    following = new Following(before, shell, renamed);
    ground = new Ground(before.shell(), shell);
    altered = altered(before.shellBodies(), after.shellBodies());
  }

  /** What is locked is not built otherwise. */
  private void unlocked() {
    List<PartName> locked = new ArrayList<>();
    for (KeptPart k : session.filing().parts()) {
      Part was = before.shell().part(k.part());
      boolean alters = was != null && !was.equals(shell.part(k.part()));
      if (alters && before.locked(k.part())) {
        locked.add(k.part());
      }
    }
    BuiltIn.unlocked(before, locked);
  }

  /** Parts that are other bodies now, came or went. */
  private static Set<String> altered(List<Body> old, List<Body> now) {
    Set<Body.Solid> same = new HashSet<>();
    old.forEach(b -> same.add(b.solid()));
    Set<String> ids = new HashSet<>();
    old.forEach(b -> ids.add(b.id()));
    for (Body b : now) {
      if (same.contains(b.solid())) {
        ids.remove(b.id());
      } else {
        ids.add(b.id());
      }
    }
    return ids;
  }

  Followed follow() {
    sayApron();
    for (Piece p : before.pieces()) {
      switch (p.on().kind()) {
        case opening -> inset(p);
        case floor, platform -> stands(p);
        case wall, ceiling, bar, nothing -> hangs(p);
        case held -> {} // what was typed stays
        case piece -> {} // goes where its carrier goes
      }
    }
    List<String> outside = settle();
    BuiltIn.forgetGone(session);
    return new Followed(following.againstMoved(), outside);
  }

  /** The stage has come in front of its setting line, over its apron. */
  private void sayApron() {
    double was = front(before.shell());
    double is = front(shell);
    if (shell.stage() == null
        || shell.stage().apron() == null
        || is <= was + Tolerance.SAME
        || is < Tolerance.FINE) {
      return;
    }
    double left = shell.stage().apron().depth() - is;
    String over = session.unit().fine(is) + " in front of the setting line";
    session.say(
        left > Tolerance.FINE
            ? Message.of(
                "The stage now reaches {}, over its apron, of which {} is left.",
                over,
                session.unit().fine(left))
            : Message.of("The stage now reaches {}, and nothing is left of its apron.", over));
  }

  /** How far the outline reaches in front of the setting line, metres. */
  private static double front(Shell shell) {
    return shell.outline().stream().mapToDouble(Spot::z).max().orElseThrow();
  }

  private void stands(Piece p) {
    Vec by = following.carried(p);
    boolean moves = !by.equals(Vec.ZERO);
    if (!moves && !ground.isAnother(before.bodies().body(p.id()).box())) {
      return;
    }
    session.follows(p.id());
    if (moves) {
      session.shift(List.of(p.id()), by);
    }
    if (!p.lean().equals(Lean.NONE) && FloorLean.same(p.lean(), FloorLean.of(before, p))) {
      Piece now = session.piece(p.id());
      session.set(now.withLean(FloorLean.of(session.space(), now)));
    }
    settling.add(p.id());
  }

  private void hangs(Piece p) {
    On on = p.on();
    String wall = on.kind() == On.OnKind.wall ? following.nameNow(on.id()) : null;
    Vec by = on.kind() == On.OnKind.ceiling ? withCeiling(p) : following.carried(p);
    boolean concerned =
        !by.equals(Vec.ZERO)
            || switch (on.kind()) {
              case wall -> !wall.equals(on.id()) || altered.contains(PartName.wall(on.id()).text());
              case bar -> altered.contains(new PartName(PartName.PartKind.bar, on.id()).text());
              case ceiling -> ground.isAnother(before.bodies().body(p.id()).box());
              default -> true;
            };
    if (!concerned) {
      return;
    }
    session.follows(p.id());
    if (wall != null) {
      session.set(p.withOn(On.wall(wall)));
    }
    session.shift(List.of(p.id()), by);
    Piece now = session.piece(p.id());
    On touched = Resting.of(session.space(), now).carrier(now.pose());
    if (!touched.equals(now.on())) {
      session.set(now.withOn(touched));
      if (touched.equals(On.NOTHING)) {
        session.say("{} touches nothing that could carry it.", p.name());
      }
    }
  }

  /** What hangs from the ceiling goes with it; on lines of its own it stays, if there is room. */
  private Vec withCeiling(Piece p) {
    Vec by = following.carried(p);
    if (by.equals(Vec.ZERO)) {
      return by;
    }
    Hung hung = Hung.of(before, p);
    return hung.onLines() ? new Vec(0, Math.min(0, hung.below() + by.y()), 0) : by;
  }

  /** What sits in an opening goes with it, and fills it again if it did before. */
  private void inset(Piece p) {
    Shell shell = session.space().shell();
    Opening was = before.shell().opening(p.on().id());
    Opening now = shell.opening(p.on().id());
    if (was != null && was.equals(now) && !altered.contains(PartName.wall(now.wall()).text())) {
      return;
    }
    session.follows(p.id());
    if (was == null || now == null || now.kind() != Opening.OpeningKind.opening) {
      session.set(p.withOn(On.NOTHING));
      session.say("{} has lost its opening.", p.name());
      return;
    }
    Rest rest = Inset.rest(shell, now);
    boolean turned = p.turn() != Inset.rest(before.shell(), was).turn();
    session.set(p.withAt(rest.at()).withTurn(rest.turn() + (turned ? 180 : 0)));
    boolean filled = p.size().width() == was.width() && p.size().height() == was.height();
    if (filled && (was.width() != now.width() || was.height() != now.height())) {
      try {
        Size size = Inset.size(shell, now, session.space().article(p));
        session.set(session.piece(p.id()).withSize(size));
      } catch (Refusal e) {
        session.say(e.in(session.unit()).getMessage());
      }
    }
  }

  /** Lets pieces come to rest on another floor; those left outside are named together. */
  private List<String> settle() {
    List<String> outside = new ArrayList<>();
    List<String> inside = new ArrayList<>();
    for (String id : settling) {
      Piece p = session.piece(id);
      boolean in = session.space().shell().holds(new Spot(p.at().x(), p.at().z()));
      (in ? inside : outside).add(id);
      if (!in) {
        session.set(p.withOn(On.NOTHING));
      }
    }
    session.settle(inside, false);
    if (outside.isEmpty()) {
      return outside;
    }
    List<String> names = outside.stream().map(id -> session.piece(id).name()).toList();
    String some = String.join(", ", names.subList(0, Math.min(NAMED, names.size())));
    String more = names.size() > NAMED ? " and " + (names.size() - NAMED) + " more" : "";
    session.say("{}{}{} now outside.", some, more, names.size() == 1 ? " is" : " are");
    return outside;
  }
}
