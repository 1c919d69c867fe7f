package pied.core.register;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import pied.core.Nullable;
import pied.core.Rooms;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.edit.Wanting;
import pied.core.piece.Piece;
import pied.core.point.Pointed;
import pied.core.point.Pull;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.tool.keep.Remove;
import pied.core.tool.lineup.LineUp;
import pied.core.tool.lineup.LineUp.LineUpTo;
import pied.core.tool.ring.Ring;
import pied.core.tool.scatter.Scatter;
import pied.core.tool.spaceout.SpaceOut;
import pied.core.tool.spaceout.SpaceOut.SpaceOutFrom;
import pied.core.tool.spaceout.SpaceOut.SpaceOutHow;
import pied.core.tool.spaceout.SpaceOutBuilder;
import pied.core.tool.trail.Trail;
import pied.core.tool.twin.MakeTwins;
import pied.core.tool.twin.TwinLine.TwinBy;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** The room is 6 wide and 4 deep. */
class PointingTest {
  private static final double NEAR = 0.15;

  private final Rooms room = new Rooms();

  private Edit begin(Begin verb, @Nullable Pointed at, String... pieces) {
    return verb.edit(room.space, LengthUnit.M, List.of(pieces), at);
  }

  private static Pointed at(double x, double z) {
    return Pointed.at(new Spot(x, z), null, null, NEAR);
  }

  private static Pointed on(String piece) {
    return Pointed.at(new Spot(3, 2), piece, null, NEAR);
  }

  private Edit click(Edit e, double x, double z) {
    return click(e, at(x, z));
  }

  private Edit click(Edit e, Pointed p) {
    return Pointing.at(room.space, LengthUnit.M, e, p);
  }

  private Space made(Edit e) {
    return Edits.apply(room.space, List.of(e), LengthUnit.M, new Ids()).space();
  }

  private static final class Ids implements java.util.function.Supplier<String> {
    private int n;

    @Override
    public String get() {
      return "n" + n++;
    }
  }

  private List<Spot> drawn(Edit e) {
    return Pointing.drawn(e, LengthUnit.M).points();
  }

  // ---- a path

  @Test
  void aPathIsDrawnByClicksOnTheFloorAndClosedOnItsFirstPoint() {
    room.put("a", "stool", 0.4, 0.4);
    Edit e = begin(Begin.trail, at(1.503, 1.001), "a");
    assertThat(drawn(e)).containsExactly(new Spot(1.5, 1));
    assertThatThrownBy(() -> made(click(Pointing.back(e), on("a")))).isInstanceOf(Wanting.class);
    assertThatThrownBy(() -> made(e)).isInstanceOf(Wanting.class).hasMessageContaining("goes on");
    // nearly level with the point before it is level with it
    Edit two = click(e, 4.5, 1.04);
    Edit three = click(two, 4.5, 3);
    assertThat(drawn(three)).containsExactly(new Spot(1.5, 1), new Spot(4.5, 1), new Spot(4.5, 3));
    List<Piece> five = of(made(three), "stool");
    assertThat(five).hasSize(5);
    // the first and the last are at the ends of the path, which is 5 long
    assertThat(five).anyMatch(p -> near(p, 1.5, 1)).anyMatch(p -> near(p, 4.5, 3));
    Trail closed = (Trail) click(three, 1.48, 1.03);
    assertThat(closed.closed()).isTrue();
    assertThat(closed.path()).hasSize(3);
    assertThat(Pointing.back(Pointing.back(closed))).isEqualTo(two);
  }

  private static boolean near(Piece p, double x, double z) {
    return Math.hypot(p.at().x() - x, p.at().z() - z) < 0.3;
  }

  private static List<Piece> of(Space space, String article) {
    return space.pieces().stream().filter(p -> p.article().equals(article)).toList();
  }

  @Test
  void wallsCornersPlatformsAndPiecesAreGoneAlongAndNotDrawn() {
    room.put("a", "stool", 2, 2);
    room.put("t", "trunk", 3, 2);
    assertThat(((Trail) begin(Begin.trail, at(3, 0.1), "a")).along()).containsExactly("wall:A");
    assertThat(((Trail) begin(Begin.trail, at(5.9, 0.1), "a")).along())
        .containsExactly("wall:A", "wall:B");
    assertThat(((Trail) begin(Begin.trail, on("t"), "a")).along()).containsExactly("t");
    Trail path = (Trail) begin(Begin.trail, at(3, 1), "a");
    assertThat(path.along()).isNull();
    // from a wall to a path and back
    assertThat(((Trail) click(begin(Begin.trail, on("t"), "a"), 3, 1)).path()).hasSize(1);
    // a piece that is repeated is no more than the floor it stands on
    assertThat(((Trail) begin(Begin.trail, on("a"), "a")).path()).hasSize(1);
  }

