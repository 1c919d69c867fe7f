package pied.core.show;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import pied.core.Rooms;
import pied.core.handover.ScheduleCsv;
import pied.core.solid.Vec;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/** Viewpoints that are kept, and looks. */
class ViewpointTest {
  private static Viewpoint only(Rooms room) {
    return room.space.showing().viewpoints().get(0);
  }

  /** A lens of 24 mm sees 73.7° over the 36 mm of a full frame, 53.1° over its 24 mm. */
  @Test
  void lensesAreThoseOfAFullFrame() {
    assertThat(Viewpoint.angle(24)).isCloseTo(73.74, within(0.01));
    assertThat(Viewpoint.angle(50)).isCloseTo(39.6, within(0.01));
    assertThat(Viewpoint.lens(Viewpoint.angle(35))).isCloseTo(35, within(1e-9));
    Viewpoint v = Viewpoint.ready("a", "outside", Vec.ZERO, new Vec(0, 0, -1), false);
    assertThat(v.withLens(24).high(1.5)).isCloseTo(53.13, within(0.01));
    // a standing picture has the longer side upright
    assertThat(v.withLens(24).high(1 / 1.5)).isCloseTo(73.74, within(0.01));
  }

  @Test
  void oneStandsAndLooksAtEyeHeightAboveTheFloorThatIsThere() {
    Rooms room = new Rooms();
    room.json("{'do':'platform','at':{'x':2,'z':2},'width':1,'depth':1,'height':0.4}");
    room.json("{'do':'keepViewpoint','stand':{'x':2,'z':2},'to':{'x':5,'z':2},'lens':'90°'}");
    assertThat(only(room).eye()).isEqualTo(new Vec(2, 2.0, 2));
    assertThat(only(room).target()).isEqualTo(new Vec(5, 2.0, 2));
    assertThat(only(room).lens()).isCloseTo(18, within(1e-9));
    assertThat(only(room).name()).isEqualTo("Viewpoint 1");
    room.json("{'do':'viewpoint','viewpoint':'Viewpoint 1','height':1.1,'lens':'24 mm'}");
    assertThat(only(room).eye().y()).isCloseTo(1.5, within(1e-12));
    assertThat(only(room).target().y()).isCloseTo(1.5, within(1e-12));
    room.json("{'do':'viewpoint','viewpoint':'Viewpoint 1','stand':{'x':4,'z':3}}");
    assertThat(only(room).eye().y()).as("as high above another floor").isCloseTo(1.1, within(1e-9));
    ViewMark m = ViewMark.of(List.of(only(room))).get(0);
    assertThat(m.at().x()).isEqualTo(4);
    double wide = m.left().minus(m.at()).unit().dot(m.right().minus(m.at()).unit());
    assertThat(Math.toDegrees(Math.acos(wide))).isCloseTo(73.74, within(0.01));
  }

  @Test
  void fromASeatOneLooksWhereItFacesSeated() {
    Rooms room = new Rooms();
    room.put("c", "dining-chair", 3, 2, 90);
    room.json("{'do':'keepViewpoint','from':'c'}");
    assertThat(only(room).eye()).isEqualTo(new Vec(3, 1.2, 2));
    assertThat(only(room).target().minus(only(room).eye()).minus(new Vec(1, 0, 0)).length())
        .isLessThan(1e-9);
    assertThat(only(room).name()).isEqualTo("From Dining chair");
  }

  @Test
  void whatMakesNoSenseIsRefused() {
    Rooms room = new Rooms();
    String there = "{'do':'keepViewpoint','stand':{'x':1,'z':1},'to':{'x':%s,'z':1}%s}";
    assertThatThrownBy(() -> room.json(there.formatted("1", ""))).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> room.json(there.formatted("2", ",'lens':3")))
        .hasMessageContaining("between 8 and 400 mm");
    assertThatThrownBy(() -> room.json(there.formatted("2", ",'ratio':9")))
        .isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> room.json(there.formatted("2", ",'height':900")))
        .isInstanceOf(Refusal.class);
    assertThatThrownBy(
            () -> room.json("{'do':'keepViewpoint','stand':{'x':99,'z':1},'to':{'x':1,'z':1}}"))
        .hasMessageContaining("no floor");
    assertThatThrownBy(() -> room.json("{'do':'day','hour':'25:00'}")).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> room.json("{'do':'day','date':'21.3.'}")).isInstanceOf(Refusal.class);
    assertThat(room.space.showing()).isEqualTo(Showing.PLAIN);
  }

  @Test
  void theirOrderIsAsOnePutsThem() {
    Rooms room = new Rooms();
    for (String n : List.of("A", "B", "C")) {
      room.json("{'do':'keepLook','name':'" + n + "'}");
    }
    room.json("{'do':'look','look':'C','to':0}");
    room.json("{'do':'look','look':'A','to':1}");
    assertThat(room.space.showing().looks())
        .extracting(LightLook::name)
        .containsExactly("C", "A", "B");
  }

  /** Whatever was switched since, a look that is recalled is as it was, and the day with it. */
  @Test
  void aLookComesBackAsItWasKept() {
    Rooms room = new Rooms();
    room.put("p", "pendant-lamp", 3, 2);
    room.put("f", "floor-lamp", 1, 2);
    room.json("{'do':'lamps','pieces':['p'],'level':'40 %'}");
    room.json("{'do':'lamps','pieces':['f'],'on':false}");
    room.json("{'do':'day','hour':'19:30'}");
    room.json("{'do':'keepLook','name':'Evening'}");
    room.json("{'do':'lamps','which':{},'level':'100 %'}");
    room.json("{'do':'day','hour':'8:00','sky':'overcast'}");
    room.put("late", "table-lamp", 4, 3);
    room.json("{'do':'recallLook','look':'evening'}");
    assertThat(room.piece("p").lamp().level()).isEqualTo(0.4);
    assertThat(room.piece("f").lamp().on()).isFalse();
    assertThat(room.piece("late").lamp().burning()).as("came later").isEqualTo(1);
    assertThat(room.space.showing().day().hour()).isEqualTo(19.5);
    // on paper, what is on none is a channel by itself
    List<List<String>> list =
        ScheduleCsv.rows(room.space, ScheduleCsv.CsvBy.look, LengthUnit.M, false);
    assertThat(list.get(0))
        .containsExactly("Channel", "Name", "Lamps", "Power (W)", "Now", "Evening");
    assertThat(list.get(1)).containsExactly("1", "Pendant lamp", "1", "9", "40 %", "40 %");
    assertThat(list.get(3)).containsExactly("3", "Table lamp", "1", "6", "100 %", "");
    // a lamp that is locked where it stands can be switched all the same
    room.json("{'do':'lock','pieces':['f'],'locked':true}");
    room.json("{'do':'lamps','pieces':['f'],'on':true}");
    assertThat(room.piece("f").lamp().burning()).isEqualTo(1);
  }
}
