package pied.core.tool.size;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import pied.core.Rooms;
import pied.core.edit.Amount;
import pied.core.edit.Edit.Measures;
import pied.core.measure.Hold;
import pied.core.piece.Piece;
import pied.core.size.Measure;
import pied.core.solid.Vec;
import pied.core.tool.turn.Axis;
import pied.core.tool.turn.TurnBuilder;

/** What holds however large a piece is made, and however it is turned. */
class SizingPropertiesTest {
  private static final String ANY = "block";

  @Provide
  Arbitrary<String> holds() {
    return Arbitraries.of("", "left ", "right ")
        .flatMap(
            x ->
                Arbitraries.of("", "back ", "front ")
                    .flatMap(z -> Arbitraries.of("", "under ", "top ").map(y -> x + z + y)))
        .map(h -> h + "middle");
  }

  private static Rooms room(double turn) {
    Rooms room = new Rooms();
    room.put("b", ANY, 3, 2, turn);
    return room;
  }

  private static Vec mark(Piece p, String hold) {
    return p.pose().apply(Hold.read(hold).on(p.size()));
  }

  @Property(tries = 60)
  void sizedAndBackToTheNaturalSizeItIsAsItWas(
      @ForAll @DoubleRange(min = 0.02, max = 5) double w,
      @ForAll @DoubleRange(min = 0.02, max = 2) double h,
      @ForAll @DoubleRange(min = 0, max = 360) double turn,
      @ForAll("holds") String hold) {
    Rooms room = room(turn);
    Piece before = room.piece("b");
    Resize there =
        ResizeBuilder.builder()
            .pieces(List.of("b"))
            .size(new Measures(Amount.of(w), null, Amount.of(h)))
            .hold(hold)
            .build();
    room.apply(there);
    Vec held = mark(before, hold);
    assertThat(mark(room.piece("b"), hold).distance(held)).isLessThan(1e-9);
    Amount whole = Amount.typed("100%");
    room.apply(there.withSize(new Measures(whole, whole, whole)).withNatural(true));
    assertThat(room.piece("b").at().distance(before.at())).isLessThan(1e-9);
    assertThat(room.piece("b").form()).isEqualTo(before.form());
  }

  @Property(tries = 60)
  void theMarkStaysForEveryTurnAndLean(
      @ForAll @DoubleRange(min = -400, max = 400) double by,
      @ForAll @DoubleRange(min = 0, max = 360) double turn,
      @ForAll Axis axis,
      @ForAll("holds") String about) {
    Rooms room = room(turn);
    room.json("{'do':'lean','pieces':['b'],'toward':70,'by':10}");
    if (axis != Axis.upright) { // tipped over on the floor it comes to rest; held up it does not
      room.json("{'do':'moveTo','pieces':['b'],'to':{'y':0.8}}");
    }
    Piece before = room.piece("b");
    room.apply(
        TurnBuilder.builder()
            .pieces(List.of("b"))
            .by(Amount.of(by))
            .axis(axis)
            .about(about)
            .build());
    Piece after = room.piece("b");
    // a turn about the vertical lets it come to rest, and its foot need not be level
    Vec moved = mark(after, about).minus(mark(before, about));
    assertThat(Math.hypot(moved.x(), moved.z())).isLessThan(1e-9);
    if (axis != Axis.upright) {
      assertThat(Math.abs(moved.y())).isLessThan(1e-9);
      Vec way = axis == Axis.width ? new Vec(1, 0, 0) : new Vec(0, 0, 1);
      assertThat(before.pose().direct(way).dot(after.pose().direct(way)))
          .as("the direction it turns about stays")
          .isCloseTo(1, within(1e-9));
      double cos = before.pose().direct(Vec.UP).dot(after.pose().direct(Vec.UP));
      assertThat(cos).isCloseTo(Math.cos(Math.toRadians(by)), within(1e-9));
    }
  }

  @Property(tries = 60)
  void aKnownLengthComesOutExactly(
      @ForAll @DoubleRange(min = -0.2, max = 0.2) double x,
      @ForAll @DoubleRange(min = 0.1, max = 0.4) double y,
      @ForAll @DoubleRange(min = 0.2, max = 3) double wanted,
      @ForAll @DoubleRange(min = 0, max = 360) double turn) {
    Rooms room = room(turn);
    Piece p = room.piece("b");
    Vec a = new Vec(x, 0.05, -0.1);
    Vec b = new Vec(-0.15, y + 0.05, 0.1);
    room.apply(
        KnownLengthBuilder.builder()
            .pieces(List.of("b"))
            .from(p.pose().apply(a))
            .to(p.pose().apply(b))
            .length(Amount.of(wanted))
            .build());
    double factor = room.piece("b").size().width() / p.size().width();
    assertThat(a.distance(b) * factor).isCloseTo(wanted, within(1e-9));
  }

  @Property(tries = 40)
  void aWholeKeepsThePlacesOfItsPieces(
      @ForAll @DoubleRange(min = 0.3, max = 1.6) double factor,
      @ForAll @DoubleRange(min = 0, max = 360) double turn,
      @ForAll("holds") String hold) {
    Rooms room = room(turn);
    room.put("o", "stool", 2.2, 1.5);
    Piece b = room.piece("b");
    Piece o = room.piece("o");
    room.apply(
        SizeAsOneBuilder.builder()
            .pieces(List.of("b", "o"))
            .size(new Measures(Amount.typed("*" + factor), null, null))
            .together(Together.all)
            .beyond(OutOfRange.stretch)
            .hold(hold)
            .build());
    for (String mark : List.of("left back under", "right front top", "middle")) {
      Vec before = mark(b, mark).minus(mark(o, mark));
      Vec after = mark(room.piece("b"), mark).minus(mark(room.piece("o"), mark));
      assertThat(after.distance(before.times(factor))).isLessThan(1e-9);
    }
  }

  @Property(tries = 60)
  void mirroredTwiceItIsAsItWas(
      @ForAll @DoubleRange(min = 0, max = 360) double turn,
      @ForAll Measure across,
      @ForAll("holds") String about) {
    Rooms room = room(turn);
    room.put("c", "bottle", 3.1, 2.05, 200);
    Piece cup = room.piece("c");
    Piece before = room.piece("b");
    Mirror mirror =
        MirrorBuilder.builder().pieces(List.of("b")).across(across).about(about).build();
    room.apply(mirror);
    Piece once = room.piece("b");
    assertThat(once.form().mirrored()).isTrue();
    // left of the mirror is right of it in the image; front and back, top and bottom turn with it
    String again =
        across != Measure.width
            ? about
            : about.contains("left")
                ? about.replace("left", "right")
                : about.replace("right", "left");
    room.apply(mirror.withAbout(again));
    Piece twice = room.piece("b");
    assertThat(twice.form()).isEqualTo(before.form());
    for (String corner : List.of("left back under", "right front under", "left front top")) {
      assertThat(mark(twice, corner).distance(mark(before, corner))).isLessThan(1e-9);
    }
    assertThat(room.piece("c").form()).as("what stands on it as well").isEqualTo(cup.form());
  }
}