  @Test
  void aTrailThatIsThereIsPutOnAnotherPath() {
    room.put("a", "stool", 2, 2);
    room.json("{'do':'trail','pieces':['a'],'along':['wall:A'],'count':6}");
    List<String> six = of(room.space, "stool").stream().map(Piece::id).toList();
    Edit e = begin(Begin.trail, at(1, 3), six.toArray(String[]::new));
    Space done = made(click(e, 5, 3));
    assertThat(of(done, "stool")).hasSize(6).allMatch(p -> Math.abs(p.at().z() - 3) < 1e-6);
    assertThat(of(done, "stool").stream().map(Piece::id)).containsAll(six);
  }

  // ---- an outline

  @Test
  void anOutlineIsDrawnByClicksAndWhatIsStrewnLiesInIt() {
    room.put("a", "stool", 0.5, 0.5);
    Edit e = click(begin(Begin.scatter, null, "a"), 2, 1);
    assertThatThrownBy(() -> made(e)).isInstanceOf(Wanting.class).hasMessageContaining("three");
    Edit four = click(click(click(e, 5, 1), 5, 3), 2, 3);
    assertThat(Pointing.drawn(four, LengthUnit.M).closed()).isTrue();
    List<Piece> strewn = new ArrayList<>(of(made(four), "stool"));
    assertThat(strewn).hasSize(12);
    for (Piece p : strewn) {
      assertThat(p.at().x()).isBetween(2.0, 5.0);
      assertThat(p.at().z()).isBetween(1.0, 3.0);
    }
    Scatter none = (Scatter) Pointing.back(Pointing.back(Pointing.back(Pointing.back(four))));
    assertThat(none.outline()).isNull();
    assertThat(Pointing.goesBack(none)).isFalse();
  }

  @Test
  void piecesToLieOnAreClickedOneAfterTheOther() {
    room.put("a", "books", 0.5, 0.5);
    room.put("t", "trunk", 3, 2);
    room.put("u", "trunk", 4.5, 2);
    Scatter both = (Scatter) click(click(begin(Begin.scatter, null, "a"), on("t")), on("u"));
    assertThat(both.onto()).containsExactly("t", "u");
    assertThat(((Scatter) click(both, on("t"))).onto()).containsExactly("u");
  }

  // ---- points and lines

  @Test
  void theyAreLinedUpWithWhatIsClicked() {
    room.put("a", "stool", 1, 1);
    room.put("b", "stool", 2, 2.3);
    room.put("t", "trunk", 4, 3);
    LineUp e = (LineUp) begin(Begin.lineUp, null, "a", "b");
    LineUp piece = (LineUp) click(e, on("t"));
    assertThat(piece.to()).isEqualTo(LineUpTo.piece);
    LineUp wall = (LineUp) click(piece, 5.95, 2);
    assertThat(wall.to()).isEqualTo(LineUpTo.wall);
    assertThat(wall.what()).isEqualTo("wall:B");
    LineUp point = (LineUp) click(wall, 3.336, 2);
    Space done = made(point);
    double half = done.piece("a").size().width() / 2;
    assertThat(done.piece("a").at().x() - half).isEqualTo(3.34, within(1e-9));
    assertThat(done.piece("b").at().x() - half).isEqualTo(3.34, within(1e-9));
  }

