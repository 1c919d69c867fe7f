package pied.core.space;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.solid.Vec;

class BackTest {
  private static final Vec MIDDLE = new Vec(3, 1, 2);

  @Test
  void fromTheMiddleEveryWallIsSeenAndFromOutsideNot() {
    Rooms room = new Rooms();
    room.json("{'do':'opening','kind':'window','wall':'B'}");
    room.json("{'do':'partition','from':{'x':4,'z':1},'to':{'x':4,'z':3}}");
    room.json("{'do':'opening','kind':'door','wall':'partition 1'}");
    List<Back> all = Back.of(room.shell());
    Map<String, Back> by = all.stream().collect(Collectors.toMap(Back::body, b -> b));
    assertThat(by).containsKeys("wall:A", "wall:B", "wall:C", "wall:D", "ceiling");
    for (Back b : all) {
      if (b.point() != null) {
        assertThat(MIDDLE.minus(b.point()).dot(b.inward())).as(b.body()).isPositive();
        Vec outside = b.point().along(b.inward(), -1);
        assertThat(outside.minus(b.point()).dot(b.inward())).as(b.body()).isNegative();
      }
    }
    List<Opening> openings = room.shell().openings();
    String window = openings.get(openings.size() - 2).name().text();
    String door = openings.get(openings.size() - 1).name().text();
    assertThat(by.get(window).with()).isEqualTo("wall:B");
    assertThat(by.get(door).with()).isEqualTo("wall:partition 1");
    assertThat(by.get(door).point()).as("a partition has two faces").isNull();
  }
}
