package pied.core.register;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.edit.Outcome;
import pied.core.material.Finishes;
import pied.core.piece.Form;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.piece.Stance;
import pied.core.solid.Body;
import pied.core.solid.Vec;
import pied.core.space.Outlines;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.tool.keep.Lock;
import pied.core.tool.keep.Rename;
import pied.core.tool.keep.WhichPieces;
import pied.core.tool.move.MoveBy;
import pied.core.tool.shell.MoveWall;
import pied.core.units.LengthUnit;

/** What an edit touches decides what it costs: work is counted here, not time. */
class WorkTest {
  private static final int SIDE = 40;
  private static final double PITCH = 1.5;
  private static Space large;

  /** 1,600 tables with a cup on each. */
  @BeforeAll
  static void furnish() {
    double w = SIDE * PITCH;
    Shell shell = new Shell(Outlines.rectangle(w, w), 3, 0.2, List.of(), Finishes.NONE);
    var shapes = Rooms.SHAPES;
    var table = shapes.catalog().article("cafe-table");
    var cup = shapes.catalog().article("cup-and-saucer");
    List<Piece> all = new ArrayList<>();
    for (int i = 0; i < SIDE * SIDE; i++) {
      Vec at = new Vec(PITCH * (i % SIDE + 0.5), 0, PITCH * (i / SIDE + 0.5));
      String id = "t" + i;
      all.add(
          new Piece(
              id,
              id,
              new Form(table.id(), table.size()),
              new Stance(at, 0),
              On.FLOOR,
              Finishes.NONE));
      Vec top = at.plus(new Vec(0, table.size().height(), 0));
      all.add(
          new Piece(
              "c" + i,
              "c" + i,
              new Form(cup.id(), cup.size()),
              new Stance(top, 0),
              On.piece(id),
              Finishes.NONE));
    }
    large = new Space(shell, all, shapes);
    large.bodies();
  }

  private static Outcome make(Edit edit) {
    return Edits.apply(large, List.of(edit), LengthUnit.M, () -> "");
  }

  private static Edit move(String id) {
    return new MoveBy(List.of(id), new Edit.Place3(Amount.of(0.05), null, null));
  }

  /** Bodies of one space that the other does not have, the very same. */
  private static long others(Space a, Space b) {
    Set<Body> known = Collections.newSetFromMap(new IdentityHashMap<>());
    known.addAll(b.bodies().all());
    return a.bodies().all().stream().filter(x -> !known.contains(x)).count();
  }

  @Test
  void aMoveMakesTheBodiesOfWhatMovesAndNoOthers() {
    Outcome moved = make(move("t820"));
    assertThat(moved.change().all()).hasSize(2);
    assertThat(others(moved.space(), large)).isEqualTo(2);
    Space back = moved.change().reversed().apply(moved.space());
    assertThat(others(back, moved.space())).isEqualTo(2);
  }

  @Test
  void whatIsWorkedOutForEachPieceIsWorkedOutAgainOnlyNearWhatMoved() {
    List<String> looked = new ArrayList<>();
    BiFunction<Space, Piece, String> each =
        (s, p) -> {
          looked.add(p.id());
          return p.name();
        };
    large.renewed("names", each);
    assertThat(looked).hasSize(2 * SIDE * SIDE);
    Space moved = make(move("t820")).space();
    looked.clear();
    moved.renewed("names", each);
    assertThat(looked).containsExactly("t820", "c820");
    looked.clear();
    Space again = make(move("t820")).space();
    again.renewed("names", each);
    again.renewed("names", each);
    assertThat(looked).hasSize(2);
  }

  @Test
  void howAllArePutInOrderChangesNothingOfWhatIsSolid() {
    List<String> looked = new ArrayList<>();
    BiFunction<Space, Piece, String> each =
        (s, p) -> {
          looked.add(p.id());
          return p.name();
        };
    large.renewedBySolid("snags", each);
    Space locked = make(new Lock(null, true, WhichPieces.all)).space();
    looked.clear();
    locked.renewedBySolid("snags", each);
    assertThat(looked).isEmpty();
    assertThat(others(locked, large)).isZero();
    Space named = make(new Rename("t820", "Other")).space();
    named.renewedBySolid("snags", each);
    assertThat(looked).contains("t820").hasSizeLessThan(4);
  }

  @Test
  void aQuestionAboutAPlaceOpensTheTreeThereOnly() {
    int[] opened = {0};
    Space moved = make(move("t820")).space();
    for (Space s : List.of(large, moved)) {
      opened[0] = 0;
      Body t = s.bodies().body("t820");
      s.bodies().ray(t.box().centre(), Vec.UP, 1e3, b -> opened[0]++ >= 0);
      s.bodies().travel(t.mesh(), t.pose(), Vec.DOWN, 1, b -> opened[0]++ >= 0);
      assertThat(opened[0]).isLessThan(12);
    }
  }

  @Test
  void aWallThatMovesLeavesThoseAloneThatAreNotThere() {
    Outcome out = make(new MoveWall("B", Amount.of(0.4)));
    assertThat(out.change().pieces()).isEmpty();
    assertThat(out.said()).isEmpty();
    Outcome in = make(new MoveWall("B", Amount.of(-0.5)));
    // it comes to where the middles of tables were no farther than 0.75 m from it
    assertThat(in.change().pieces().toList()).hasSizeLessThanOrEqualTo(2 * SIDE);
    // the floor, the ceiling, walls A, B and C
    assertThat(others(out.space(), large)).isLessThanOrEqualTo(12);
  }
}