  @Test
  void theLineOfTwinsIsDrawn() {
    room.put("a", "stool", 1, 1);
    MakeTwins e = (MakeTwins) begin(Begin.twin, null, "a");
    MakeTwins across = (MakeTwins) click(e, 2.5, 2);
    Space done = made(across);
    assertThat(of(done, "stool")).anyMatch(p -> p.at().distance(new Vec(4, 0, 1)) < 1e-9);
    MakeTwins wall = (MakeTwins) click(e, 5.95, 2.2);
    assertThat(wall.about().by()).isEqualTo(TwinBy.wall);
    MakeTwins drawn = e.withAbout(new pied.core.tool.twin.TwinLine(TwinBy.drawn, null, null, null));
    assertThatThrownBy(() -> made(drawn)).isInstanceOf(Wanting.class);
    Edit one = click(drawn, 1, 3);
    assertThatThrownBy(() -> made(one)).isInstanceOf(Wanting.class);
    // through (1, 3) and (3, 1): what is at (1, 1) goes to (3, 3)
    Edit two = click(one, 3, 1);
    assertThat(of(made(two), "stool")).anyMatch(p -> p.at().distance(new Vec(3, 0, 3)) < 1e-9);
    assertThat(Pointing.back(two)).isEqualTo(one);
    assertThat(Pointing.back(one)).isEqualTo(drawn);
  }

  @Test
  void aRingGoesAroundWhatIsClicked() {
    room.put("a", "stool", 1, 1);
    room.put("t", "trunk", 3, 2);
    Ring piece = (Ring) begin(Begin.ring, on("t"), "a");
    assertThat(piece.around()).isEqualTo("t");
    Ring point = (Ring) click(piece, 4, 2.5);
    assertThat(point.around()).isNull();
    assertThat(drawn(point)).containsExactly(new Spot(4, 2.5));
  }

  @Test
  void whatCannotBeClickedSaysSo() {
    room.put("a", "stool", 1, 1);
    Edit remove = new Remove(List.of("a"));
    assertThat(Pointing.hint(remove)).isNull();
    assertThatThrownBy(() -> click(remove, 1, 1)).isInstanceOf(Refusal.class);
    Pull pull = new Pull("a", new Vec(1, 0, 0), false);
    assertThatThrownBy(() -> Pointing.pulled(room.space, LengthUnit.M, remove, pull))
        .isInstanceOf(Refusal.class);
  }

  // ---- wider and tighter

  private SpaceOut even() {
    for (int i = 0; i < 5 && !room.space.has("p" + i); i++) {
      room.put("p" + i, "stool", 0.6 + i * i * 0.2, 2);
    }
    return SpaceOutBuilder.builder().pieces(List.of("p0", "p1", "p2", "p3", "p4")).build();
  }

  private SpaceOut pulled(SpaceOut e, String piece, double by) {
    Pull pull = new Pull(piece, new Vec(by, 0, 0.3), true);
    return (SpaceOut) Pointing.pulled(room.space, LengthUnit.M, e, pull);
  }

  @Test
  void whatIsPulledGoesAsFarAsItIsPulledAndTheFarEndStays() {
    SpaceOut e = even();
    Space before = made(e);
    for (int i = 1; i < 5; i++) {
      SpaceOut next = pulled(e, "p" + i, -0.2);
      assertThat(next.how()).isEqualTo(SpaceOutHow.gap);
      assertThat(next.from()).isEqualTo(i >= 2 ? SpaceOutFrom.first : SpaceOutFrom.last);
      Space after = made(next);
      String fixed = i >= 2 ? "p0" : "p4";
      assertThat(after.piece(fixed).at()).isEqualTo(before.piece(fixed).at());
      if (i >= 2) {
        // to the step of a millimetre for each gap
        assertThat(after.piece("p" + i).at().x())
            .isEqualTo(before.piece("p" + i).at().x() - 0.2, within(0.001 * i));
      }
    }
  }

  @Test
  void fromTheMiddleBothEndsGoAndTheMiddleCannotBePulled() {
    SpaceOut e =
        even().withHow(SpaceOutHow.middles).withBy(Amount.of(0.5)).withFrom(SpaceOutFrom.middle);
    SpaceOut wider = pulled(e, "p4", 0.2);
    assertThat(wider.by().number()).isEqualTo(0.6, within(1e-9));
    assertThat(wider.from()).isEqualTo(SpaceOutFrom.middle);
    assertThat(pulled(e, "p0", 0.2).by().number()).isEqualTo(0.4, within(1e-9));
    assertThat(pulled(e, "p2", 0.2)).isEqualTo(e);
    // no tighter than touching
    SpaceOut gap = even().withHow(SpaceOutHow.gap).withBy(Amount.of(0.1));
    assertThat(pulled(gap, "p4", -3).by().number()).isZero();
  }
}
