package pied.core.tool.spaceout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.piece.Piece;
import pied.core.solid.Travel;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

class SpaceOutTest {
  private static final Vec ACROSS = new Vec(1, 0, 0);

  private final Rooms room = new Rooms();

  private void four() {
    room.put("a", "stool", 0.6, 2, 10);
    room.put("b", "trunk", 1.7, 2.1, 75);
    room.put("c", "armchair", 3.4, 1.9, 200);
    room.put("d", "stool", 5.2, 2, 33);
  }

  private double gap(String a, String b) {
    Piece p = room.piece(a);
    Piece q = room.piece(b);
    Travel.Stop stop =
        Travel.of(
            room.space.shapes().mesh(p),
            p.pose(),
            room.space.shapes().mesh(q),
            q.pose(),
            ACROSS,
            100);
    assertThat(stop.meets()).isTrue();
    return stop.distance();
  }

  @Test
  void gapsAreEvenBetweenTrueSidesAndTheOuterTwoStay() {
    four();
    Vec a = room.piece("a").at();
    Vec d = room.piece("d").at();
    room.json("{'do':'spaceOut','pieces':['c','a','d','b'],'along':'across'}");
    assertThat(room.piece("a").at()).isEqualTo(a);
    assertThat(room.piece("d").at()).isEqualTo(d);
    double g = gap("a", "b");
    assertThat(gap("b", "c")).isEqualTo(g, within(1e-9));
    assertThat(gap("c", "d")).isEqualTo(g, within(1e-9));
    assertThat(room.said).anyMatch(s -> s.contains("true sides"));
  }

  @Test
  void byChanceTheOrderStaysAndGapsAreEven() {
    Random r = new Random(3);
    for (int i = 0; i < 25; i++) {
      Rooms own = new Rooms();
      List<String> ids = new ArrayList<>();
      for (int k = 0; k < 5; k++) {
        own.put("p" + k, k % 2 == 0 ? "stool" : "trunk", 0.5 + k * 1.2, 2, r.nextInt(360));
        ids.add("p" + k);
      }
      List<String> before = order(own, ids);
      own.json("{'do':'spaceOut','pieces':['p0','p1','p2','p3','p4']}");
      assertThat(order(own, ids)).isEqualTo(before);
      List<Double> gaps = new ArrayList<>();
      for (int k = 1; k < 5; k++) {
        Piece p = own.piece(before.get(k - 1));
        Piece q = own.piece(before.get(k));
        gaps.add(
            Travel.of(
                    own.space.shapes().mesh(p),
                    p.pose(),
                    own.space.shapes().mesh(q),
                    q.pose(),
                    ACROSS,
                    100)
                .distance());
      }
      assertThat(gaps).allSatisfy(g -> assertThat(g).isEqualTo(gaps.get(0), within(1e-9)));
    }
  }

  private static List<String> order(Rooms room, List<String> ids) {
    return ids.stream().sorted(Comparator.comparingDouble(id -> room.piece(id).at().x())).toList();
  }

  @Test
  void anExactGapFromTheFirstTheLastTheMiddleAndTheLead() {
    for (String from : List.of("first", "last", "middle", "lead")) {
      room.space = Rooms.empty();
      four();
      room.json(
          "{'do':'spaceOut','pieces':['a','c','b'],'how':'gap','by':'25 cm','from':'"
              + from
              + "'}");
      assertThat(gap("a", "b")).as(from).isEqualTo(0.25, within(1e-9));
      assertThat(gap("b", "c")).as(from).isEqualTo(0.25, within(1e-9));
      String stays = from.equals("first") ? "a" : from.equals("last") ? "c" : "b";
      if (!from.equals("middle")) {
        double x = stays.equals("a") ? 0.6 : stays.equals("b") ? 1.7 : 3.4;
        assertThat(room.piece(stays).at().x()).as(from).isEqualTo(x);
      }
    }
  }

  @Test
  void touchingAlsoFromOverlapping() {
    room.put("a", "block", 1, 2);
    room.put("b", "block", 2, 2);
    room.put("c", "block", 3, 2);
    room.json("{'do':'size','pieces':['a','b','c'],'size':{'width':1.2}}");
    room.json("{'do':'spaceOut','pieces':['a','b','c'],'how':'touching'}");
    assertThat(room.piece("b").at().x() - room.piece("a").at().x()).isEqualTo(1.2, within(1e-9));
    assertThat(room.piece("c").at().x() - room.piece("b").at().x()).isEqualTo(1.2, within(1e-9));
  }

  @Test
  void anExactDistanceBetweenMiddles() {
    four();
    room.json("{'do':'spaceOut','pieces':['a','b'],'how':'middles','by':2}");
    double a = middle("a");
    assertThat(middle("b") - a).isEqualTo(2, within(1e-9));
  }

  private double middle(String id) {
    return (room.extent(id, ACROSS) - room.extent(id, ACROSS.times(-1))) / 2;
  }

  @Test
  void whatWouldPassGoesByItsBoxAndThatIsSaid() {
    room.put("a", "stool", 1, 1);
    room.put("b", "stool", 2, 3);
    room.json("{'do':'spaceOut','pieces':['a','b'],'how':'gap','by':0.1}");
    assertThat(room.said).anyMatch(s -> s.contains("boxes count"));
  }

  @Test
  void refusals() {
    four();
    assertThatThrownBy(() -> room.json("{'do':'spaceOut','pieces':['a']}"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("two at least");
    assertThatThrownBy(() -> room.json("{'do':'spaceOut','pieces':['a','b']}"))
        .hasMessageContaining("three at least");
    assertThatThrownBy(() -> room.json("{'do':'spaceOut','pieces':['a','b'],'how':'gap','by':-1}"))
        .hasMessageContaining("0 or more");
    room.json("{'do':'moveTo','pieces':['d'],'to':{'x':1.5}}");
    room.json("{'do':'moveTo','pieces':['c'],'to':{'x':1.2}}");
    room.json("{'do':'moveTo','pieces':['b'],'to':{'x':1.1}}");
    assertThatThrownBy(() -> room.json("{'do':'spaceOut','pieces':['a','b','c','d']}"))
        .hasMessageContaining("no room for them");
  }
}
