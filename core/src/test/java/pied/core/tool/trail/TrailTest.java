package pied.core.tool.trail;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;
import pied.core.Rooms;
import pied.core.check.Checks;
import pied.core.material.Finishes;
import pied.core.piece.Piece;
import pied.core.place.Footprint;
import pied.core.space.Outlines;
import pied.core.space.Shell;
import pied.core.units.Refusal;

class TrailTest {
  private final Rooms room = new Rooms();

  private static List<Piece> all(Rooms r) {
    return List.copyOf(r.space.pieces());
  }

  private static Geometry outline(Rooms r, Piece p) {
    return Footprint.of(r.space.shapes().mesh(p), p.pose());
  }

  @Test
  void alongAnLShapedWallTheyTurnTheCornerWithEqualGaps() {
    Rooms l = Rooms.of(new Shell(Outlines.l(9, 7, 4, 4), 2.8, 0.2, List.of(), Finishes.NONE));
    l.json(
        "{'do':'trail','of':[{'article':'small-tub-tree'}],'along':['wall:A','wall:B'],"
            + "'count':24}");
    List<Piece> all = all(l);
    assertThat(all).hasSize(24);
    assertThat(Checks.of(l.space)).isEmpty();
    double gap = outline(l, all.get(0)).distance(outline(l, all.get(1)));
    for (int i = 1; i < 24; i++) {
      assertThat(outline(l, all.get(i - 1)).distance(outline(l, all.get(i))))
          .as("gap " + i)
          .isEqualTo(gap, within(2e-3));
    }
  }

  @Test
  void theirBacksAreAtTheWallAndTheFirstAndLastWithinIt() {
    room.put("s", "bench", 3, 2, 40);
    room.json("{'do':'trail','pieces':['s'],'along':['wall:A'],'count':3,'offset':0.1}");
    for (Piece p : all(room)) {
      assertThat(p.turn()).isEqualTo(0, within(1e-9));
      assertThat(p.at().z() - p.size().depth() / 2).isEqualTo(0.1, within(1e-6));
    }
    assertThat(Checks.of(room.space)).isEmpty();
  }

  @Test
  void onAPathDrawnByADistanceBetweenMiddles() {
    room.put("s", "stool", 1, 1);
    room.json(
        "{'do':'trail','pieces':['s'],'path':[{'x':1,'z':1},{'x':5,'z':1},{'x':5,'z':3}],"
            + "'pitch':1}");
    assertThat(all(room)).hasSizeBetween(6, 7);
    assertThat(all(room).get(1).at().x()).isEqualTo(2, within(1e-9));
    List<Piece> all = all(room);
    for (int i = 1; i < all.size(); i++) {
      assertThat(all.get(i).at().distance(all.get(i - 1).at())).isEqualTo(1, within(1e-6));
    }
  }

  @Test
  void aroundThePlatformAndBackAgain() {
    room.json("{'do':'platform','at':{'x':3,'z':2},'width':3,'depth':2,'height':0.3}");
    room.put("s", "stool", 0.5, 0.5);
    room.json("{'do':'trail','pieces':['s'],'along':['platform:platform 1'],'count':10}");
    assertThat(all(room)).hasSize(10).allSatisfy(p -> assertThat(p.at().y()).isEqualTo(0.3));
    String g = room.only().id();
    List<Piece> before = all(room);
    room.json("{'do':'trail','group':'" + g + "','count':7}");
    assertThat(all(room)).hasSize(7);
    room.json("{'do':'trail','group':'" + g + "','count':10}");
    for (Piece p : before) {
      assertThat(room.piece(p.id()).stance().at().distance(p.at())).isLessThan(1e-7);
    }
  }

  @Test
  void alongTheFrontOfACounter() {
    room.put("k", "service-counter", 3, 2);
    room.put("s", "bar-stool", 1, 3.5);
    room.json("{'do':'trail','pieces':['s'],'along':['k'],'side':'front','count':3,'offset':0.2}");
    Geometry k = outline(room, room.piece("k"));
    for (Piece p : all(room)) {
      if (!p.id().equals("k")) {
        assertThat(outline(room, p).distance(k)).isGreaterThanOrEqualTo(0.19);
        assertThat(p.at().z()).isGreaterThan(2);
      }
    }
  }

  @Test
  void refusals() {
    room.put("s", "stool", 1, 1);
    for (String[] c :
        new String[][] {
          {"{'do':'trail','pieces':['s'],'path':[{'x':1,'z':1},{'x':1,'z':1}]}", "leads nowhere"},
          {"{'do':'trail','pieces':['s']}", "Draw a path"},
          {"{'do':'trail','pieces':['s'],'along':['wall:A'],'count':90}", "no room along it"},
          {"{'do':'trail','pieces':['s'],'along':['wall:A','wall:C'],'count':3}", "do not meet"},
          {"{'do':'trail','pieces':['s'],'along':['wall:Z'],'count':3}", "no wall"},
        }) {
      assertThatThrownBy(() -> room.json(c[0]))
          .as(c[0])
          .isInstanceOf(Refusal.class)
          .hasMessageContaining(c[1]);
    }
  }
}
