package pied.core.tool.move;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.carry.CarryAsk;
import pied.core.carry.CarryResult;
import pied.core.carry.Carrying;
import pied.core.edit.Declined;
import pied.core.edit.Edit;
import pied.core.edit.Outcome;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.space.Spot;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** What hangs by a length of its own, in a room 2.80 high. */
class DropTest {
  private static final Offset<Double> EXACT = within(1e-9);

  private final Rooms room = new Rooms();

  private double top(String id) {
    Piece p = room.piece(id);
    return p.at().y() + p.size().height();
  }

  @Test
  void theUndersideOfAPendantIsHowLongItsCordIs() {
    room.put("l", "pendant-lamp", 3, 2);
    assertThat(top("l")).isEqualTo(2.8, EXACT);
    for (double low : new double[] {1.4, 0.75, 2.2}) {
      Outcome o = room.json("{'do':'moveTo','pieces':['l'],'to':{'y':" + low + "}}");
      assertThat(room.piece("l").at().y()).isEqualTo(low, EXACT);
      assertThat(top("l")).as("the canopy stays at the ceiling").isEqualTo(2.8, EXACT);
      assertThat(room.piece("l").on()).isEqualTo(On.CEILING);
      assertThat(o.said()).anyMatch(s -> s.startsWith("Pendant lamp is "));
    }
  }

  @Test
  void beyondWhatItComesInItSaysSoAndOffersWhatCanBe() {
    room.put("l", "pendant-lamp", 3, 2);
    Declined said =
        catchThrowableOfType(
            Declined.class, () -> room.json("{'do':'moveTo','pieces':['l'],'to':{'y':2.7}}"));
    assertThat(said.getMessage()).contains("0.40");
    room.apply(said.offers().get(0).edits().toArray(Edit[]::new));
    assertThat(room.piece("l").at().y()).isEqualTo(2.4, EXACT);
    assertThatThrownBy(() -> room.json("{'do':'moveTo','pieces':['l'],'to':{'y':3}}"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("does not go above it");
  }

  @Test
  void whatHasNoLengthOfItsOwnIsHungLowerAsItIs() {
    room.put("t", "truss", 3, 2);
    double high = room.piece("t").size().height();
    room.json("{'do':'moveTo','pieces':['t'],'to':{'y':2.2}}");
    assertThat(room.piece("t").size().height()).isEqualTo(high);
    assertThat(room.piece("t").at().y()).isEqualTo(2.2, EXACT);
  }

  @Test
  void theHemOfADrapeIsOfferedToReachTheFloor() {
    Outcome hung =
        room.json(
            "{'do':'place','piece':'d','article':'masking-drape','at':{'x':3,'z':2},"
                + "'size':{'height':2.3}}");
    assertThat(hung.said()).anyMatch(s -> s.contains("above the floor"));
    room.apply(hung.offers().get(0).edits().toArray(Edit[]::new));
    assertThat(room.piece("d").at().y()).isEqualTo(0, EXACT);
    assertThat(top("d")).isEqualTo(2.8, EXACT);
    assertThat(Drop.hem(room.space, room.piece("d"))).isNaN();
  }

  @Test
  void aPendantIsHeldOverTheMiddleOfTheTableBeneathIt() {
    room.put("t", "cafe-table", 2, 2, 20);
    room.put("u", "cup-and-saucer", 2.05, 2.05);
    room.put("l", "pendant-lamp", 4, 2);
    CarryAsk q = CarryAsk.onPlan(List.of("l"), new Spot(2.06, 1.95), 0.15);
    CarryResult a = Carrying.answer(room.space, q, LengthUnit.M);
    Piece l = a.pieces().get(0);
    assertThat(l.at().x()).isEqualTo(2, within(1e-6));
    assertThat(l.at().z()).isEqualTo(2, within(1e-6));
    assertThat(a.snaps())
        .extracting(CarryResult.CarrySnap::words)
        .contains("over the middle of Round café table");
  }

  @Test
  void aLadderThatMeetsNoWallIsToldWhereItsFootIsToBe() {
    room.json(
        "{'do':'opening','kind':'opening','wall':'A','from':1.5,'width':3,'height':2.8,'sill':0}");
    room.put("l", "ladder", 3, 1);
    assertThatThrownBy(() -> room.json("{'do':'leanAgainst','pieces':['l'],'angle':75,'wall':'A'}"))
        .hasMessageContaining("the foot of");
  }
}
