package pied.core.tool.onto;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.catalog.Article;
import pied.core.catalog.Mounting;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Stance;
import pied.core.place.Rest;
import pied.core.place.Resting;
import pied.core.place.Support;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.space.Carriers;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.units.Refusal;

/**
 * Lets pieces come to rest on one thing, wherever they are: kept apart from one another and moved
 * sideways no more than needed. All of a foot stands on it where there is room for that; else as
 * much as is stable, and that is said.
 *
 * @param onto the piece that is to carry them; null for the floor
 */
@JsonTypeName("settleOnto")
@RecordBuilder
public record SettleOnto(List<String> pieces, @Nullable String onto) implements Edit {
  /** Places are tried so far apart, metres. */
  private static final double STEP = 0.02;

  private static final int MOST_TRIED = 1500;

  /** On the floor, places are tried so far apart as a share of how far away they are. */
  private static final double COARSER = 0.15;

  /** So far in from the edge of what carries it the middle of a piece has to be, metres. */
  private static final double RIM = 0.01;

  @Override
  public String ofParts() {
    return WhyNot.RESTS;
  }

  @Override
  public void make(EditSession session) {
    List<String> ids = session.chosen(pieces);
    Piece carrier = onto == null ? null : session.piece(onto);
    if (carrier != null && !session.article(onto).carries()) {
      throw new Refusal("Nothing can stand on {}.", carrier.name());
    }
    List<String> own = new ArrayList<>(ids);
    own.remove(onto);
    Set<String> carried = session.space().carriedBy(own);
    if (onto != null && carried.contains(onto)) {
      throw new Refusal("{} stands on one of them.", carrier.name());
    }
    own = new ArrayList<>(Carriers.tops(session.space(), own));
    own.sort(Comparator.comparingDouble(id -> -area(session.piece(id))));
    Set<String> waiting = new LinkedHashSet<>(own);
    for (String id : own) {
      waiting.remove(id);
      String on = carrier == null ? "the floor" : carrier.name();
      String name = session.piece(id).name();
      if (one(session, session.piece(id), carrier, waiting, true)) {
        continue;
      }
      if (one(session, session.piece(id), carrier, waiting, false)) {
        session.say("{} reaches over the rim of {}; there is no room for all of it.", name, on);
      } else {
        session.say("{} does not fit on {}.", name, on);
      }
    }
    session.sayOverlaps(ids);
  }

  private static double area(Piece p) {
    return p.size().width() * p.size().depth();
  }

  /**
   * Whether there is a place for one more; it is at rest there then.
   *
   * @param wholly with all of its foot; else so that it does not tip
   */
  private static boolean one(
      EditSession session, Piece p, Piece carrier, Set<String> waiting, boolean wholly) {
    Space space = session.space();
    Article article = space.article(p);
    if (article.mounting() != Mounting.STANDS) {
      return false;
    }
    Set<String> ignored = new HashSet<>(space.withCarried(List.of(p.id())));
    ignored.addAll(space.withCarried(waiting));
    Resting resting = new Resting(space, p.form(), p.lean(), ignored, carrier != null);
    On wanted = carrier == null ? On.FLOOR : On.piece(carrier.id());
    Mesh mesh = space.shapes().mesh(p);
    for (Vec from : places(space, p, carrier, wholly)) {
      session.deadline().check();
      Rest rest = resting.settle(from, p.turn(), b -> false);
      boolean free =
          rest.on().equals(wanted)
              && stands(space, p.withAt(rest.at()), wholly)
              && space
                      .bodies()
                      .overlapped(
                          mesh,
                          Stance.pose(rest.at(), p.turn(), p.lean()),
                          Resting.CONTACT,
                          b -> !ignored.contains(b.id()))
                  == null;
      if (free) {
        session.shift(List.of(p.id()), rest.at().minus(p.at()));
        session.set(session.piece(p.id()).withOn(rest.on()).withAttached(false));
        return true;
      }
    }
    return false;
  }

  private static boolean stands(Space space, Piece p, boolean wholly) {
    return wholly ? Support.wholly(space, p) : Support.beside(space, p) == 0;
  }

  /** How far a piece reaches from its middle along a level direction of what carries it. */
  private static double reach(Piece p, Vec way) {
    Vec right = p.pose().direct(new Vec(1, 0, 0));
    Vec front = p.pose().direct(new Vec(0, 0, 1));
    return Math.abs(right.dot(way)) * p.size().width() / 2
        + Math.abs(front.dot(way)) * p.size().depth() / 2;
  }

  /** Where it might come down from, the nearest to where it is first. */
  private static List<Vec> places(Space space, Piece p, Piece carrier, boolean wholly) {
    Vec middle = carrier == null ? p.at() : carrier.at();
    Vec u = carrier == null ? new Vec(1, 0, 0) : carrier.pose().direct(new Vec(1, 0, 0));
    Vec v = carrier == null ? new Vec(0, 0, 1) : carrier.pose().direct(new Vec(0, 0, 1));
    double halfU = 3;
    double halfV = 3;
    if (carrier != null) {
      // a foot is rarely larger than half of what stands on it; the faces tell exactly
      double in = wholly ? 0.5 : 0;
      halfU = Math.max(0, carrier.size().width() / 2 - Math.max(RIM, in * reach(p, u)));
      halfV = Math.max(0, carrier.size().depth() / 2 - Math.max(RIM, in * reach(p, v)));
    }
    double y = carrier == null ? space.shell().height() : 0;
    if (carrier != null) {
      y = carrier.pose().box(space.shapes().mesh(carrier).box()).max().y() + 2 * Resting.CONTACT;
    }
    Vec off = p.at().minus(middle);
    double a = clamp(off.dot(u), halfU);
    double b = clamp(off.dot(v), halfV);
    List<Vec> all = new ArrayList<>();
    double most = Math.hypot(halfU, halfV) * 2;
    double step = STEP;
    for (double r = 0; r <= most && all.size() < MOST_TRIED; r += step) {
      // a floor is wide: the farther away, the coarser, so that all of it is looked at
      step = carrier == null ? Math.max(STEP, COARSER * r) : STEP;
      int n = Math.max(1, (int) Math.round(2 * Math.PI * r / (1.5 * step)));
      for (int i = 0; i < n; i++) {
        double s = a + r * Math.cos(2 * Math.PI * i / n);
        double t = b + r * Math.sin(2 * Math.PI * i / n);
        if (Math.abs(s) <= halfU + Tolerance.NONE && Math.abs(t) <= halfV + Tolerance.NONE) {
          Vec at = middle.along(u, s).along(v, t);
          double floor = carrier == null ? space.shell().floorAt(new Spot(at.x(), at.z())) : y;
          if (!Double.isNaN(floor)) {
            all.add(new Vec(at.x(), carrier == null ? floor + 2 * Resting.CONTACT : y, at.z()));
          }
        }
      }
    }
    return all;
  }

  private static double clamp(double v, double half) {
    return Math.max(-half, Math.min(half, v));
  }
}
