package pied.core.tool.ring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;
import pied.core.Rooms;
import pied.core.check.Checks;
import pied.core.piece.Piece;
import pied.core.place.Footprint;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

class RingTest {
  private final Rooms room = new Rooms();

  private Geometry outline(Piece p) {
    return Footprint.of(room.space.shapes().mesh(p), p.pose());
  }

  private List<Piece> chairs() {
    return room.space.pieces().stream().filter(p -> !p.id().equals("t")).toList();
  }

  private void oval() {
    room.put("t", "oval-table", 3, 2);
    room.put("c", "dining-chair", 0.6, 3.4);
  }

  @Test
  void eightChairsAroundAnOvalTableAndThenTen() {
    oval();
    room.json("{'do':'ring','pieces':['c'],'around':'t','count':8,'gap':0.1}");
    around(8);
    room.json("{'do':'ring','group':'" + room.only().id() + "','count':10}");
    around(10);
  }

  private void around(int n) {
    assertThat(chairs()).hasSize(n);
    Geometry table = outline(room.piece("t"));
    for (Piece c : chairs()) {
      assertThat(outline(c).distance(table)).isEqualTo(0.1, within(1e-6));
      Vec front = c.pose().direct(new Vec(0, 0, 1));
      Vec toTable = room.piece("t").at().minus(c.at());
      assertThat(front.dot(toTable)).isPositive();
    }
    assertThat(Checks.of(room.space)).isEmpty();
  }

  @Test
  void aLongTableHasThemAtItsSidesAndNobodyAtACorner() {
    room.put("t", "long-table", 3, 2);
    room.put("c", "stool", 0.5, 0.5);
    room.json("{'do':'ring','pieces':['c'],'around':'t','count':8,'gap':0.05}");
    Piece t = room.piece("t");
    for (Piece c : chairs()) {
      Vec own = t.pose().unapply(c.at());
      boolean bySide = Math.abs(own.x()) < t.size().width() / 2;
      boolean byEnd = Math.abs(own.z()) < t.size().depth() / 2;
      assertThat(bySide != byEnd).as(own.toString()).isTrue();
    }
    assertThat(Checks.of(room.space)).isEmpty();
  }

  @Test
  void overAnArcAndAroundAPoint() {
    room.put("c", "stool", 0.5, 0.5);
    room.json(
        "{'do':'ring','pieces':['c'],'at':{'x':3,'z':1.5},'count':5,'radius':1.2,'from':-60,'arc':120}");
    for (Piece c : chairs()) {
      assertThat(Math.hypot(c.at().x() - 3, c.at().z() - 1.5)).isEqualTo(1.2, within(1e-9));
      assertThat(c.at().z()).isGreaterThan(1.5);
    }
  }

  @Test
  void adjustedThereAndBackItIsTheSame() {
    oval();
    room.json("{'do':'ring','pieces':['c'],'around':'t','count':8,'gap':0.1}");
    String g = room.only().id();
    List<Piece> before = chairs();
    room.json("{'do':'ring','group':'" + g + "','gap':0.3,'count':5,'facing':'outward'}");
    room.json("{'do':'ring','group':'" + g + "','gap':0.1,'count':8,'facing':'inward'}");
    assertThat(chairs()).containsExactlyInAnyOrderElementsOf(before);
  }

  @Test
  void refusals() {
    oval();
    for (String[] c :
        new String[][] {
          {"{'do':'ring','pieces':['c'],'around':'t','count':40}", "no room around it"},
          {"{'do':'ring','pieces':['c','t'],'around':'t'}", "around itself"},
          {"{'do':'ring','pieces':['c']}", "Say around what"},
          {"{'do':'ring','pieces':['c'],'around':'t','gap':-0.1}", "0 or more"},
          {"{'do':'ring','pieces':['c'],'around':'t','arc':0}", "An arc"},
          {"{'do':'ring','pieces':['c'],'around':'nobody'}", "no piece"},
        }) {
      assertThatThrownBy(() -> room.json(c[0]))
          .as(c[0])
          .isInstanceOf(Refusal.class)
          .hasMessageContaining(c[1]);
    }
  }
}
