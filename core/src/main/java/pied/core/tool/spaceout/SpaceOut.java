package pied.core.tool.spaceout;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.edit.Amount;
import pied.core.edit.Bulk;
import pied.core.edit.Declined;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Edits;
import pied.core.edit.Offer;
import pied.core.edit.Sides;
import pied.core.edit.Walls;
import pied.core.piece.On;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.space.Wall;
import pied.core.units.LengthUnit;
import pied.core.units.Message;
import pied.core.units.Refusal;

/**
 * Gives pieces even or exact gaps along a direction, in the order in which they stand. A gap is
 * that between true sides, as far as one could move until it touches the other; where two would
 * pass each other it is between their boxes, and that is said.
 *
 * @param pieces the lead last; a group of which all is named goes as one
 * @param along the direction; across if none is said
 * @param wall the name of the wall, of {@link SpaceOutLine#wall}
 * @param how even gaps if nothing is said
 * @param by the gap, or the distance between middles
 * @param from what stays where it is; the ends for even gaps, else the first
 * @param boxes whether boxes count and not true sides
 */
@JsonTypeName("spaceOut")
@RecordBuilder
public record SpaceOut(
    List<String> pieces,
    @Nullable SpaceOutLine along,
    @Nullable String wall,
    @Nullable SpaceOutHow how,
    @Nullable Amount by,
    @Nullable SpaceOutFrom from,
    @Nullable Boolean boxes)
    implements Edit, SpaceOutBuilder.With {

  /** Directions along which to space out. */
  public enum SpaceOutLine {
    across,
    deep,
    high,
    /** From left to right of the lead, as it is turned. */
    width,
    /** From back to front of the lead. */
    depth,
    wall,
    /** From the middle of the first to that of the last. */
    line
  }

  /** How they are spaced. */
  public enum SpaceOutHow {
    /** Even gaps; the outer two stay. */
    even,
    gap,
    touching,
    /** An exact distance between middles. */
    middles
  }

  /** What stays. */
  public enum SpaceOutFrom {
    ends,
    /** Nothing: even gaps to what is on both sides of them too. */
    beside,
    first,
    last,
    middle,
    lead
  }

  @Override
  public void make(EditSession session) {
    List<Bulk> all = Bulk.of(session, session.chosen(pieces));
    SpaceOutHow h = how == null ? SpaceOutHow.even : how;
    SpaceOutFrom stays = stays(session.space());
    check(all, h, stays);
    Bulk lead = all.get(all.size() - 1);
    Vec way = way(session, all);
    Map<Bulk, Double> middles = new LinkedHashMap<>();
    all.forEach(b -> middles.put(b, b.middle(way)));
    List<Bulk> order = new ArrayList<>(all);
    order.sort(Comparator.comparingDouble(middles::get));
    if (stays == SpaceOutFrom.beside) {
      between(session, order, way);
      return;
    }
    double[] shifts = shifts(session, order, way, h, true);
    double off =
        switch (stays) {
          case ends, first, beside -> 0;
          case last -> shifts[order.size() - 1];
          case lead -> shifts[order.indexOf(lead)];
          case middle -> shifts[order.size() - 1] / 2;
        };
    Map<Bulk, Vec> ways = new LinkedHashMap<>();
    for (int i = 0; i < order.size(); i++) {
      boolean outer = stays == SpaceOutFrom.ends && (i == 0 || i == order.size() - 1);
      ways.put(order.get(i), outer ? Vec.ZERO : way.times(shifts[i] - off));
    }
    Bulk.move(session, ways, Math.abs(way.y()) < Tolerance.SAME);
  }

  /**
   * What stays if nothing is said: with even gaps the outer two, but of what is fixed to a wall
   * between openings nothing does, and the gaps are even to those too; else the first.
   */
  public SpaceOutFrom stays(Space space) {
    if (from != null) {
      return from;
    }
    if (how != null && how != SpaceOutHow.even) {
      return SpaceOutFrom.first;
    }
    Wall w = wall(space);
    return w != null && Sides.openings(space, pieces, w) ? SpaceOutFrom.beside : SpaceOutFrom.ends;
  }

  /** The one wall on which all of them are, along which they are spaced; null for none. */
  private @Nullable Wall wall(Space space) {
    Set<On> on = new HashSet<>();
    pieces.stream().filter(space::has).forEach(id -> on.add(space.piece(id).on()));
    On one = on.size() == 1 ? on.iterator().next() : On.NOTHING;
    Wall w = one.kind() == On.OnKind.wall ? space.shell().wall(one.id()) : null;
    return w == null || along == SpaceOutLine.high ? null : w;
  }

  /** Even gaps, also to what is on both sides: the nearest opening of their wall, wall or piece. */
  private void between(EditSession session, List<Bulk> order, Vec way) {
    Bulk first = order.get(0);
    Bulk last = order.get(order.size() - 1);
    Sides sides = new Sides(session.space(), pieces, wall(session.space()));
    double low = sides.before(first, way.times(-1));
    double high = sides.before(last, way);
    if (Double.isNaN(low) || Double.isNaN(high)) {
      throw new Refusal("There is nothing on one side of them; let the outer two stay.");
    }
    double[] touch = shifts(session, order, way, SpaceOutHow.touching, false);
    // touching from the first on, all of them would be so long
    double room = low + high - touch[order.size() - 1];
    double gap = room / (order.size() + 1);
    if (gap < -Tolerance.SAME) {
      throw tooLong(-room);
    }
    Map<Bulk, Vec> ways = new LinkedHashMap<>();
    for (int i = 0; i < order.size(); i++) {
      ways.put(order.get(i), way.times(touch[i] - low + (i + 1) * gap));
    }
    session.say("They are {} apart, and as far from what is beside them.", Message.length(gap));
    Bulk.move(session, ways, Math.abs(way.y()) < Tolerance.SAME);
  }

  /**
   * The same, so much wider or tighter as a piece is pulled from where it comes to.
   *
   * @param piece id of one of the pieces
   * @param by how far it is pulled, metres
   * @param step the distance that comes of it is a whole number of these, metres
   */
  public SpaceOut pulled(Space space, LengthUnit unit, String piece, Vec by, double step) {
    Space done = Edits.apply(space, List.of(this), unit, () -> "none").space();
    return Edits.look(done, unit, session -> pulled(session, piece, by, step));
  }

  private SpaceOut pulled(EditSession session, String piece, Vec by, double step) {
    List<Bulk> order = new ArrayList<>(Bulk.of(session, session.chosen(pieces)));
    Bulk lead = order.get(order.size() - 1);
    Vec way = way(session, order);
    order.sort(Comparator.comparingDouble(b -> b.middle(way)));
    int last = order.size() - 1;
    int pulled = 0;
    while (pulled < last && !order.get(pulled).moves(piece)) {
      pulled++;
    }
    SpaceOutFrom stays = stays(session.space());
    boolean free = stays == SpaceOutFrom.ends || stays == SpaceOutFrom.beside;
    // what lies farther off stays where neither end does
    SpaceOutFrom end = free ? (2 * pulled >= last ? SpaceOutFrom.first : SpaceOutFrom.last) : stays;
    double fixed =
        switch (end) {
          case last -> last;
          case middle -> last / 2.0;
          case lead -> order.indexOf(lead);
          default -> 0;
        };
    if (Math.abs(pulled - fixed) < 0.25) {
      return this; // it is the one that stays
    }
    boolean middles = how == SpaceOutHow.middles;
    double now =
        middles
            ? apart(session)
            : -shifts(session, order, way, SpaceOutHow.touching, false)[last] / last;
    double next = now + by.dot(way) / (pulled - fixed);
    double tidy = Math.max(0, Math.round(next / step) * Math.round(step * 1000) / 1000.0);
    return withHow(middles ? SpaceOutHow.middles : SpaceOutHow.gap)
        .withBy(Amount.of(tidy))
        .withFrom(end);
  }

  private static void check(List<Bulk> all, SpaceOutHow h, SpaceOutFrom stays) {
    if (all.size() < 2) {
      throw new Refusal("Select two at least to space them out; one alone has no gap.");
    }
    if (stays == SpaceOutFrom.ends && h != SpaceOutHow.even) {
      throw new Refusal("With an exact distance the outer two cannot both stay; say which does.");
    }
    if (stays == SpaceOutFrom.beside && h != SpaceOutHow.even) {
      throw new Refusal("To both sides only even gaps can be given.");
    }
    if (h == SpaceOutHow.even && stays != SpaceOutFrom.ends && stays != SpaceOutFrom.beside) {
      throw new Refusal("With even gaps the outer two stay; give a gap to keep another.");
    }
    if (stays == SpaceOutFrom.ends && all.size() < 3) {
      throw new Refusal(
          "Even gaps are between three at least, since the outer two stay; select more, or give a"
              + " gap.");
    }
  }

  private Vec way(EditSession session, List<Bulk> all) {
    Vec right = all.get(all.size() - 1).lead().pose().direct(new Vec(1, 0, 0));
    Vec front = all.get(all.size() - 1).lead().pose().direct(new Vec(0, 0, 1));
    return switch (along == null ? SpaceOutLine.across : along) {
      case across -> new Vec(1, 0, 0);
      case deep -> new Vec(0, 0, 1);
      case high -> Vec.UP;
      case width -> level(right);
      case depth -> level(front);
      case wall -> Walls.named(session.space().shell(), wall).along();
      case line -> line(all);
    };
  }

  private static Vec level(Vec v) {
    if (Math.hypot(v.x(), v.z()) < 0.1) {
      throw new Refusal("The lead lies on a side; choose a direction of the space.");
    }
    return new Vec(v.x(), 0, v.z()).unit();
  }

  /** From one to another of the two that are the farthest apart. */
  private static Vec line(List<Bulk> all) {
    Bulk a = farthest(all, all.get(0));
    Bulk b = farthest(all, a);
    Vec way = b.lead().at().minus(a.lead().at());
    Vec flat = new Vec(way.x(), 0, way.z());
    if (flat.length() < Tolerance.FINE) {
      throw new Refusal("They stand over one another; choose a direction.");
    }
    return flat.unit();
  }

  private static Bulk farthest(List<Bulk> all, Bulk from) {
    return all.stream()
        .max(Comparator.comparingDouble(b -> b.lead().at().distance(from.lead().at())))
        .orElseThrow();
  }

  /** How far each goes along the direction when the first one stays, metres. */
  private double[] shifts(
      EditSession session, List<Bulk> order, Vec way, SpaceOutHow h, boolean said) {
    int n = order.size();
    double[] shifts = new double[n];
    if (h == SpaceOutHow.middles) {
      double apart = apart(session);
      for (int i = 1; i < n; i++) {
        double now = order.get(i).middle(way) - order.get(i - 1).middle(way);
        shifts[i] = shifts[i - 1] + apart - now;
      }
      return shifts;
    }
    double[] touch = new double[n];
    double all = 0;
    int passing = 0;
    for (int i = 1; i < n; i++) {
      session.deadline().check();
      boolean boxed = Boolean.TRUE.equals(boxes);
      double by = boxed ? Double.NaN : order.get(i).touching(order.get(i - 1), way);
      if (Double.isNaN(by)) {
        by = order.get(i).touchingBoxes(order.get(i - 1), way);
        passing += boxed ? 0 : 1;
      }
      touch[i] = by;
      all += by;
    }
    double gap =
        h == SpaceOutHow.touching ? 0 : h == SpaceOutHow.gap ? apart(session) : -all / (n - 1);
    if (h == SpaceOutHow.even && gap < -Tolerance.SAME) {
      throw tooLong(all);
    }
    for (int i = 1; i < n; i++) {
      shifts[i] = shifts[i - 1] + touch[i] + gap;
    }
    if (said) {
      say(session, gap, passing);
    }
    return shifts;
  }

  private double apart(EditSession session) {
    if (by == null) {
      throw new Refusal("Say how far apart.");
    }
    double apart = session.length(by, 0);
    if (apart < 0) {
      throw new Refusal("A distance is 0 or more.");
    }
    return apart;
  }

  private Declined tooLong(double lacking) {
    return new Declined(
        Message.of(
            "There is no room for them between the outer two: {} is lacking.",
            Message.length(lacking)),
        List.of(
            new Offer(
                "Touching, from the first",
                List.of(withHow(SpaceOutHow.touching).withFrom(SpaceOutFrom.first))),
            new Offer(
                "Touching, from the middle",
                List.of(withHow(SpaceOutHow.touching).withFrom(SpaceOutFrom.middle)))));
  }

  private void say(EditSession session, double gap, int passing) {
    String sides = Boolean.TRUE.equals(boxes) ? "their boxes" : "their true sides";
    session.say(
        "{}, by {}{}",
        gap == 0 ? "They touch" : Message.of("They are {} apart", Message.length(gap)),
        sides,
        passing == 0
            ? "."
            : passing == 1
                ? "; one pair would pass each other, so that their boxes count."
                : "; " + passing + " pairs would pass each other, so that their boxes count.");
  }
}
