package pied.core.tool.row;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.check.Checks;
import pied.core.piece.Piece;
import pied.core.solid.Travel;
import pied.core.solid.Vec;
import pied.core.space.Group;
import pied.core.units.Refusal;

class RowTest {
  private final Rooms room = new Rooms();

  private List<Piece> all(Rooms r) {
    return r.space.pieces().stream()
        .sorted(Comparator.comparingDouble((Piece p) -> p.at().x()))
        .toList();
  }

  static double gap(Rooms r, Piece a, Piece b, Vec way) {
    return Travel.of(
            r.space.shapes().mesh(a), a.pose(), r.space.shapes().mesh(b), b.pose(), way, 100)
        .distance();
  }

  @Test
  void aRowHasExactGapsBetweenTrueSides() {
    room.put("s", "stool", 0.6, 2);
    room.json("{'do':'row','pieces':['s'],'count':6,'gap':0.2}");
    List<Piece> all = all(room);
    assertThat(all).hasSize(6);
    for (int i = 1; i < 6; i++) {
      assertThat(gap(room, all.get(i - 1), all.get(i), new Vec(1, 0, 0)))
          .isEqualTo(0.2, within(1e-9));
    }
    assertThat(all.get(0).id()).isEqualTo("s");
    assertThat(Checks.of(room.space)).isEmpty();
    assertThat(room.only().repeats()).isNotNull();
  }

  @Test
  void adjustedThereAndBackItIsTheSame() {
    room.put("s", "stool", 0.6, 2, 20);
    room.json("{'do':'row','pieces':['s'],'count':6,'gap':0.2}");
    String g = room.only().id();
    List<Piece> before = all(room);
    room.json("{'do':'row','group':'" + g + "','count':9,'gap':0.1}");
    assertThat(room.space.pieces()).hasSize(9);
    room.json("{'do':'row','group':'" + g + "','count':6,'gap':0.2}");
    assertThat(all(room)).isEqualTo(before);
    room.json("{'do':'row','group':'" + g + "','count':3}");
    room.json("{'do':'row','group':'" + g + "','count':6}");
    assertThat(all(room)).isEqualTo(before);
  }

  @Test
  void aBlockOnARakeStandsOnIt() {
    Rooms stage = Rooms.stage();
    stage.put("s", "theatre-seat", -3, -1);
    stage.json("{'do':'row','pieces':['s'],'count':9,'gap':0.02,'rows':4,'rowPitch':1}");
    assertThat(stage.space.pieces()).hasSize(36);
    assertThat(Checks.of(stage.space)).isEmpty();
    assertThat(stage.space.pieces().stream().map(p -> p.at().y()).distinct().count())
        .isGreaterThanOrEqualTo(4);
  }

  @Test
  void staggeredRowsAreHalfAPlaceAside() {
    room.put("s", "stool", 1, 3);
    room.json(
        "{'do':'row','pieces':['s'],'count':3,'pitch':0.8,'rows':2,'rowPitch':0.9,'staggered':true}");
    List<Piece> back = room.space.pieces().stream().filter(p -> p.at().z() < 2.5).toList();
    assertThat(back).hasSize(3);
    assertThat(back.get(0).at().x()).isEqualTo(1.4, within(1e-9));
  }

  @Test
  void aLengthIsFilledOrEvenedOut() {
    room.put("s", "block", 0.5, 2);
    room.json("{'do':'row','pieces':['s'],'gap':0.1,'length':3}");
    assertThat(room.space.pieces()).hasSize(5);
    room.json("{'do':'row','group':'" + room.only().id() + "','evened':true}");
    List<Piece> all = all(room);
    assertThat(all.get(4).at().x() - all.get(0).at().x()).isEqualTo(2.5, within(1e-9));
    room.json("{'do':'row','group':'" + room.only().id() + "','length':0,'count':2}");
    assertThat(room.space.pieces()).hasSize(2);
  }

  @Test
  void aLaidTableGoesWithWhatStandsOnIt() {
    room.put("t", "round-table", 1, 2);
    room.put("c", "cup-and-saucer", 1.1, 2);
    assertThat(room.piece("c").on().id()).isEqualTo("t");
    room.json("{'do':'row','pieces':['t'],'count':3,'gap':0.4}");
    assertThat(room.space.pieces()).hasSize(6);
    assertThat(room.space.pieces().stream().filter(p -> p.article().equals("cup-and-saucer")))
        .allSatisfy(p -> assertThat(room.piece(p.on().id()).article()).isEqualTo("round-table"));
  }

