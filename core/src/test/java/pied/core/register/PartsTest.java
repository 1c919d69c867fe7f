package pied.core.register;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.annotation.JsonTypeName;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import pied.core.Rooms;
import pied.core.caption.Caption;
import pied.core.edit.Change;
import pied.core.edit.Declined;
import pied.core.edit.Edit;
import pied.core.edit.Outcome;
import pied.core.phrase.Phrase;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.select.Meant;
import pied.core.select.Selecting;
import pied.core.space.Flight;
import pied.core.space.Opening;
import pied.core.space.PartName;
import pied.core.space.Platform;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/**
 * Parts of the shell are as good as pieces: what can be done to both is done, and all else says why
 * not.
 */
class PartsTest {
  /** One of each kind, in a room of 6 × 4 m. */
  private static final List<String> PARTS =
      List.of(
          "platform:platform 1",
          "flight:steps 1",
          "flight:ramp 1",
          "column:column 1",
          "bar:bar 1",
          "wall:partition 1",
          "opening:d1",
          "opening:w1",
          "opening:door 1");

  /** What is done to a part as to a piece. */
  private static final Set<String> BOTH =
      Set.of(
          "lock",
          "unlock",
          "hide",
          "toLayer",
          "group",
          "intoGroup",
          "rename",
          "remark",
          "nameSelection",
          "remove",
          "moveBy",
          "copy",
          "twin",
          "partTwins");

  private static final Space BUILT = built().space;

  private static Rooms room() {
    Rooms room = new Rooms();
    room.space = BUILT;
    return room;
  }

  private static Rooms built() {
    Rooms room = new Rooms();
    room.json("{'do':'platform','at':{'x':1.4,'z':0.8},'width':1.2,'depth':1,'height':0.4}");
    room.json("{'do':'flight','platform':'platform 1'}");
    room.json("{'do':'flight','kind':'ramp','at':{'x':3.4,'z':1.5},'going':1.2}");
    room.json("{'do':'column','at':{'x':2.6,'z':1}}");
    room.json("{'do':'bar','at':{'x':2,'z':1.5},'length':1.6}");
    room.json("{'do':'partition','from':{'x':0.6,'z':2.6},'to':{'x':2.9,'z':2.6}}");
    room.json("{'do':'opening','kind':'door','wall':'partition 1','width':0.6}");
    room.json("{'do':'opening','part':'w1','width':1}");
    room.put("s", "stool", 1.4, 0.8);
    room.put("c", "chest-of-drawers", 5, 3);
    room.json("{'do':'newLayer','id':'far','name':'Far'}");
    return room;
  }

  static Stream<String> parts() {
    return PARTS.stream();
  }

  @Test
  void thereIsOneOfEachKind() {
    Shell shell = room().shell();
    assertThat(PARTS).allMatch(p -> shell.part(PartName.read(p)) != null);
    Set<Class<?>> kinds =
        PARTS.stream()
            .map(p -> shell.part(PartName.read(p)).getClass())
            .collect(Collectors.toSet());
    assertThat(kinds).hasSize(shell.parts().size());
  }

  // ---- the table of verbs and kinds

  /** Examples of every edit that names pieces, made from the register. */
  private static Map<String, ObjectNode> examples() throws Exception {
    Map<String, ObjectNode> all = new TreeMap<>();
    for (String e : EveryEditTest.texts()) {
      ObjectNode edit = (ObjectNode) Rooms.JSON.readTree(e.replace('\'', '"'));
      boolean many = edit.path("pieces").path(0).isTextual();
      if (many || edit.path("piece").isTextual()) {
        all.putIfAbsent(edit.get("do").asText(), edit);
      }
    }
    all.put("unlock", (ObjectNode) Rooms.JSON.readTree("{\"do\":\"unlock\",\"pieces\":[\"c\"]}"));
    return all;
  }

