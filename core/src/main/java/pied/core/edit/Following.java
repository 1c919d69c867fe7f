package pied.core.edit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import pied.core.Tolerance;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.solid.Bodies;
import pied.core.solid.Vec;
import pied.core.space.Bar;
import pied.core.space.Flight;
import pied.core.space.PartName;
import pied.core.space.Partition;
import pied.core.space.Platform;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Wall;

/**
 * What becomes of the pieces when the shell changes: what is fixed to a wall, hangs from the
 * ceiling or a bar, or stands on a platform goes with it; what merely stood against a wall is
 * offered to go along.
 */
final class Following {
  /** What stands no farther from a wall stands against it, metres. */
  private static final double AGAINST = 0.005;

  private final Space before;
  private final Shell after;
  private final Map<String, String> renamed;
  private final Map<On, Vec> known = new HashMap<>();

  Following(Space before, Shell after, Map<String, String> renamed) {
    this.before = before;
    this.after = after;
    this.renamed = renamed;
  }

  String nameNow(String wall) {
    return renamed.getOrDefault(wall, wall);
  }

  /** How far the carrier of a piece has moved; zero if it has not, or is gone. */
  Vec carried(Piece p) {
    boolean sided =
        p.on().kind() == On.OnKind.wall
            && after.partitions().stream().anyMatch(x -> x.id().equals(p.on().id()));
    return sided ? wall(p.on().id(), p) : known.computeIfAbsent(p.on(), on -> worked(p));
  }

  private Vec worked(Piece p) {
    String id = p.on().id();
    return switch (p.on().kind()) {
      case ceiling -> new Vec(0, after.height() - before.shell().height(), 0);
      case wall -> moved(id);
      case bar -> bar(id);
      case platform -> platform(id);
      default -> Vec.ZERO;
    };
  }

  private Vec wall(String name, Piece p) {
    for (Partition now : after.partitions()) {
      if (now.id().equals(name)) {
        for (Partition old : before.shell().partitions()) {
          if (old.id().equals(name)) {
            Wall face = old.face().off(spot(p)) > 0 ? now.face() : now.back();
            Wall was = old.face().off(spot(p)) > 0 ? old.face() : old.back();
            return same(face, was)
                ? new Vec(face.from().x() - was.from().x(), 0, face.from().z() - was.from().z())
                : Vec.ZERO;
          }
        }
      }
    }
    return moved(name);
  }

  private static Spot spot(Piece p) {
    return new Spot(p.at().x(), p.at().z());
  }

  private static boolean same(Wall a, Wall b) {
    return a.along().dot(b.along()) > 1 - Tolerance.SAME;
  }

  /** How far a wall of the outline has moved out or in; zero if it turned or is gone. */
  private Vec moved(String name) {
    Wall old = before.shell().wall(name);
    Wall now = after.wall(nameNow(name));
    if (old == null || now == null || !same(old, now)) {
      return Vec.ZERO;
    }
    double by = old.off(now.from());
    return Math.abs(by) < Tolerance.SAME ? Vec.ZERO : old.inward().times(by);
  }

  private Vec bar(String id) {
    Bar old = named(before.shell().bars(), id);
    Bar now = named(after.bars(), id);
    return old == null || now == null
        ? Vec.ZERO
        : new Vec(now.x() - old.x(), now.trim() - old.trim(), now.z() - old.z());
  }

  private static Bar named(List<Bar> bars, String id) {
    return bars.stream().filter(b -> b.id().equals(id)).findFirst().orElse(null);
  }

  private Vec platform(String id) {
    for (Platform now : after.platforms()) {
      for (Platform old : before.shell().platforms()) {
        if (now.id().equals(id) && old.id().equals(id)) {
          Spot a = old.outline().get(0);
          Spot b = now.outline().get(0);
          boolean whole = now.outline().size() == old.outline().size();
          for (int i = 0; whole && i < now.outline().size(); i++) {
            Spot c = old.outline().get(i);
            Spot d = now.outline().get(i);
            whole =
                Math.abs(d.x() - c.x() - b.x() + a.x()) < Tolerance.SIZE
                    && Math.abs(d.z() - c.z() - b.z() + a.z()) < Tolerance.SIZE;
          }
          double up = now.height() - old.height();
          return whole ? new Vec(b.x() - a.x(), up, b.z() - a.z()) : new Vec(0, up, 0);
        }
      }
    }
    for (Flight now : after.flights()) {
      for (Flight old : before.shell().flights()) {
        if (now.id().equals(id) && old.id().equals(id) && now.turn() == old.turn()) {
          return new Vec(
              now.at().x() - old.at().x(), now.top() - old.top(), now.at().z() - old.at().z());
        }
      }
    }
    return Vec.ZERO;
  }

  /** For each wall that moved what stood against it, if anything did. */
  List<Followers.StoodAgainst> againstMoved() {
    List<Followers.StoodAgainst> all = new ArrayList<>();
    for (Wall w : before.shell().walls()) {
      Vec by = moved(w.name());
      if (!by.equals(Vec.ZERO) && !w.open()) {
        List<Piece> along = against(w.name());
        if (!along.isEmpty()) {
          all.add(new Followers.StoodAgainst(nameNow(w.name()), along, by));
        }
      }
    }
    return all;
  }

  /** What stood against a wall, in the order of the pieces. */
  private List<Piece> against(String wall) {
    Wall w = before.shell().wall(wall);
    return before.pieces().stream().filter(p -> against(p, w)).toList();
  }

  private boolean against(Piece p, Wall w) {
    if (p.on().kind() != On.OnKind.floor && p.on().kind() != On.OnKind.platform) {
      return false;
    }
    double half = Math.hypot(p.size().width(), p.size().depth()) / 2;
    if (Math.abs(w.off(spot(p))) > half + 0.25) {
      return false;
    }
    Bodies.Met met =
        before
            .bodies()
            .travel(
                before.shapes().mesh(p),
                p.pose(),
                w.inward().times(-1),
                AGAINST,
                b ->
                    b.name().equals(PartName.wall(w.name()))
                        || b.name().equals(PartName.skirting(w.name())));
    return met.stop().meets();
  }
}
