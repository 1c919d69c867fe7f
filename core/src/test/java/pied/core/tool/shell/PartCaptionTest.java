package pied.core.tool.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pied.core.Rooms;
import pied.core.caption.Caption;
import pied.core.edit.Edit;
import pied.core.phrase.Phrase;
import pied.core.register.Tools;
import pied.core.space.PartName;
import pied.core.space.Shell;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

class PartCaptionTest {
  private final ObjectMapper json = Tools.json();
  private final Rooms stage = Rooms.stage();

  @BeforeEach
  void build() {
    stage.json("{'do':'platform','at':{'x':-3,'z':-4},'width':'2','depth':'2','height':'0.8'}");
    stage.json("{'do':'flight','kind':'steps','platform':'platform 1'}");
    stage.json("{'do':'flight','kind':'ramp','at':{'x':-1.9,'z':-4},'going':'3'}");
    stage.json("{'do':'bar','at':{'x':0,'z':-1.5},'trim':'4'}");
    stage.json("{'do':'column','at':{'x':4,'z':-5.5},'round':true}");
    stage.json("{'do':'partition','from':{'x':1,'z':-5},'to':{'x':4,'z':-5},'height':'3'}");
    stage.json("{'do':'opening','kind':'door','wall':'partition 1','from':'0.5','sill':'0.3'}");
    stage.json("{'do':'opening','kind':'niche','wall':'A','from':'0.5'}");
  }

  private static String read(List<Phrase> phrases) {
    return phrases.stream()
        .filter(p -> !(p instanceof Phrase.PhraseSwatch))
        .map(Phrase::text)
        .collect(Collectors.joining());
  }

  private String read(String part) {
    return read(Caption.of(stage.space, PartName.read(part), LengthUnit.M));
  }

  @Test
  void placesAreReadInTheWordsOfTheStage() {
    assertThat(read("platform:platform 1"))
        .startsWith(
            "Platform 1 — 2.00 wide × 2.00 deep × 0.80 high, 4.0 m², at 3.00 stage right, 4.00 upstage.");
    assertThat(read("bar:bar 1"))
        .startsWith("Bar 1 — 9.00 long, trim 4.00, at 0.00 stage left, 1.50 upstage.");
    stage.put("c", "dining-chair", 1.2, -2.4);
    assertThat(read(Caption.of(stage.space, "Stage", List.of("c"), LengthUnit.M)))
        .contains("on the stage floor")
        .contains(", upright, at 1.20 stage left, 2.40 upstage.");
    stage.json("{'do':'datum','to':{'x':2,'z':-3}}");
    assertThat(read(Caption.of(stage.space, "Stage", List.of("c"), LengthUnit.M)))
        .contains("at 0.80 stage right, 0.60 downstage.");
  }

  @Test
  void aTypedPlaceIsReadLikeTheOneThatIsShown() {
    stage.put("c", "dining-chair", 1.2, -2.4);
    stage.json("{'do':'moveTo','pieces':['c'],'to':{'stageRight':'0.5','upstage':'+0.4'}}");
    assertThat(stage.piece("c").at().x()).isEqualTo(-0.5);
    assertThat(stage.piece("c").at().z()).isEqualTo(-2.8);
  }

  @Test
  void theWholeIsDescribedWhenNothingIsSelected() {
    assertThat(read(Caption.of(stage.space, "Stage", List.of(), LengthUnit.M)))
        .startsWith("Stage — 10.00 across × 6.00 deep × 5.00 to the grid, raked 1 in 20,");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "wall:A",
        "wall:partition 1",
        "corner:1",
        "opening:door 1",
        "opening:niche 1",
        "opening:proscenium",
        "column:column 1",
        "platform:platform 1",
        "flight:steps 1",
        "flight:ramp 1",
        "bar:bar 1"
      })
  void whatOneReadsTypedAgainChangesNothing(String part) {
    for (Phrase p : Caption.of(stage.space, PartName.read(part), LengthUnit.M)) {
      if (p instanceof Phrase.PhraseField) {
        typedAgain(p);
      }
    }
  }

  @Test
  void soDoesEveryMeasureInTheList() {
    stage.json("{'do':'build','skirtingHeight':'0.1'}");
    for (ShellList.ShellGroup g : ShellList.of(stage.space, LengthUnit.M)) {
      for (ShellList.ShellRow r : g.rows()) {
        r.phrases().forEach(this::typedAgain);
      }
    }
  }

  private void typedAgain(Phrase phrase) {
    if (!(phrase instanceof Phrase.PhraseField p)) {
      return;
    }
    Shell before = stage.shell();
    ObjectNode edit = json.valueToTree(p.blank().edit());
    ObjectNode at = edit;
    String[] names = p.blank().slot().split("\\.");
    for (int i = 0; i + 1 < names.length; i++) {
      at = at.withObject("/" + names[i]);
    }
    String text = p.text().replace("°", "");
    at.put(names[names.length - 1], text.startsWith("-") ? "=" + text : text);
    try {
      stage.apply(json.treeToValue(edit, Edit.class));
    } catch (com.fasterxml.jackson.core.JsonProcessingException e) {
      throw new AssertionError(p.label(), e);
    }
    assertThat(near(stage.shell(), before)).as(p.label() + ": " + p.text()).isTrue();
  }

  /** The same but for what a shown number leaves out, half a millimetre. */
  private boolean near(Shell a, Shell b) {
    List<Double> x = numbers(json.valueToTree(a));
    List<Double> y = numbers(json.valueToTree(b));
    if (x.size() != y.size()) {
      return false;
    }
    for (int i = 0; i < x.size(); i++) {
      if (Math.abs(x.get(i) - y.get(i)) > 6e-4) {
        return false;
      }
    }
    return true;
  }

  private static List<Double> numbers(com.fasterxml.jackson.databind.JsonNode node) {
    List<Double> all = new ArrayList<>();
    if (node.isNumber()) {
      all.add(node.doubleValue());
    }
    node.forEach(n -> all.addAll(numbers(n)));
    return all;
  }

  @Test
  void choicesAndActionsAreEditsThatCanBeMade() {
    for (String part : List.of("opening:door 1", "column:column 1", "platform:platform 1")) {
      for (Phrase p : Caption.of(stage.space, PartName.read(part), LengthUnit.M)) {
        List<Edit> edits = new ArrayList<>();
        if (p instanceof Phrase.PhraseChoice c) {
          c.options().forEach(o -> edits.add(o.edit()));
        } else if (p instanceof Phrase.PhraseAction a && a.text().equals("Steps up to it")) {
          edits.add(a.edit());
        }
        for (Edit e : edits) {
          stage.apply(e);
        }
      }
    }
    assertThat(stage.shell().flights()).as("other steps").hasSize(3);
    assertThat(stage.shell().columns().get(0).round()).as("the last one offered").isFalse();
  }

  @Test
  void whatIsNotThereIsRefused() {
    assertThatThrownBy(() -> read("wall:Z")).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> read("corner:x")).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> read("corner:77")).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> read("nonsense")).isInstanceOf(Refusal.class);
  }
}
