package pied.core.tool.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Envelope;
import pied.core.Rooms;
import pied.core.space.Shell;
import pied.core.units.Refusal;

/** One width and one depth of a space, and which wall moves. */
class SpaceExtentTest {
  private final Rooms stage = Rooms.stage(); // 10 wide, 6 deep, an apron of 8 by 1.2 in front

  private static Envelope box(Rooms r) {
    return Shell.envelope(r.shell().outline());
  }

  @Test
  void aStageGrowsUpstageAndToBothSides() {
    Envelope was = box(stage);
    stage.json("{'do':'extent','depth':8}");
    assertThat(box(stage).getHeight()).isCloseTo(8, within(1e-9));
    assertThat(box(stage).getMaxY()).as("the setting line stays").isEqualTo(was.getMaxY());
    stage.json("{'do':'extent','width':'12'}");
    assertThat(box(stage).getMinX()).isCloseTo(-6, within(1e-9));
    assertThat(box(stage).getMaxX()).isCloseTo(6, within(1e-9));
    assertThat(stage.said).noneMatch(s -> s.contains("apron"));
  }

  @ParameterizedTest
  @ValueSource(strings = {"B", "D"})
  void bothSideWallsGrowTheStageUpstage(String wall) {
    double front = box(stage).getMaxY();
    stage.json("{'do':'wallLength','wall':'" + wall + "','length':7.5}");
    assertThat(box(stage).getHeight()).isCloseTo(7.5, within(1e-9));
    assertThat(box(stage).getMaxY()).isEqualTo(front);
    assertThat(WallLength.moved(stage.shell(), stage.shell().wall(wall))).isEqualTo("A");
  }

  @Test
  void whatTakesTheApronIsSaid() {
    stage.json("{'do':'moveWall','wall':'C','by':0.5}");
    assertThat(stage.said)
        .anyMatch(s -> s.contains("0.50 in front of the setting line") && s.contains("is left"));
    stage.json("{'do':'moveWall','wall':'C','by':2}");
    assertThat(stage.said).anyMatch(s -> s.contains("nothing is left of its apron"));
  }

  @Test
  void aRoomGrowsAwayFromItsDatum() {
    Rooms room = new Rooms();
    room.json("{'do':'extent','width':7,'depth':5}");
    assertThat(box(room).equals(new Envelope(0, 7, 0, 5))).isTrue();
    room.json("{'do':'datum','to':{'x':7,'y':0,'z':5}}");
    room.json("{'do':'extent','width':6}");
    assertThat(box(room).equals(new Envelope(1, 7, 0, 5))).isTrue();
    assertThatThrownBy(() -> room.json("{'do':'extent','depth':'=-1'}"))
        .isInstanceOf(Refusal.class);
  }
}