  @Test
  void everyEditOfTheRegisterThatNamesPiecesIsInTheTable() throws Exception {
    Set<String> named = new TreeSet<>();
    for (Class<? extends Edit> e : Tools.edits()) {
      boolean names =
          Arrays.stream(e.getRecordComponents())
              .filter(c -> List.of("pieces", "piece").contains(c.getName()))
              .map(RecordComponent::getGenericType)
              .map(Object::toString)
              .anyMatch(
                  t -> t.equals("class java.lang.String") || t.contains("<java.lang.String>"));
      if (names) {
        named.add(e.getAnnotation(JsonTypeName.class).value());
      }
    }
    named.removeAll(Set.of("place", "putDown")); // of what is put in, or in hand
    assertThat(examples().keySet()).containsAll(named);
    assertThat(named).containsAll(BOTH);
  }

  @ParameterizedTest
  @MethodSource("parts")
  void eachCellDoesItOrSaysWhyNot(String part) throws Exception {
    for (Map.Entry<String, ObjectNode> e : examples().entrySet()) {
      cell(e.getKey(), e.getValue().deepCopy(), part);
    }
  }

  private static void cell(String verb, ObjectNode edit, String part) throws Exception {
    Rooms room = room();
    if (edit.has("pieces")) {
      ArrayNode one = edit.putArray("pieces");
      one.add(part);
      if (verb.equals("group")) {
        one.add("c");
      }
    } else {
      edit.put("piece", part);
    }
    if (verb.equals("moveBy")) {
      edit.set("by", Rooms.JSON.readTree("{\"x\":0.05,\"z\":0.05}"));
    }
    if (verb.equals("copy") && part.startsWith("wall")) {
      edit.set("by", Rooms.JSON.readTree("{\"z\":0.4}"));
    }
    if (verb.equals("lock") || verb.equals("hide")) {
      edit.remove("which");
      edit.put(verb.equals("lock") ? "locked" : "hidden", true);
    }
    if (verb.equals("unlock")) {
      room.json("{'do':'lock','pieces':['" + part + "'],'locked':true}");
    }
    if (verb.equals("intoGroup")) {
      room.json("{'do':'group','id':'g','pieces':['s','c']}");
    }
    if (verb.equals("toLayer")) {
      edit.put("named", "Far");
    }
    if (verb.equals("twin") || verb.equals("partTwins")) {
      edit.set("about", Rooms.JSON.readTree("{\"by\":\"centre\"}"));
      if (part.equals("opening:door 1")) { // its twin needs a wall to be in
        edit.withArray("pieces").add("wall:partition 1");
      }
    }
    if (verb.equals("partTwins")) {
      room.apply(Rooms.JSON.treeToValue(edit.deepCopy().put("do", "twin"), Edit.class));
      edit.remove("about");
    }
    String cell = verb + " × " + part;
    boolean hole = verb.equals("hide") && part.startsWith("opening");
    try {
      Outcome done = room.apply(Rooms.JSON.treeToValue(edit, Edit.class));
      assertThat(done.change().none()).as(cell + " does it").isFalse();
      assertThat(BOTH).as(cell).contains(verb);
    } catch (Refusal e) {
      assertThat(hole || !BOTH.contains(verb)).as(cell + ": " + e.getMessage()).isTrue();
      assertThat(e.getMessage()).as(cell).contains("is built in: ").endsWith(".");
    }
  }

  // ---- moved, copied, twinned, with what is on them

  private final Rooms room = room();

  private Platform platform(int n) {
    return (Platform) room.shell().part(PartName.read("platform:platform " + n));
  }

  private static double x(Platform p) {
    return Shell.envelope(p.outline()).centre().x;
  }

  @Test
  void whatStandsOnAPlatformGoesWithItOnceAlsoWhenItIsSelectedToo() {
    Piece before = room.piece("s");
    room.json("{'do':'moveBy','pieces':['platform:platform 1','s','c'],'by':{'x':0.3,'z':0.1}}");
    assertThat(x(platform(1))).isEqualTo(1.7, within(1e-9));
    Piece s = room.piece("s");
    assertThat(s.at().minus(before.at()).x()).isEqualTo(0.3, within(1e-9));
    assertThat(s.at().y()).isEqualTo(0.4, within(1e-9));
    assertThat(s.on()).isEqualTo(On.platform("platform 1"));
    assertThat(room.piece("c").at().x()).isEqualTo(5.3, within(1e-9));
  }

