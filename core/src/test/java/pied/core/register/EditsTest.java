package pied.core.register;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static pied.core.Rooms.typed;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import pied.core.Choices;
import pied.core.Rooms;
import pied.core.check.Checks;
import pied.core.check.Snag;
import pied.core.edit.Amount;
import pied.core.edit.Change;
import pied.core.edit.Edit;
import pied.core.edit.Outcome;
import pied.core.measure.Reach;
import pied.core.measure.Side;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Resting;
import pied.core.solid.Nearness;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.tool.finish.Recolour;
import pied.core.tool.keep.Copy;
import pied.core.tool.keep.Remove;
import pied.core.tool.keep.Rename;
import pied.core.tool.move.MoveBy;
import pied.core.tool.move.MoveTo;
import pied.core.tool.move.SetDistance;
import pied.core.tool.move.Settle;
import pied.core.tool.place.Place;
import pied.core.tool.size.Resize;
import pied.core.tool.turn.Turn;
import pied.core.units.Refusal;

class EditsTest {
  private static final Offset<Double> EXACT = within(1e-9);

  private final Rooms room = new Rooms();

  private static Edit.Place3 by(double x, double y, double z) {
    return new Edit.Place3(Amount.of(x), Amount.of(y), Amount.of(z));
  }

  private double reach(String id, Side side) {
    return Reach.of(room.space, room.piece(id), side).distance();
  }

  @Test
  void whatStandsComesToRestOnTheFloorAndACupOnTheTable() {
    Piece table = room.put("t", "cafe-table", 3, 2);
    assertThat(table.at()).isEqualTo(new Vec(3, 0, 2));
    assertThat(table.on()).isEqualTo(On.FLOOR);
    Piece cup = room.put("c", "cup-and-saucer", 3.1, 2.1);
    assertThat(cup.at().y()).isCloseTo(0.74, EXACT);
    assertThat(cup.on()).isEqualTo(On.piece("t"));
  }

  @Test
  void aLargePieceDoesNotClimbOnATableButGoesBesideIt() {
    room.put("t", "cafe-table", 3, 2);
    Piece chair = room.put("c", "armchair", 3.1, 2);
    assertThat(chair.at().y()).isZero();
    assertThat(chair.on()).isEqualTo(On.FLOOR);
    assertThat(room.said).singleElement().asString().contains("aside");
    assertThat(Checks.of(room.space)).isEmpty();
  }

  @Test
  void aSightIntoAShelfPutsTheCupOnTheBoardSeen() {
    room.put("s", "open-shelf", 3, 0.16);
    Vec eye = new Vec(3, 1.6, 3);
    double board = 0.07 + 2 * (1.9 - 0.07 - 0.018) / 5 + 0.018; // third of five levels
    Vec aim = new Vec(3, board, 0.2);
    room.apply(
        new Place(
            "c",
            "cup-and-saucer",
            null,
            null,
            new Edit.Sight(eye, aim.minus(eye)),
            null,
            null,
            null));
    assertThat(room.piece("c").at().y()).isCloseTo(board, within(1e-7));
    assertThat(room.piece("c").on()).isEqualTo(On.piece("s"));
    room.put("top", "cup-and-saucer", 3, 0.16);
    assertThat(room.piece("top").at().y())
        .as("on the plan the topmost board counts")
        .isCloseTo(1.9, EXACT);
  }

  @Test
  void whatIsFixedGoesFlatToTheNearestWallAtItsUsualHeight() {
    Piece picture = room.put("p", "picture-frame", 5.7, 2.9);
    assertThat(picture.on()).isEqualTo(On.wall("B"));
    assertThat(picture.turn()).isEqualTo(270);
    assertThat(picture.at().x()).isCloseTo(6 - 0.015, EXACT);
    assertThat(picture.at().y() + 0.25).as("its middle at eye height").isCloseTo(1.55, EXACT);
    assertThat(reach("p", Side.back)).isCloseTo(0, EXACT);
  }

  @Test
  void whatHangsGoesUpToTheCeiling() {
    Piece lamp = room.put("l", "pendant-lamp", 3, 2);
    assertThat(lamp.at().y() + lamp.size().height()).isCloseTo(2.8, EXACT);
    assertThat(lamp.on()).isEqualTo(On.CEILING);
    room.apply(new Resize(List.of("l"), new Edit.Measures(null, null, typed("1.1")), null));
    assertThat(room.piece("l").at().y()).as("it holds at the top").isCloseTo(1.7, EXACT);
  }

