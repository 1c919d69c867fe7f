package pied.core.tool.keep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pied.core.Nullable;
import pied.core.Rooms;
import pied.core.check.Checks;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.Outcome;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.register.Tools;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/** Copies onto other carriers, pasted from elsewhere, and what is taken of the lead. */
class CopyingTest {
  private static final Offset<Double> EXACT = within(1e-9);
  private static final ObjectMapper JSON = Tools.json();

  private Rooms room;

  @BeforeEach
  void lay() {
    room = new Rooms();
    room.put("t", "cafe-table", 1, 1, 20);
    room.put("u", "cup-and-saucer", 1.1, 1.05);
    room.put("v", "bottle", 0.9, 0.95);
    room.put("t2", "cafe-table", 3, 1, 80);
    room.put("t3", "cafe-table", 5, 3);
  }

  private void refused(String edit, String words) {
    assertThatThrownBy(() -> room.json(edit)).isInstanceOf(Refusal.class).hasMessage(words);
  }

  private List<Piece> made(Outcome out) {
    return out.change().pieces().filter(d -> d.before() == null).map(d -> d.piece()).toList();
  }

  // ---- onto others

  @Test
  void whatStandsOnATableGoesOntoOthersAtTheMatchingPlaces() {
    List<Piece> made = made(room.json("{'do':'copyOnto','pieces':['t'],'onto':['t2','t3']}"));
    assertThat(made).hasSize(4);
    for (Piece p : made) {
      Piece table = room.piece(p.on().id());
      Piece first = room.piece(p.article().equals("bottle") ? "v" : "u");
      Vec there = room.piece("t").pose().unapply(first.at());
      Vec here = table.pose().unapply(p.at());
      assertThat(here.minus(there).length()).isLessThan(1e-7);
      double more = p.turn() - table.turn() - first.turn() + 20;
      assertThat(Math.IEEEremainder(more, 360)).isEqualTo(0, EXACT);
    }
    assertThat(made).extracting(p -> p.on().id()).containsOnly("t2", "t3");
    assertThat(Checks.of(room.space)).isEmpty();
  }

  @Test
  void onALargerOneTheyStandAsFarOutAndOnItsTrueTop() {
    room.json("{'do':'size','pieces':['t3'],'size':{'width':0.9,'height':0.7}}");
    Piece big = room.piece("t3");
    Piece cup = made(room.json("{'do':'copyOnto','pieces':['u'],'onto':['t3']}")).get(0);
    Vec there = room.piece("t").pose().unapply(room.piece("u").at());
    Vec here = big.pose().unapply(cup.at());
    double wider = big.size().width() / room.piece("t").size().width();
    assertThat(here.x()).isEqualTo(there.x() * wider, within(1e-7));
    assertThat(cup.at().y()).isEqualTo(big.size().height(), within(1e-3));
    assertThat(cup.on()).isEqualTo(On.piece("t3"));
  }

  @Test
  void whatCannotBeCopiedOntoOthersIsRefused() {
    refused(
        "{'do':'copyOnto','pieces':['t3'],'onto':['t2']}",
        "Round café table 3 stands on no other piece, and nothing on it; copy what stands on one.");
    refused("{'do':'copyOnto','pieces':['u'],'onto':['v']}", "Nothing can stand on Bottle.");
    refused(
        "{'do':'copyOnto','pieces':['u'],'onto':['t']}",
        "Select the pieces onto which it goes, other than the one it stands on.");
  }

  // ---- pasted

  private Paste paste(@Nullable Edit.PlanPoint at, String... chosen) {
    Clip clip = Clip.of(room.space, List.of(chosen));
    return new Paste(clip.pieces(), clip.groups(), at);
  }

  @Test
  void allThatStandsOnWhatIsChosenIsHeldReadyWithTheGroupsAboutIt() {
    room.json("{'do':'group','id':'tea','pieces':['u','v'],'name':'Tea'}");
    room.json("{'do':'group','id':'set','pieces':['u','v','t'],'name':'Set'}");
    Clip clip = Clip.of(room.space, List.of("t3", "t"));
    assertThat(clip.pieces()).extracting(p -> p.id()).hasSize(4).endsWith("t3", "t");
    assertThat(clip.groups()).extracting(g -> g.id()).containsExactlyInAnyOrder("tea", "set");
    assertThat(Clip.of(room.space, List.of("t3")).groups()).isEmpty();
  }

  @Test
  void nothingOrWhatIsGoneIsNotHeldReady() {
    assertThatThrownBy(() -> Clip.of(room.space, List.of()))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("Nothing is selected");
    assertThatThrownBy(() -> Clip.of(room.space, List.of("t", "gone")))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("gone");
  }

