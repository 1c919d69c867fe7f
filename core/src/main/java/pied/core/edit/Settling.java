package pied.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.catalog.Mounting;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Hung;
import pied.core.place.Rest;
import pied.core.place.Resting;
import pied.core.place.SharedRoom;
import pied.core.place.Target;
import pied.core.solid.Bodies;
import pied.core.solid.Body;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.units.Message;

/** Lets pieces on the bench come to rest, and says what they overlap. */
final class Settling {
  /** What came farther down or up than this is said, metres. */
  private static final double SAID = 0.001;

  /** So many sentences of the same sort are read; of all others their number is said. */
  private static final int MOST_SAID = 6;

  private final EditSession session;

  Settling(EditSession session) {
    this.session = session;
  }

  /**
   * @param always also those that touch their carrier are tried again
   * @param down also what is held at a height comes down
   */
  void settle(Collection<String> ids, boolean always, boolean down) {
    List<String> order = new ArrayList<>(ids);
    order.sort(Comparator.comparingDouble(id -> session.piece(id).at().y()));
    for (String id : order) {
      session.deadline().check();
      Piece p = session.piece(id);
      if (p.on().held() && !down && isOver(p)) {
        continue; // what was typed stays
      }
      Article article = session.article(id);
      Resting resting = Resting.of(session.space(), p);
      if (p.attached() || article.mounting() != Mounting.STANDS) {
        On touched = resting.carrier(p.pose());
        boolean raised = always && article.mounting() == Mounting.HANGS && !p.attached();
        boolean stays =
            !touched.equals(On.NOTHING) && !(raised && resting.hung(p.pose()).onLines());
        if (!stays && article.mounting() != Mounting.STANDS) {
          rehang(p, resting, article);
          continue;
        }
        if (stays) {
          if (!touched.equals(p.on()) && article.mounting() == Mounting.HANGS && !p.attached()) {
            Hung hung = resting.hung(p.pose());
            session.say("{} is now {}.", p.name(), hung.words(session.space(), session.unit()));
          }
          session.set(p.attached() ? p : p.withOn(touched));
          continue;
        }
      }
      stand(p, resting, always);
    }
  }

  /** Whether the middle of a piece is over the floor of the space. */
  private boolean isOver(Piece p) {
    return session.space().shell().holds(new Spot(p.at().x(), p.at().z()));
  }

  private void stand(Piece p, Resting resting, boolean always) {
    On plain = always ? null : resting.plainly(p.pose());
    if (plain != null) {
      session.set(p.withOn(plain));
      return;
    }
    Rest rest = resting.settle(p.at(), p.turn());
    if (rest.on().equals(On.NOTHING)) {
      session.say("{} is outside; there is no floor beneath it.", p.name());
      session.set(p.withOn(On.NOTHING));
      return;
    }
    double by = rest.at().y() - p.at().y();
    if (Math.abs(by) <= (always ? 0 : Resting.CONTACT)) {
      session.set(p.withOn(rest.on()));
      return;
    }
    session.shift(List.of(p.id()), new Vec(0, by, 0));
    session.set(session.piece(p.id()).withOn(rest.on()));
    if (Math.abs(by) > SAID) {
      session.say("{} came to rest on {}.", p.name(), session.space().nameOf(rest.on()));
    }
  }

  private void rehang(Piece p, Resting resting, Article article) {
    Spot under = new Spot(p.at().x(), p.at().z());
    if (!isOver(p)) {
      session.set(p.withOn(On.NOTHING));
      return;
    }
    Rest rest = resting.at(new Target.OnPlan(under), p.turn());
    Vec at = rest.at();
    if (article.mounting() == Mounting.WALL) {
      at = new Vec(at.x(), p.at().y(), at.z()); // back to the wall, at its own height
    }
    session.set(p.withAt(at).withTurn(rest.turn()).withOn(rest.on()));
    session.say("{} went to {}.", p.name(), session.space().nameOf(rest.on()));
  }

  /** Takes out pieces; what they carried comes to rest on what is beneath. */
  void takeOut(Set<String> gone) {
    List<String> bereft =
        session.space().carriedBy(gone).stream()
            .filter(id -> gone.contains(session.piece(id).on().id()))
            .toList();
    session.remove(List.copyOf(gone));
    settle(bereft, true, false);
  }

  void carriers(Collection<String> ids) {
    for (String id : ids) {
      session.deadline().check();
      Piece p = session.piece(id);
      On on = Resting.of(session.space(), p).carrier(p.pose());
      boolean holds = on.equals(On.NOTHING) && mayHold(p);
      session.set(p.withOn(holds ? On.HELD : on));
      if (holds && !p.on().held()) {
        double low = session.space().shapes().low(p) - session.space().shell().datum().y();
        session.say(
            "{} is held at {}; nothing is under it there.", p.name(), session.unit().fine(low));
      } else if (!holds && on.equals(On.NOTHING)) {
        session.say("{} touches nothing that could carry it.", p.name());
      }
    }
  }

  /** Whether a piece stays at a height that it was given, with nothing under it. */
  private boolean mayHold(Piece p) {
    return session.article(p.id()).mounting() == Mounting.STANDS && !p.attached() && isOver(p);
  }

  void sayOverlaps(Collection<String> ids) {
    int more = 0;
    int said = 0;
    Set<String> met = new HashSet<>();
    for (String id : ids) {
      session.deadline().check();
      boolean named = said < MOST_SAID;
      if (!named && met.contains(id)) {
        more++; // what overlaps it was found already
        continue;
      }
      Piece p = session.piece(id);
      Body other = overlapped(p, named);
      if (other == null) {
        continue;
      }
      met.add(other.id());
      if (named) {
        said++;
        session.say("{} overlaps {}.", p.name(), session.space().nameOf(other.id()));
      } else {
        more++;
      }
    }
    if (more > 0) {
      session.say(
          more == 1
              ? Message.of("One more overlaps something.")
              : Message.of("{} more overlap something.", more));
    }
  }

  /**
   * What a piece overlaps, or null.
   *
   * @param first whether it is to be the first by its id
   */
  private @Nullable Body overlapped(Piece p, boolean first) {
    Space space = session.space();
    Set<String> own = space.withCarried(List.of(p.id()));
    Bodies bodies = space.bodies();
    Mesh mesh = space.shapes().mesh(p);
    Predicate<Body> others = b -> !own.contains(b.id()) && !SharedRoom.lets(space, p, b);
    return first
        ? bodies.overlapped(mesh, p.pose(), Resting.CONTACT, others)
        : bodies.anyOverlapped(mesh, p.pose(), Resting.CONTACT, others);
  }
}