  @Test
  void distancesAreReadAndTyped() {
    room.put("s", "sideboard", 3, 1);
    assertThat(reach("s", Side.back)).isCloseTo(1 - 0.225, EXACT);
    assertThat(reach("s", Side.left)).isCloseTo(3 - 0.8, EXACT);
    assertThat(reach("s", Side.right)).isCloseTo(6 - 3.8, EXACT);
    assertThat(reach("s", Side.under)).isCloseTo(0, EXACT);
    room.apply(new SetDistance("s", Side.back, typed("35cm")));
    assertThat(reach("s", Side.back)).isCloseTo(0.35, EXACT);
    room.apply(new SetDistance("s", Side.left, typed("+10cm")));
    assertThat(reach("s", Side.left)).isCloseTo(2.3, EXACT);
  }

  @Test
  void aDistanceThatDoesNotFitIsRefusedAndNothingChanges() {
    room.put("s", "sideboard", 3, 1);
    Space before = room.space;
    assertThatThrownBy(() -> room.apply(new SetDistance("s", Side.back, typed("5"))))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("Only 3.55 is free");
    assertThatThrownBy(() -> room.apply(new SetDistance("s", Side.back, typed("-9"))))
        .hasMessageContaining("0 or more");
    assertThat(room.space).isSameAs(before);
  }

  @Test
  void sizesAreExactAndASideThatTouchesStays() {
    room.put("s", "sideboard", 3, 0.225);
    room.apply(
        new Resize(List.of("s"), new Edit.Measures(typed("1400 mm"), typed("0.5"), null), null));
    Piece p = room.piece("s");
    assertThat(p.size().width()).isCloseTo(1.4, EXACT);
    assertThat(p.at().x()).as("width grows from the middle").isCloseTo(3, EXACT);
    assertThat(reach("s", Side.back)).as("it stays at the wall").isCloseTo(0, EXACT);
    room.apply(new Resize(List.of("s"), new Edit.Measures(typed("+0.2"), null, null), "left"));
    assertThat(room.piece("s").at().x()).isCloseTo(3.1, EXACT);
  }

  @Test
  void sizesBeyondTheArticlesLimitsAreRefused() {
    room.put("s", "sideboard", 3, 1);
    assertThatThrownBy(
            () ->
                room.apply(
                    new Resize(List.of("s"), new Edit.Measures(Amount.of(-1), null, null), null)))
        .hasMessageContaining("more than zero");
    assertThatThrownBy(
            () ->
                room.apply(
                    new Resize(List.of("s"), new Edit.Measures(typed("9 m"), null, null), null)))
        .hasMessageContaining("0.70 to 3.60 m wide");
  }

  @Test
  void roundThingsStayRound() {
    room.put("t", "cafe-table", 3, 2);
    room.apply(new Resize(List.of("t"), new Edit.Measures(null, typed("0.9"), null), null));
    assertThat(room.piece("t").size().width()).isCloseTo(0.9, EXACT);
  }

  @Test
  void whatStandsOnAPieceGoesWhereItGoes() {
    room.put("s", "sideboard", 3, 1);
    room.put("l", "table-lamp", 3.4, 1);
    room.put("b", "bottle", 2.6, 1.1);
    room.apply(new MoveBy(List.of("s"), by(0.5, 0, 0.7)));
    assertThat(room.piece("l").at()).isEqualTo(new Vec(3.9, room.piece("l").at().y(), 1.7));
    room.apply(new Turn(List.of("s"), typed("90"), null));
    assertThat(room.piece("l").at().x())
        .as("0.4 to its left is now 0.4 up the plan")
        .isCloseTo(3.5, EXACT);
    assertThat(room.piece("l").at().z()).isCloseTo(1.3, EXACT);
    assertThat(room.piece("l").turn()).isEqualTo(90);
    room.apply(new Resize(List.of("s"), new Edit.Measures(null, null, typed("0.9")), null));
    assertThat(room.piece("l").at().y())
        .as("higher, it lifts what stands on it")
        .isCloseTo(0.9, EXACT);
    assertThat(room.piece("b").at().y()).isCloseTo(0.9, EXACT);
    room.apply(new Remove(List.of("s")));
    assertThat(room.piece("l").at().y()).as("removed, they settle on the floor").isZero();
    assertThat(room.piece("b").on()).isEqualTo(On.FLOOR);
    assertThat(Checks.of(room.space)).isEmpty();
  }

