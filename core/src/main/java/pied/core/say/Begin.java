package pied.core.say;

import java.util.ArrayList;
import java.util.List;
import pied.core.Nullable;
import pied.core.Refusal;
import pied.core.catalog.Mounting;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edit.PlanPoint;
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
import pied.core.edit.repeat.Trail;
import pied.core.edit.repeat.TrailBuilder;
import pied.core.edit.repeat.TwinLine;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.space.Spot;
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
   * @param on id of a piece that was pointed at; null for none
   * @param at the point that was pointed at; null for none
   * @param near so near to it corners count, metres
   * @throws Refusal if it takes more, in words
   */
  public Edit edit(
      Space space,
      List<String> pieces,
      @Nullable String on,
      @Nullable PlanPoint at,
      @Nullable Double near) {
    if (pieces == null || pieces.isEmpty()) {
      throw new Refusal("Select what it is for first.");
    }
    pieces.forEach(space::piece);
    return switch (this) {
      case lineUp -> lineUp(space, pieces);
      case spaceOut -> spaceOut(space, pieces);
      case row ->
          RowBuilder.builder().pieces(pieces).count(Amount.of(4)).gap(Amount.of(0.1)).build();
      case trail -> trail(space, pieces, on, at, near);
      case ring -> ring(space, pieces, on, at);
      case scatter -> scatter(space, pieces, on);
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
      Space space,
      List<String> pieces,
      @Nullable String on,
      @Nullable PlanPoint at,
      @Nullable Double near) {
    TrailBuilder e = TrailBuilder.builder().pieces(pieces).count(Amount.of(5));
    if (on != null) {
      return e.along(List.of(on)).build();
    }
    if (at == null) {
      throw new Refusal("Click a wall, a corner of two walls, a platform or a piece.");
    }
    Spot spot = new Spot(at.x().number(), at.z().number());
    return e.along(Trail.meant(space.shell(), spot, near == null ? 0 : near)).build();
  }

  private static Edit ring(
      Space space, List<String> pieces, @Nullable String on, @Nullable PlanPoint at) {
    RingBuilder e = RingBuilder.builder().count(Amount.of(6)).gap(Amount.of(0.1));
    if (on != null || at == null && pieces.size() > 1) {
      String around = on != null ? on : pieces.get(pieces.size() - 1);
      space.piece(around);
      return e.around(around).pieces(without(pieces, List.of(around))).build();
    }
    if (at == null) {
      throw new Refusal("Click what it goes around.");
    }
    return e.at(at).pieces(pieces).build();
  }

  /** Of what is selected those that carry are what the others lie on. */
  private static Edit scatter(Space space, List<String> pieces, @Nullable String on) {
    ScatterBuilder e = ScatterBuilder.builder().count(Amount.of(12)).seed(Amount.of(1));
    if (on != null) {
      return e.onto(List.of(on)).pieces(without(pieces, List.of(on))).build();
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

  private static List<String> without(List<String> pieces, List<String> some) {
    return pieces.stream().filter(id -> !some.contains(id)).toList();
  }
}
