package pied.core.history;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pied.core.Rooms;
import pied.core.edit.Outcome;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

class InWordsTest {
  private Rooms room;

  @BeforeEach
  void furnish() {
    room = new Rooms();
    room.put("s", "stool", 1, 1);
    room.put("s2", "stool", 2, 1);
    room.put("t", "cafe-table", 4, 2);
    room.put("u", "cup-and-saucer", 4, 2);
    room.json("{'do':'newLayer','id':'l','name':'Seats'}");
    room.json("{'do':'group','id':'g','pieces':['t','u'],'name':'Tea'}");
  }

  private static String words(Rooms in, String edit, LengthUnit unit) {
    Outcome out = in.json(edit);
    return InWords.of(out.change(), out.space(), out.part()).in(unit);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{'do':'place','article':'stool','at':{'x':3,'z':3}} | Put in Stool 3",
        "{'do':'copy','pieces':['s','s2'],'by':{'z':1}} | Put in 2 × Stool",
        "{'do':'copy','pieces':['t'],'by':{'x':1}} | Put in Round café table 2",
        "{'do':'remove','pieces':['s','u']} | Took out 2 pieces",
        "{'do':'moveBy','pieces':['t'],'by':{'x':-0.3}} | Moved Round café table 0.30 m to the left",
        "{'do':'moveBy','pieces':['s','s2'],'by':{'z':0.5,'x':0.1}} |"
            + " Moved 2 × Stool 0.50 m to the front, 0.10 m to the right",
        "{'do':'moveBy','pieces':['u'],'by':{'y':0.25}} | Moved Cup and saucer 0.25 m up",
        "{'do':'moveBy','pieces':['s','t'],'by':{'z':0.2}} | Moved 3 pieces 0.20 m to the front",
        "{'do':'exchange','pieces':['s','s2'],'article':'crate'} | Exchanged 2 × Stool for Crate",
        "{'do':'turn','pieces':['s'],'by':-45} | Turned Stool by -45°",
        "{'do':'turn','pieces':['t','u'],'to':270} | Turned Round café table by -90°",
        "{'do':'size','pieces':['s'],'size':{'height':0.5}} | Sized Stool to 0.36 × 0.36 × 0.50 m",
        "{'do':'mirror','pieces':['s2']} | Mirrored Stool 2",
        "{'do':'lean','pieces':['s'],'by':10} | Leaned Stool",
        "{'do':'rename','piece':'s','name':'The one by the door'} | Named Stool The one by the door",
        "{'do':'recolour','pieces':['s','s2'],'part':'seat','colour':'#102030'} | Coloured 2 × Stool",
        "{'do':'toLayer','pieces':['s','s2'],'layer':'l'} | Put 2 × Stool on the layer Seats",
        "{'do':'toLayer','pieces':['s'],'named':'New'} | Put Stool on the layer New",
        "{'do':'lock','pieces':['s'],'locked':true} | Locked Stool",
        "{'do':'hide','hidden':true,'which':'all'} | Hid 4 pieces",
        "{'do':'remark','pieces':['s'],'remark':'wobbles'} | Remarked on Stool: wobbles",
        "{'do':'group','pieces':['s','s2'],'name':'Pair'} | Put 2 × Stool into the group Pair",
        "{'do':'group','pieces':['g','s'],'name':'All'} | Put Stool into the group All",
        "{'do':'renameGroup','group':'g','name':'Lunch'} | Named the group Tea Lunch",
        "{'do':'nameSelection','name':'Mine','pieces':['s']} | Named the selection Mine",
        "{'do':'newLayer','name':'Back'} | Made the layer Back",
        "{'do':'removeLayer','layer':'l'} | Removed the layer Seats",
        "{'do':'layer','layer':'l','name':'Chairs'} | Named the layer Seats Chairs",
        "{'do':'layer','layer':'l','hidden':true} | Hid the layer Seats",
        "{'do':'layer','layer':'l','locked':true} | Locked the layer Seats",
        "{'do':'layer','layer':'l','colour':'#102030'} | Coloured the layer Seats",
        "{'do':'layer','layer':'l','to':0} | Put the layers in another order",
        "{'do':'attach','pieces':['u'],'to':'t'} | Attached Cup and saucer to Round café table",
        "{'do':'opening','kind':'window','wall':'A'} | Built the window",
        "{'do':'removeParts','parts':['opening:d1']} | Removed the door",
        "{'do':'datum','to':{'x':1,'z':1}} | Moved the datum",
        "{'do':'wallThickness','wall':'A','thickness':0.3} | Altered wall A",
        "{'do':'paint','part':'wall','colour':'#aabbcc'} | Painted the room",
      })
  void whatWasDoneIsOneSentence(String edit, String words) {
    assertThat(words(room, edit, LengthUnit.M)).isEqualTo(words);
  }

  @Test
  void whatIsUndoneIsReadTheOtherWay() {
    Outcome out = room.json("{'do':'moveBy','pieces':['t'],'by':{'x':-0.3}}");
    assertThat(InWords.of(out.change().reversed(), out.space(), null).in(LengthUnit.CM))
        .isEqualTo("Moved Round café table 30.0 cm to the right");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{'do':'opening','kind':'window','wall':'A'} | Removed the window",
        "{'do':'removeParts','parts':['opening:d1']} | Built the door",
        "{'do':'outline','corners':[{'x':0,'z':0},{'x':6,'z':0},{'x':6,'z':4},{'x':3,'z':5},"
            + "{'x':0,'z':4}]} | Removed wall E and 1 more",
        "{'do':'paint','part':'wall','colour':'#aabbcc'} | Painted the room",
      })
  void whatWasBuiltIsReadOffTheChangeWhateverTheSpaceIsLikeNow(String edit, String back) {
    Outcome out = room.json(edit);
    // also where it stands still, as a step that cannot be undone is told
    assertThat(InWords.of(out.change().reversed(), out.space(), null)).hasToString(back);
    // and where others have put something else in its place since
    Space bare = out.space().with(out.space().shell().withOpenings(List.of()));
    assertThat(InWords.of(out.change().reversed(), bare, null)).hasToString(back);
  }

  @Test
  void onAStageDirectionsAreThoseOfTheStage() {
    Rooms stage = Rooms.stage();
    stage.put("s", "stool", 1, -2);
    assertThat(
            words(stage, "{'do':'moveBy','pieces':['s'],'by':{'x':-0.5,'z':-0.2}}", LengthUnit.M))
        .startsWith("Moved Stool 0.50 m to stage right, 0.20 m upstage");
  }
}
