package pied.core.tool.move;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.carry.CarryAsk;
import pied.core.carry.CarryResult;
import pied.core.carry.Carrying;
import pied.core.check.Checks;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.space.Spot;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** What hangs stays as high as it was hung, on lines of its own, whatever else is done to it. */
class HangingTest {
  /** The height of the grid of the stage. */
  private double grid;

  private Rooms stage;
  private double high;

  @BeforeEach
  void hang() {
    stage = Rooms.stage();
    grid = stage.space.shell().height();
    high = stage.put("t", "truss", 0, -3).size().height();
  }

  private Piece truss() {
    return stage.piece("t");
  }

  @Test
  void itHangsSoFarBelowTheGridAsWasTyped() {
    assertThat(truss().at().y() + high).as("right under it").isCloseTo(grid, within(1e-9));
    stage.json("{'do':'hang','pieces':['t'],'below':'30cm'}");
    assertThat(truss().at().y() + high).isCloseTo(grid - 0.3, within(1e-9));
    assertThat(truss().on()).isEqualTo(On.CEILING);
    assertThat(Checks.of(stage.space)).isEmpty();
    stage.json("{'do':'hang','pieces':['t'],'below':'+0.2'}");
    assertThat(truss().at().y() + high).isCloseTo(grid - 0.5, within(1e-9));
  }

  @Test
  void movedLevelItStaysAsHighAsItWasTyped() {
    stage.json("{'do':'moveTo','pieces':['t'],'to':{'y':3.2}}");
    double y = truss().at().y();
    stage.json("{'do':'moveBy','pieces':['t'],'by':{'upstage':1}}");
    assertThat(truss().at().z()).isCloseTo(-4, within(1e-9));
    assertThat(truss().at().y()).isEqualTo(y);
    stage.json("{'do':'moveTo','pieces':['t'],'to':{'x':0.5}}");
    assertThat(truss().at().y()).isEqualTo(y);
    stage.json("{'do':'setDistance','piece':'t','side':'back','distance':1}");
    assertThat(truss().at().y()).isEqualTo(y);
    stage.json("{'do':'turn','pieces':['t'],'to':10}");
    assertThat(truss().at().y()).isEqualTo(y);
    assertThat(Checks.of(stage.space)).isEmpty();
  }

  @Test
  void carriedOnThePlanItStaysAsHighAndItIsSaidHowItHangs() {
    stage.json("{'do':'hang','pieces':['t'],'below':1.5}");
    double y = truss().at().y();
    CarryAsk q = CarryAsk.onPlan(List.of("t"), new Spot(0, -4), 0);
    CarryResult a = Carrying.answer(stage.space, q, LengthUnit.M);
    assertThat(a.pieces().get(0).at().y()).isEqualTo(y);
    assertThat(a.pieces().get(0).at().z()).isCloseTo(-4, within(1e-9));
    assertThat(a.place()).isEqualTo("hung 1.50 below the grid");
    assertThat(a.on()).isEqualTo(On.CEILING);
  }

  @Test
  void settledItGoesUpToWhatIsAboveIt() {
    stage.json("{'do':'hang','pieces':['t'],'below':1.5}");
    stage.json("{'do':'settle','pieces':['t']}");
    assertThat(truss().at().y() + high).isCloseTo(grid, within(1e-9));
  }

  @Test
  void movedOffTheBarItHungFromItKeepsItsHeightAndThatIsSaid() {
    stage.json("{'do':'bar','at':{'x':0,'z':-2},'trim':4}");
    Piece lamp = stage.put("f", "flood", 1, -2);
    assertThat(lamp.on().kind()).isEqualTo(On.OnKind.bar);
    stage.json("{'do':'moveBy','pieces':['f'],'by':{'z':0.8}}");
    assertThat(stage.piece("f").at().y()).isEqualTo(lamp.at().y());
    assertThat(stage.piece("f").on()).isEqualTo(On.CEILING);
    assertThat(stage.said).anyMatch(s -> s.contains(" below the grid."));
  }

  @Test
  void aHigherGridLeavesItWhereItIsAndALowOnePressesItDownNoMoreThanItMust() {
    stage.json("{'do':'hang','pieces':['t'],'below':0.5}");
    Piece right = stage.put("r", "truss", 0, -5);
    double y = truss().at().y();
    stage.json("{'do':'build','height':" + (grid + 1) + "}");
    assertThat(truss().at().y()).isEqualTo(y);
    assertThat(stage.piece("r").at().y()).isCloseTo(right.at().y() + 1, within(1e-9));
    stage.json("{'do':'build','height':" + (grid - 0.9) + "}");
    assertThat(truss().at().y() + high).isCloseTo(grid - 0.9, within(1e-9));
  }

  @Test
  void whatStandsAndWhatIsTooLowIsRefusedWithWhatWouldBePossible() {
    stage.put("s", "stool", 2, -2);
    assertThatThrownBy(() -> stage.json("{'do':'hang','pieces':['s'],'below':1}"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("Stool does not hang");
    assertThatThrownBy(() -> stage.json("{'do':'hang','pieces':['t'],'below':40}"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("can hang from 0 to ")
        .hasMessageContaining(" below the grid, not 40.00");
    assertThatThrownBy(() -> stage.json("{'do':'hang','pieces':['t'],'below':'=-1'}"))
        .isInstanceOf(Refusal.class);
  }

  @Test
  void theTopsOfSeveralComeToOneHeightWithWhatTheyCarry() {
    Rooms room = new Rooms();
    room.put("t", "cafe-table", 3, 2);
    room.put("c", "cup-and-saucer", 3, 2);
    room.put("s", "stool", 5, 2);
    room.json("{'do':'topAt','pieces':['c','t'],'height':1.1}");
    for (String id : List.of("c", "t")) {
      Piece p = room.piece(id);
      assertThat(p.at().y() + p.size().height()).isCloseTo(1.1, within(1e-9));
    }
    room.json("{'do':'datum','to':{'x':0,'y':0.2,'z':0}}");
    room.json("{'do':'topAt','pieces':['s'],'height':'60cm'}");
    Piece s = room.piece("s");
    assertThat(s.at().y() + s.size().height()).isCloseTo(0.8, within(1e-9));
  }
}