  @Test
  void whatIsFixedToTheFloorGoesNeitherUpNorDownAndABarDoes() {
    room.json("{'do':'moveBy','pieces':['bar:bar 1'],'by':{'y':-0.2}}");
    assertThat(room.shell().bars().get(0).trim())
        .isEqualTo(built().shell().bars().get(0).trim() - 0.2, within(1e-9));
    assertThatThrownBy(
            () -> room.json("{'do':'moveBy','pieces':['column:column 1'],'by':{'y':0.2}}"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("column 1 stands on the floor");
  }

  @Test
  void theTwinOfAPlatformCarriesTheTwinsOfWhatStandsOnIt() {
    room.json(
        "{'do':'twin','pieces':['platform:platform 1','flight:steps 1'],'about':{'by':'centre'}}");
    assertThat(x(platform(2))).isEqualTo(4.6, within(1e-9)); // 1.4 about 3.0
    Piece s = room.piece("s");
    Piece other = room.piece(s.keeping().twin().piece());
    assertThat(other.on()).isEqualTo(On.platform("platform 2"));
    assertThat(other.at().y()).isEqualTo(0.4, within(1e-9));
    assertThat(other.at().x()).isEqualTo(6 - s.at().x(), within(1e-9));
    Flight f = (Flight) room.shell().part(PartName.read("flight:steps 2"));
    Flight of = (Flight) room.shell().part(PartName.read("flight:steps 1"));
    assertThat(f.at().x()).isEqualTo(6 - of.at().x(), within(1e-9));
    assertThat(f.top()).isEqualTo(of.top());
    assertThat((f.turn() + of.turn()) % 360).isEqualTo(0, within(1e-9));

    // the other follows, with what stands on it
    room.json("{'do':'platform','part':'platform 1','height':0.6}");
    assertThat(platform(2).height()).isEqualTo(0.6);
    assertThat(room.piece(other.id()).at().y()).isEqualTo(0.6, within(1e-9));
    room.json("{'do':'moveBy','pieces':['platform:platform 2'],'by':{'x':0.1}}");
    assertThat(x(platform(1))).isEqualTo(1.3, within(1e-9));
    assertThat(room.piece("s").at().x()).isEqualTo(1.3, within(1e-9));

    // both sides moved alike: their line goes along
    double line = room.space.filing().twins().get(0).at().x();
    room.json(
        "{'do':'moveBy','pieces':['platform:platform 1','platform:platform 2',"
            + "'flight:steps 1','flight:steps 2'],'by':{'x':0.2}}");
    assertThat(x(platform(1))).isEqualTo(1.5, within(1e-9));
    assertThat(x(platform(2))).isEqualTo(4.9, within(1e-9));
    assertThat(room.space.filing().twins().get(0).at().x()).isEqualTo(line + 0.2, within(1e-9));

    // the line moved by itself: the second ones go
    room.json(
        "{'do':'twinLine','twin':'" + room.space.filing().twins().get(0).id() + "','off':3.4}");
    assertThat(x(platform(1))).isEqualTo(1.5, within(1e-9));
    assertThat(x(platform(2))).isEqualTo(5.3, within(1e-9));
    assertThat(room.piece(other.id()).on()).isEqualTo(On.platform("platform 2"));
  }

  @Test
  void theTwinOfADoorIsHingedOnTheOtherSideInTheWallThatIsThere() {
    room.json("{'do':'twin','pieces':['opening:w1','opening:d1'],'about':{'by':'centre'}}");
    List<Opening> all = room.shell().openings();
    Opening door =
        all.stream()
            .filter(o -> o.wall().equals("C") && !o.id().equals("d1"))
            .findFirst()
            .orElseThrow();
    Opening d1 = room.shell().opening("d1");
    double end = room.shell().wall("C").length();
    assertThat(door.from()).isEqualTo(end - d1.to(), within(1e-9));
    assertThat(door.hinge()).isNotEqualTo(d1.hinge());
    assertThat(all)
        .filteredOn(o -> o.wall().equals("D"))
        .singleElement()
        .satisfies(o -> assertThat(o.sill()).isEqualTo(0.9));
    assertThatThrownBy(
            () -> room.json("{'do':'twin','pieces':['opening:door 1'],'about':{'by':'centre'}}"))
        .hasMessageContaining("There is no wall where the twin of the door would be");
  }

  @Test
  void ofAPairItIsAskedWhetherBothGo() {
    room.json("{'do':'remove','pieces':['s']}");
    room.json("{'do':'twin','pieces':['platform:platform 1'],'about':{'by':'centre'}}");
    Declined asked =
        catchThrowableOfType(
            Declined.class, () -> room.json("{'do':'remove','pieces':['platform:platform 2']}"));
    assertThat(asked.getMessage())
        .isEqualTo("Platform 2 is a twin of the platform 1. Are both to be taken out?");
    Space paired = room.space;
    room.apply(asked.offers().get(0).edits().toArray(Edit[]::new));
    assertThat(room.shell().platforms()).isEmpty();
    assertThat(room.space.filing().twins()).isEmpty();
    assertThat(room.space.filing().parts()).isEmpty();
    room.space = paired;
    room.apply(asked.offers().get(1).edits().toArray(Edit[]::new));
    assertThat(room.shell().platforms()).hasSize(1);
    assertThat(room.space.filing().parts()).isEmpty();
  }

  @Test
  void aCopyOfAPlatformHasCopiesOfWhatIsOnItAndIsBesideIt() {
    room.json("{'do':'copy','pieces':['platform:platform 1'],'by':{'x':2.6}}");
    assertThat(x(platform(2))).isEqualTo(4.0, within(1e-9));
    List<Piece> stools =
        room.space.pieces().stream().filter(p -> p.article().equals("stool")).toList();
    assertThat(stools).hasSize(2);
    assertThat(stools.get(1).on()).isEqualTo(On.platform("platform 2"));
    assertThat(stools.get(1).at().y()).isEqualTo(0.4, within(1e-9));
  }

  // ---- kept in order

  @Test
  void nothingIsDoneToAPartThatIsLockedUntilItIsUnlocked() {
    room.json("{'do':'lock','pieces':['platform:platform 1'],'locked':true}");
    Declined said =
        catchThrowableOfType(
            Declined.class, () -> room.json("{'do':'platform','part':'platform 1','height':0.5}"));
    assertThat(said.getMessage()).isEqualTo("Platform 1 is locked, so nothing is done to it.");
    assertThatThrownBy(() -> room.json("{'do':'remove','pieces':['platform:platform 1']}"))
        .hasMessageContaining("is locked");
    room.json("{'do':'moveWall','wall':'B','by':0.4}"); // that is none of it
    room.apply(said.offers().get(1).edits().toArray(Edit[]::new));
    assertThat(platform(1).height()).isEqualTo(0.5);
  }

  @Test
  void aPartIsHiddenByItselfAndWithItsLayerButIsThere() {
    room.json("{'do':'toLayer','pieces':['column:column 1'],'layer':'far'}");
    room.json("{'do':'layer','layer':'far','hidden':true}");
    room.json("{'do':'hide','pieces':['platform:platform 1'],'hidden':true}");
    assertThat(room.space.shellBodies())
        .filteredOn(b -> !room.space.seen(b))
        .extracting(b -> b.id())
        .containsExactlyInAnyOrder("column:column 1", "platform:platform 1");
    room.json("{'do':'hide','hidden':false,'which':'all','layers':true}");
    assertThat(room.space.shellBodies()).allMatch(room.space::seen);
  }

  @Test
  void aRectangleTakesPartsAndPiecesTogetherAndAGroupIsTakenWhole() {
    Meant round =
        new Meant(
            Meant.MeantBy.figure,
            null,
            null,
            null,
            List.of(new Spot(0.5, 0.1), new Spot(2.1, 2.2)),
            null,
            null);
    assertThat(Selecting.of(room.space, round))
        .containsExactly("platform:platform 1", "flight:steps 1", "s");
    room.json("{'do':'group','id':'g','pieces':['platform:platform 1','c'],'name':'Dais'}");
    Meant click = new Meant(Meant.MeantBy.piece, List.of("c"), null, null, null, null, null);
    assertThat(Selecting.of(room.space, click)).containsExactly("platform:platform 1", "c");
    room.json("{'do':'remove','pieces':['c']}");
    assertThat(room.space.filing().group("g")).as("there is something in it").isNotNull();
    room.json("{'do':'remove','pieces':['platform:platform 1']}");
    assertThat(room.space.filing().group("g")).isNull();
  }

  @Test
  void whatIsDoneToPiecesAloneIsOfferedForThem() {
    Declined said =
        catchThrowableOfType(
            Declined.class,
            () -> room.json("{'do':'mirror','pieces':['platform:platform 1','c']}"));
    assertThat(said.getMessage()).startsWith("Platform 1 is built in: ");
    room.apply(said.offers().get(0).edits().toArray(Edit[]::new));
    assertThat(room.piece("c").form().mirrored()).isTrue();
  }

  @Test
  void theCaptionNamesAPartSaysHowItIsKeptAndWhereSeveralAre() {
    room.json("{'do':'rename','piece':'platform:platform 1','name':'The dais'}");
    room.json("{'do':'lock','pieces':['platform:platform 1'],'locked':true}");
    assertThat(said("platform:platform 1"))
        .startsWith("The dais — 1.20 wide × 1.00 deep × 0.40 high")
        .contains(", on the layer Main")
        .contains(", locked");
    assertThat(said("s")).contains("on The dais");
    assertThat(said("platform:platform 1", "c"))
        .startsWith("1 part of the shell and 1 piece, 1 locked")
        .contains("at ");
  }

  private String said(String... ids) {
    return Phrase.said(Caption.of(room.space, "Room", List.of(ids), LengthUnit.M));
  }

  @Test
  void severalAreMovedToAPlaceByTheMarkOfTheBoxAboutThem() {
    room.json(
        "{'do':'moveTo','pieces':['platform:platform 1','c'],'to':{'x':0.5},'together':true,"
            + "'mark':'left under middle'}");
    assertThat(x(platform(1))).isEqualTo(0.5 + 0.6, within(1e-9));
    assertThat(room.piece("c").at().x()).isEqualTo(5 - 0.3, within(1e-9));
  }

  @Test
  void allOfItIsUndoneToTheLastBitAndReadFromText() throws Exception {
    List<String> edits =
        List.of(
            "{'do':'twin','pieces':['platform:platform 1'],'about':{'by':'centre'}}",
            "{'do':'group','pieces':['platform:platform 1','c']}",
            "{'do':'lock','pieces':['column:column 1'],'locked':true}",
            "{'do':'rename','piece':'bar:bar 1','name':'Front bar'}",
            "{'do':'copy','pieces':['wall:partition 1'],'by':{'z':0.5}}",
            "{'do':'remove','pieces':['flight:steps 1','c']}");
    for (String e : edits) {
      Space before = room.space;
      Outcome done = room.json(e);
      Change change =
          Rooms.JSON.readValue(Rooms.JSON.writeValueAsString(done.change()), Change.class);
      Space back = change.reversed().apply(done.space());
      assertThat(back.shell()).as(e).isEqualTo(before.shell());
      assertThat(back.filing()).as(e).isEqualTo(before.filing());
      assertThat(List.copyOf(back.pieces())).as(e).isEqualTo(List.copyOf(before.pieces()));
    }
  }

  @Test
  void aPartIsNamedInASentenceByWhatItIsCalledOrWasCalled() {
    room.json("{'do':'rename','piece':'column:column 1','name':'The pillar'}");
    say("platform 1: 0.3 to the right");
    assertThat(x(platform(1))).isEqualTo(1.7, within(1e-9));
    say("The pillar and platform 1: lock");
    assertThat(room.space.locked(PartName.read("column:column 1"))).isTrue();
    assertThat(room.space.locked(PartName.read("platform:platform 1"))).isTrue();
  }

  private void say(String text) {
    int[] n = {0};
    pied.core.propose.Proposal p =
        pied.core.propose.Proposal.of(
            room.space,
            pied.core.propose.Question.of(text, List.of()),
            LengthUnit.M,
            null,
            () -> "m" + n[0]++,
            pied.core.units.Deadline.NONE);
    assertThat(p.understood().wrong()).as(text).isNull();
    assertThat(p.refused()).as(text).isNull();
    room.space = p.outcome().space();
  }
}