  @Test
  void movedOffItsCarrierItSettlesOnWhatIsBeneath() {
    room.put("s", "sideboard", 3, 1);
    room.put("l", "table-lamp", 3.4, 1);
    room.apply(new MoveBy(List.of("l"), by(0, 0, 1)));
    assertThat(room.piece("l").at()).isEqualTo(new Vec(3.4, 0, 2));
    assertThat(room.piece("l").on()).isEqualTo(On.FLOOR);
    assertThat(room.said).contains("Table lamp came to rest on the floor.");
  }

  @Test
  void carrierAndCarriedMovedTogetherMoveOnce() {
    room.put("s", "sideboard", 3, 1);
    room.put("l", "table-lamp", 3, 1);
    room.apply(new MoveBy(List.of("l", "s"), by(1, 0, 0)));
    assertThat(room.piece("l").at().x()).isCloseTo(4, EXACT);
    assertThat(room.piece("s").at().x()).isCloseTo(4, EXACT);
  }

  @Test
  void copyTakesAlongWhatStandsOnItAndNamesIt() {
    room.put("t", "cafe-table", 2, 2);
    room.put("c", "cup-and-saucer", 2, 2);
    Outcome o = room.apply(new Copy(List.of("t"), by(2, 0, 0)));
    assertThat(o.change().pieces()).hasSize(2);
    assertThat(o.change().made()).as("without what came along").hasSize(1);
    Piece table =
        o.change().changed().stream()
            .filter(p -> p.article().equals("cafe-table"))
            .findFirst()
            .orElseThrow();
    Piece cup =
        o.change().changed().stream()
            .filter(p -> p.article().startsWith("cup"))
            .findFirst()
            .orElseThrow();
    assertThat(cup.on()).isEqualTo(On.piece(table.id()));
    assertThat(table.name()).isEqualTo("Round café table 2");
    assertThat(cup.at().x()).isCloseTo(4, EXACT);
  }

  @Test
  void namesAndColours() {
    room.put("s", "sideboard", 3, 1);
    room.apply(new Rename("s", "  By the window "), new Recolour(List.of("s"), "doors", "#aabbcc"));
    assertThat(room.piece("s").name()).isEqualTo("By the window");
    assertThat(room.piece("s").finishes().of("doors").colour()).isEqualTo("#AABBCC");
    assertThatThrownBy(() -> room.apply(new Rename("s", "x".repeat(1_000_000))))
        .hasMessageContaining("up to 120 letters; this one has 1000000");
    assertThatThrownBy(() -> room.apply(new Rename("s", " "))).hasMessageContaining("at least one");
    assertThatThrownBy(() -> room.apply(new Recolour(List.of("s"), "doors", "reddest")))
        .hasMessageContaining("#RRGGBB");
    assertThatThrownBy(() -> room.apply(new Recolour(List.of("s"), "lid", "#112233")))
        .hasMessageContaining("it has carcass, doors, knobs");
  }

  @Test
  void strangersAreRefused() {
    assertThatThrownBy(() -> room.put("x", "flying-carpet", 1, 1))
        .hasMessageContaining("“flying-carpet”");
    assertThatThrownBy(() -> room.apply(new Remove(List.of("nobody"))))
        .hasMessageContaining("“nobody”");
    assertThatThrownBy(() -> room.put("x", "stool", 9, 9)).hasMessageContaining("inside the room");
    room.put("x", "stool", 1, 1);
    assertThatThrownBy(() -> room.put("x", "stool", 2, 2)).hasMessageContaining("already");
    assertThatThrownBy(() -> room.apply(new Rename("x", "A"), new Rename("y", "B")))
        .hasMessageStartingWith("Edit 2:");
    assertThat(room.piece("x").name()).as("all or nothing").isEqualTo("Stool");
  }

  @Test
  void snagsNameWhatHoversOverlapsAndLiesOutside() {
    room.put("a", "sideboard", 3, 1);
    room.put("b", "stool", 3, 3);
    room.apply(new MoveTo(List.of("b"), new Edit.Place3(null, typed("0.5"), null)));
    assertThat(Checks.of(room.space)).extracting(Snag::kind).containsExactly(Snag.SnagKind.hovers);
    room.apply(new MoveTo(List.of("b"), new Edit.Place3(null, typed("0"), typed("1"))));
    assertThat(Checks.of(room.space))
        .extracting(Snag::kind)
        .containsExactly(Snag.SnagKind.overlaps);
    assertThat(room.said).contains("Stool overlaps Oak sideboard.");
    room.apply(new MoveTo(List.of("b"), new Edit.Place3(typed("40"), null, null)));
    assertThat(Checks.of(room.space)).extracting(Snag::kind).containsExactly(Snag.SnagKind.outside);
  }