  @Test
  void aLaidTableIsPastedIntoAnotherSpaceWithAllThatStandsOnIt() {
    room.json("{'do':'recolour','pieces':['v'],'part':'glass','colour':'#102030'}");
    room.json("{'do':'group','id':'g','pieces':['t','u','v'],'name':'Tea'}");
    Edit paste = paste(new Edit.PlanPoint(Amount.of(4), Amount.of(2)), "t");
    Rooms other = new Rooms();
    List<Piece> made = made(other.apply(paste));
    Piece table = made.stream().filter(p -> p.article().equals("cafe-table")).findFirst().get();
    for (Piece p : made) {
      Piece first = room.piece(p == table ? "t" : p.article().equals("bottle") ? "v" : "u");
      assertThat(p.at().minus(table.at()).minus(first.at().minus(room.piece("t").at())).length())
          .isLessThan(1e-9);
      assertThat(p.finishes()).isEqualTo(first.finishes());
      assertThat(p.form()).isEqualTo(first.form());
      assertThat(p == table ? p.on() : On.piece(table.id()))
          .isEqualTo(p == table ? On.FLOOR : p.on());
    }
    assertThat(other.space.filing().groups()).extracting("name").containsExactly("Tea");
    assertThat(made).extracting(p -> p.keeping().group()).doesNotContainNull();
    assertThat(Checks.of(other.space)).isEmpty();
  }

  @Test
  void whatNoLongerCanBeIsRefusedInWords() throws Exception {
    String text = JSON.writeValueAsString((Edit) paste(null, "v")).replace("bottle", "long-gone");
    assertThatThrownBy(() -> room.apply(JSON.readValue(text, Edit.class)))
        .hasMessage(
            "Bottle cannot be pasted: its article is not in the catalog of this project any"
                + " more.");
    ObjectNode none = (ObjectNode) JSON.readTree(text);
    none.set("pieces", JSON.createArrayNode());
    assertThatThrownBy(() -> room.apply(JSON.treeToValue(none, Edit.class)))
        .hasMessage("Nothing was copied that could be pasted.");
    ObjectNode huge = (ObjectNode) JSON.readTree(JSON.writeValueAsString((Edit) paste(null, "v")));
    ((ObjectNode) ((ArrayNode) huge.get("pieces")).get(0).get("size")).put("height", 500);
    assertThatThrownBy(() -> room.apply(JSON.treeToValue(huge, Edit.class)))
        .isInstanceOf(Refusal.class);
  }

  // ---- as the lead

  @Test
  void twoBecomeAsTheThird() {
    room.put("a", "armchair", 1, 3, 10);
    room.put("b", "armchair", 2.2, 3, 50);
    room.put("c", "armchair", 3.6, 3, 200);
    room.json("{'do':'size','pieces':['c'],'size':{'height':'110%'},'beyond':'stretch'}");
    room.json("{'do':'recolour','pieces':['c'],'part':'cover','colour':'#405060'}");
    room.json("{'do':'toLayer','pieces':['c'],'named':'Easy'}");
    room.json(
        "{'do':'asLead','pieces':['a','b','c'],"
            + "'traits':['size','turn','finishes','layer'],'beyond':'stretch'}");
    for (String id : List.of("a", "b")) {
      assertThat(room.piece(id).size().height()).isEqualTo(room.piece("c").size().height(), EXACT);
      assertThat(room.piece(id).turn()).isEqualTo(200, EXACT);
      assertThat(room.piece(id).finishes()).isEqualTo(room.piece("c").finishes());
      assertThat(room.piece(id).keeping()).isEqualTo(room.piece("c").keeping());
    }
  }

  @Test
  void theFinishesOfSomethingQuiteOtherAreRefused() {
    refused(
        "{'do':'asLead','pieces':['v','t'],'traits':['finishes']}",
        "Bottle has no part that is finished like one of Round café table.");
    refused(
        "{'do':'asLead','pieces':['t'],'traits':['turn']}",
        "Select what is to be as another, and that one last.");
  }

  // ---- lost and found

  @Test
  void whatIsLostIsBroughtToAPoint() {
    room.json("{'do':'moveTo','pieces':['t3'],'to':{'x':300,'y':40,'z':-20}}");
    room.json("{'do':'bringIn','pieces':['t3'],'at':{'x':4.5,'z':2.5}}");
    assertThat(room.piece("t3").at()).isEqualTo(new Vec(4.5, 0, 2.5));
    assertThat(room.piece("t3").on()).isEqualTo(On.FLOOR);
  }
}
