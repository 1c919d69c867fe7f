package pied.core.say;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import pied.core.Nullable;
import pied.core.Refusal;
import pied.core.catalog.Mounting;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.edit.arrange.LineUp;
import pied.core.edit.arrange.LineUp.Meeting;
import pied.core.edit.arrange.LineUp.Part;
import pied.core.edit.arrange.LineUpBuilder;
import pied.core.edit.arrange.SpaceOut;
import pied.core.edit.arrange.SpaceOut.How;
import pied.core.edit.arrange.SpaceOut.Line;
import pied.core.edit.arrange.SpaceOutBuilder;
import pied.core.edit.repeat.MakeTwins;
import pied.core.edit.repeat.RingBuilder;
import pied.core.edit.repeat.RowBuilder;
import pied.core.edit.repeat.ScatterBuilder;
import pied.core.edit.repeat.TrailBuilder;
import pied.core.edit.repeat.TwinLine;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.point.Pointed;
import pied.core.point.Pointing;
import pied.core.solid.Vec;
import pied.core.space.Group;
import pied.core.space.Rule;
import pied.core.space.Space;
import pied.core.space.Wall;
import pied.core.units.LengthUnit;

/**
 * What is proposed first for some pieces when one chooses a verb, before anything is said of it.
 */
public enum Begin {
  lineUp,
  spaceOut,
  row,
  trail,
  ring,
  scatter,
  twin;

  /**
   * The edit that is proposed.
   *
   * @param pieces the lead last
   * @param at what was pointed at; null for nothing
   * @throws Refusal if it takes more, in words
   */
  public Edit edit(Space space, LengthUnit unit, List<String> pieces, @Nullable Pointed at) {
    if (pieces == null || pieces.isEmpty()) {
      throw new Refusal("Select what it is for first.");
    }
    pieces.forEach(space::piece);
    return switch (this) {
      case lineUp -> lineUp(space, pieces);
      case spaceOut -> spaceOut(space, pieces);
      case row ->
          RowBuilder.builder().pieces(pieces).count(Amount.of(4)).gap(Amount.of(0.1)).build();
      case trail -> trail(space, unit, pieces, at);
      case ring -> ring(space, unit, pieces, at);
      case scatter -> scatter(space, unit, pieces, at);
      case twin -> new MakeTwins(pieces, new TwinLine(TwinLine.By.centre, null, null, null));
    };
  }

  /**
   * What stands is lined up as it nearly is already: along the direction in which they differ
   * least.
   */
  private static LineUp lineUp(Space space, List<String> pieces) {
    LineUp e = LineUpBuilder.builder().pieces(pieces).build();
    Vec spread = spread(space, pieces);
    if (pieces.stream()
        .allMatch(id -> space.article(space.piece(id)).mounting() == Mounting.WALL)) {
      return e.withHigh(new Meeting(Part.under, null));
    }
    return spread.x() < spread.z()
        ? e.withAcross(new Meeting(Part.left, null))
        : e.withDeep(new Meeting(Part.back, null));
  }

  private static SpaceOut spaceOut(Space space, List<String> pieces) {
    Vec spread = spread(space, pieces);
    SpaceOut e = SpaceOutBuilder.builder().pieces(pieces).build();
    On on = space.piece(pieces.get(0)).on();
    Wall wall = on.kind() == On.Kind.wall ? space.shell().wall(on.id()) : null;
    boolean oneWall =
        wall != null && pieces.stream().allMatch(id -> space.piece(id).on().equals(on));
    e =
        oneWall
            ? e.withAlong(Line.wall).withWall("wall:" + wall.name())
            : e.withAlong(spread.x() >= spread.z() ? Line.across : Line.deep);
    if (pieces.size() < 3 && e.stays(space) != SpaceOut.From.beside) {
      return e.withHow(How.gap).withBy(Amount.of(0.2));
    }
    return fits(space, e) ? e : e.withHow(How.touching);
  }

  private static boolean fits(Space space, Edit e) {
    try {
      Edits.apply(space, List.of(e), LengthUnit.M, () -> "x");
      return true;
    } catch (Refusal r) {
      return false;
    }
  }

  /** How far their places are from one another at most. */
  private static Vec spread(Space space, List<String> pieces) {
    double[] lo = {1e9, 1e9};
    double[] hi = {-1e9, -1e9};
    for (String id : pieces) {
      Vec at = space.piece(id).at();
      lo[0] = Math.min(lo[0], at.x());
      hi[0] = Math.max(hi[0], at.x());
      lo[1] = Math.min(lo[1], at.z());
      hi[1] = Math.max(hi[1], at.z());
    }
    return new Vec(hi[0] - lo[0], 0, hi[1] - lo[1]);
  }

  private static Edit trail(
      Space space, LengthUnit unit, List<String> pieces, @Nullable Pointed at) {
    Edit e = repeated(space, pieces, Rule.Trail.class);
    if (e == null) {
      e = TrailBuilder.builder().pieces(pieces).count(Amount.of(5)).build();
    }
    if (at == null) {
      throw new Refusal("Click a wall, a corner of two walls, a platform, a piece or the floor.");
    }
    return Pointing.at(space, unit, e, at);
  }

  private static Edit ring(
      Space space, LengthUnit unit, List<String> pieces, @Nullable Pointed at) {
    RingBuilder e = RingBuilder.builder().count(Amount.of(6)).gap(Amount.of(0.1));
    if (at == null && pieces.size() > 1) {
      String around = pieces.get(pieces.size() - 1);
      return e.around(around).pieces(without(pieces, List.of(around))).build();
    }
    if (at == null) {
      throw new Refusal("Click what it goes around.");
    }
    return Pointing.at(space, unit, e.pieces(pieces).build(), at);
  }

  /** Of what is selected those that carry are what the others lie on. */
  private static Edit scatter(
      Space space, LengthUnit unit, List<String> pieces, @Nullable Pointed at) {
    Edit old = repeated(space, pieces, Rule.Scatter.class);
    ScatterBuilder e = ScatterBuilder.builder().count(Amount.of(12)).seed(Amount.of(1));
    if (old != null || at != null) {
      Edit now = old == null ? e.pieces(pieces).build() : old;
      return at == null ? now : Pointing.at(space, unit, now, at);
    }
    List<String> carry = new ArrayList<>();
    for (String id : pieces) {
      Piece p = space.piece(id);
      if (space.article(p).carries()) {
        carry.add(id);
      }
    }
    boolean some = !carry.isEmpty() && carry.size() < pieces.size();
    return some ? e.onto(carry).pieces(without(pieces, carry)).build() : e.pieces(pieces).build();
  }

  /** The edit that adjusts a repetition of such a rule, where just that is selected; else null. */
  private static @Nullable Edit repeated(
      Space space, List<String> pieces, Class<? extends Rule> rule) {
    String id = space.piece(pieces.get(0)).keeping().group();
    Group g = id == null ? null : space.filing().group(id);
    boolean own =
        g != null
            && g.repeats() != null
            && rule.isInstance(g.repeats().rule())
            && Set.copyOf(space.members(id)).equals(Set.copyOf(pieces));
    return own ? Adjust.of(g) : null;
  }

  private static List<String> without(List<String> pieces, List<String> some) {
    return pieces.stream().filter(id -> !some.contains(id)).toList();
  }
}