  @Test
  void aChangeKeptAsTextUndoesToTheLastBit() throws Exception {
    room.put("s", "sideboard", 3.1, 1.0 / 3, 37.3);
    room.put("l", "table-lamp", 3.1, 1.0 / 3);
    Space before = room.space;
    Change change = room.apply(new Turn(List.of("s"), null, typed("11.1"))).change();
    var json = new com.fasterxml.jackson.databind.ObjectMapper();
    Change read = json.readValue(json.writeValueAsString(change), Change.class);
    assertThat(read).isEqualTo(change);
    assertThat(List.copyOf(read.reversed().apply(room.space).pieces()))
        .isEqualTo(List.copyOf(before.pieces()));
  }

  @Test
  void settleLiftsWhatIsSunkAndLowersWhatHovers() {
    room.put("t", "long-table", 3, 2);
    room.put("a", "bottle", 3, 2);
    room.put("b", "bottle", 3.3, 2);
    room.apply(new MoveBy(List.of("a"), by(0, 0.4, 0)), new MoveBy(List.of("b"), by(0, -0.01, 0)));
    room.apply(new Settle(List.of("a", "b")));
    assertThat(room.piece("a").at().y()).isCloseTo(0.74, EXACT);
    assertThat(room.piece("b").at().y()).isCloseTo(0.74, EXACT);
    assertThat(room.piece("a").on()).isEqualTo(On.piece("t"));
  }

  @Test
  void whatAnotherPieceOverlapsStillStandsWhereItStands() {
    room.put("b", "bottle", 3, 2);
    room.put("c", "cafe-table", 5, 3);
    room.apply(new MoveTo(List.of("c"), new Edit.Place3(Amount.of(3), Amount.of(0), Amount.of(2))));
    assertThat(Checks.of(room.space))
        .extracting(Snag::kind)
        .as("they overlap; neither hovers")
        .containsOnly(Snag.SnagKind.overlaps);
  }

  @Property(tries = 25)
  void afterAnyPlacingNothingOverlapsAndAllTouchesItsCarrierAndUndoIsExact(@ForAll Choices r) {
    Rooms rooms = new Rooms();
    String[] articles = {
      "cafe-table",
      "dining-chair",
      "sideboard",
      "cup-and-saucer",
      "bottle",
      "table-lamp",
      "stool",
      "open-shelf"
    };
    List<String> named = new ArrayList<>();
    for (int i = 0; i < 14; i++) {
      Space before = rooms.space;
      Outcome o =
          rooms.apply(
              new Place(
                  "p" + i,
                  articles[r.nextInt(articles.length)],
                  null,
                  new Edit.PlanPoint(
                      Amount.of(0.6 + 4.8 * r.nextDouble()), Amount.of(0.6 + 2.8 * r.nextDouble())),
                  null,
                  Amount.of(360 * r.nextDouble()),
                  null,
                  null));
      assertThat(List.copyOf(o.change().reversed().apply(o.space()).pieces()))
          .isEqualTo(List.copyOf(before.pieces()));
      for (String said : o.said()) {
        if (said.contains(" overlaps ")) {
          named.add(said.substring(0, said.indexOf(" overlaps ")));
        }
      }
    }
    for (Piece p : rooms.space.pieces()) {
      assertThat(p.on().kind()).isNotEqualTo(On.OnKind.nothing);
      if (p.on().kind() == On.OnKind.piece) {
        Piece c = rooms.space.piece(p.on().id());
        double gap =
            Nearness.distance(
                rooms.space.shapes().mesh(p), p.pose(), rooms.space.shapes().mesh(c), c.pose(), 1);
        assertThat(gap).isLessThan(Resting.CONTACT);
      }
    }
    // what finds no free place within reach stays where it was put, and was named when it was
    for (Snag s : Checks.of(rooms.space)) {
      if (s.kind() == Snag.SnagKind.overlaps) {
        assertThat(named).as(s.words()).anyMatch(n -> s.words().contains(n));
      } else {
        assertThat(s.kind()).isEqualTo(Snag.SnagKind.unstable);
      }
    }
  }
}