  @Test
  void aMixTurnsUpByItsShares() {
    room.json(
        "{'do':'row','of':[{'article':'stool','share':2},{'article':'trunk'}],"
            + "'count':6,'gap':0.05,'at':{'x':0.5,'z':2}}");
    assertThat(room.space.pieces().stream().filter(p -> p.article().equals("stool"))).hasSize(4);
    assertThat(room.said).isEmpty();
  }

  @Test
  void oneTakenOutStaysOutAndOneMovedStaysWhereItIs() {
    room.put("s", "stool", 0.6, 2);
    room.json("{'do':'row','pieces':['s'],'count':5,'gap':0.3}");
    String g = room.only().id();
    List<Piece> all = all(room);
    room.json("{'do':'remove','pieces':['" + all.get(2).id() + "']}");
    room.json("{'do':'moveBy','pieces':['" + all.get(3).id() + "'],'by':{'z':0.5}}");
    Piece own = room.piece(all.get(3).id());
    room.json("{'do':'row','group':'" + g + "','gap':0.2}");
    assertThat(room.space.pieces()).hasSize(4);
    assertThat(room.piece(own.id())).isEqualTo(own);
    room.json("{'do':'row','group':'" + g + "','refill':true}");
    assertThat(room.space.pieces()).hasSize(5);
  }

  @Test
  void movedAndTurnedAsAWholeItGoesOnFromThere() {
    room.put("s", "stool", 1, 1);
    room.json("{'do':'row','pieces':['s'],'count':3,'gap':0.3}");
    String g = room.only().id();
    String ids = String.join("','", room.space.members(g));
    room.json("{'do':'turn','pieces':['" + ids + "'],'by':90,'together':true}");
    room.json("{'do':'moveBy','pieces':['" + ids + "'],'by':{'x':0.4}}");
    List<Piece> before = List.copyOf(room.space.pieces());
    room.json("{'do':'row','group':'" + g + "','gap':0.5}");
    room.json("{'do':'row','group':'" + g + "','gap':0.3}");
    for (Piece p : before) {
      assertThat(room.piece(p.id()).at().distance(p.at())).isLessThan(1e-9);
    }
  }

  @Test
  void aCopyOfARowIsARowOfItsOwn() {
    room.put("s", "stool", 0.6, 1);
    room.json("{'do':'row','pieces':['s'],'count':3,'gap':0.3}");
    String g = room.only().id();
    room.json(
        "{'do':'copy','pieces':['"
            + String.join("','", room.space.members(g))
            + "'],'by':{'z':1.5}}");
    String other =
        room.space.filing().groups().stream()
            .map(Group::id)
            .filter(id -> !id.equals(g))
            .findFirst()
            .orElseThrow();
    room.json("{'do':'row','group':'" + other + "','count':5}");
    assertThat(room.space.members(other)).hasSize(5);
    assertThat(room.space.members(g)).hasSize(3);
    assertThat(room.space.members(other))
        .allSatisfy(id -> assertThat(room.piece(id).at().z()).isEqualTo(2.5, within(1e-9)));
  }

  @Test
  void dissolvedTheyArePiecesByThemselves() {
    room.put("s", "stool", 0.6, 1);
    room.json("{'do':'row','pieces':['s'],'count':3,'gap':0.3}");
    room.json("{'do':'dissolve','group':'" + room.only().id() + "'}");
    assertThat(room.space.pieces()).allSatisfy(p -> assertThat(p.keeping().slot()).isNull());
    assertThat(room.space.filing().groups()).isEmpty();
  }

  @Test
  void refusals() {
    room.put("s", "stool", 0.6, 1);
    for (String[] c :
        new String[][] {
          {"{'do':'row','count':3}", "Select what is to be repeated"},
          {"{'do':'row','pieces':['s'],'count':1000000}", "Up to 5000"},
          {"{'do':'row','pieces':['s'],'count':300,'rows':300}", "Up to 5000"},
          {"{'do':'row','pieces':['s'],'count':0}", "One at least"},
          {"{'do':'row','pieces':['s'],'gap':-1}", "more than that"},
          {"{'do':'row','pieces':['s'],'length':0.1}", "no room for one"},
          {"{'do':'row','pieces':['s'],'gap':1,'pitch':2}", "and not both"},
          {"{'do':'row','group':'nobody'}", "no such repetition"},
          {"{'do':'row','of':[{'article':'stool'}]}", "where the first one stands"},
        }) {
      assertThatThrownBy(() -> room.json(c[0]))
          .as(c[0])
          .isInstanceOf(Refusal.class)
          .hasMessageContaining(c[1]);
    }
  }
}
