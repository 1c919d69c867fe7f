package pied.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import pied.core.Refusal;
import pied.core.Rooms;
import pied.core.piece.Keeping;
import pied.core.piece.Piece;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/**
 * What holds for every edit there is, by one example of each at least: what it did can be undone
 * and done again, also from text, to the last bit; and it reaches pieces through the one gate only.
 * An edit in the register without an example fails the first test.
 */
class EveryEditTest {
  private static final ObjectMapper JSON = new ObjectMapper();

  private static final String CARRY =
      "'down':0,'near':0.1,'level':false,'free':false,'each':false,'turn':0";

  /** In a room with chest, stool, table with a cup on it, lamp and mirror; what is built in it. */
  private static final List<String> ROOM =
      List.of(
          "{'do':'place','article':'stool','at':{'x':3,'z':3.2}}",
          "{'do':'place','article':'bottle','ray':{'from':{'x':4.5,'y':2,'z':4},"
              + "'along':{'x':0,'y':-0.64,'z':-1}}}",
          "{'do':'putDown','carry':{'pieces':['s'],'copy':false,'at':{'x':3.4,'z':3},"
              + CARRY
              + "}}",
          "{'do':'putDown','carry':{'pieces':['t'],'copy':true,'at':{'x':2.6,'z':2.2},"
              + CARRY
              + "}}",
          "{'do':'putDown','carry':{'article':'stool','copy':false,'at':{'x':3.4,'z':3},"
              + CARRY
              + "}}",
          "{'do':'moveBy','pieces':['t'],'by':{'x':0.1,'z':-0.2}}",
          "{'do':'moveBy','pieces':['c','s'],'by':{'x':0.1},'stops':true}",
          "{'do':'moveBy','pieces':['u'],'by':{'y':0.3}}",
          "{'do':'moveTo','pieces':['c'],'to':{'x':'2.2 m'}}",
          "{'do':'setDistance','piece':'c','side':'left','distance':0.4}",
          "{'do':'topAt','pieces':['t','u'],'height':1.2}",
          "{'do':'hang','pieces':['l'],'below':'30cm'}",
          "{'do':'settle','pieces':['o2']}",
          "{'do':'settleOnto','pieces':['f'],'onto':'t'}",
          "{'do':'settleOnto','pieces':['u']}",
          "{'do':'beside','pieces':['s','c'],'side':'right','gap':'5cm'}",
          "{'do':'level','pieces':['f','t'],'side':'top'}",
          "{'do':'attach','pieces':['s'],'to':'c'}",
          "{'do':'attach','pieces':['a']}",
          "{'do':'turn','pieces':['t','c'],'by':33.3}",
          "{'do':'turn','pieces':['t','c'],'by':33.3,'together':true}",
          "{'do':'turn','pieces':['c'],'by':90,'axis':'width','about':'under front'}",
          "{'do':'turnAs','pieces':['t','c']}",
          "{'do':'turnFrom','pieces':['c'],'centre':{'x':1,'y':0,'z':0.4},"
              + "'from':{'x':2,'y':0,'z':0.4},'to':{'x':2,'y':0,'z':2}}",
          "{'do':'along','pieces':['t'],'to':'wall:B','about':'left front under'}",
          "{'do':'face','pieces':['s'],'what':'piece','piece':'t'}",
          "{'do':'leanAgainst','pieces':['c'],'angle':80}",
          "{'do':'size','pieces':['t'],'size':{'height':0.9}}",
          "{'do':'size','pieces':['c'],'size':{'width':9},'beyond':'stretch'}",
          "{'do':'sizeAsOne','pieces':['s','f'],'size':{'width':'50%'},'together':'all',"
              + "'beyond':'stretch'}",
          "{'do':'sizeAs','pieces':['c','t'],'measures':['height']}",
          "{'do':'knownLength','pieces':['f'],'from':{'x':2,'y':0,'z':2},"
              + "'to':{'x':2,'y':0.1,'z':2},'length':0.11,'beyond':'stretch'}",
          "{'do':'fill','piece':'c','measures':['width'],'beyond':'nearest'}",
          "{'do':'pullSide','piece':'c','side':'right','near':0.1,"
              + "'ray':{'from':{'x':2.1,'y':5,'z':0.4},'along':{'x':0,'y':-1,'z':0}}}",
          "{'do':'mirror','pieces':['c']}",
          "{'do':'rename','piece':'s','name':'The stool'}",
          "{'do':'recolour','pieces':['c'],'part':'fronts','colour':'#102030'}",
          "{'do':'copy','pieces':['t','s']}",
          "{'do':'remove','pieces':['t','s']}",
          "{'do':'lean','pieces':['s'],'by':12}",
          "{'do':'bringIn','pieces':['o']}",
          "{'do':'outline','corners':[{'x':0,'z':0},{'x':6,'z':0},{'x':6,'z':3.5},{'x':0,'z':3.5}]}",
          "{'do':'moveCorner','corner':1,'to':{'x':6.5,'z':0.2}}",
          "{'do':'addCorner','wall':'D'}",
          "{'do':'removeCorner','corner':3}",
          "{'do':'moveWall','wall':'A','by':-0.1}",
          "{'do':'moveWall','wall':'B','by':0.4}",
          "{'do':'wallLength','wall':'A','length':5.4}",
          "{'do':'wallThickness','wall':'A','thickness':0.3}",
          "{'do':'build','height':2.6,'skirtingHeight':0.1}",
          "{'do':'opening','kind':'window','wall':'A'}",
          "{'do':'opening','part':'d1','from':1.5}",
          "{'do':'partition','from':{'x':4,'z':1},'to':{'x':4,'z':3}}",
          "{'do':'column','at':{'x':5,'z':3}}",
          "{'do':'platform','at':{'x':2,'z':2},'width':3,'depth':3,'height':0.3}",
          "{'do':'platform','part':'platform 1','height':0.5}",
          "{'do':'flight','at':{'x':1.2,'z':3}}",
          "{'do':'bar','at':{'x':3,'z':1}}",
          "{'do':'shift','part':'platform:platform 1','by':{'x':0.2,'z':0.1}}",
          "{'do':'shift','part':'wall:A','by':{'x':0,'z':0.2}}",
          "{'do':'removeParts','parts':['platform:platform 1','opening:d1']}",
          "{'do':'datum','to':{'x':1,'z':1}}",
          "{'do':'paint','part':'wall','colour':'#aabbcc'}");

  private static final List<String> STAGE =
      List.of(
          "{'do':'seats','rows':5}",
          "{'do':'build','rake':'1:12','level':1.1}",
          "{'do':'lean','pieces':['n'],'withFloor':true}",
          "{'do':'turn','pieces':['s'],'to':90}");

  private static Rooms room() {
    Rooms room = new Rooms();
    room.json("{'do':'platform','at':{'x':4.8,'z':0.8},'width':1,'depth':1,'height':0.2}");
    room.put("c", "chest-of-drawers", 1, 0.4);
    room.put("s", "stool", 3, 2);
    room.put("t", "cafe-table", 4, 3, 20);
    room.put("u", "cup-and-saucer", 4, 3);
    room.put("f", "bottle", 2, 2);
    room.put("l", "pendant-lamp", 3, 2);
    room.put("m", "round-mirror", 3, 0.1);
    room.put("on", "stool", 4.8, 0.8);
    room.put("o", "stool", 5, 2);
    room.json("{'do':'moveTo','pieces':['o'],'to':{'x':8,'y':0}}");
    room.put("o2", "bottle", 1.5, 2.5);
    room.json("{'do':'moveTo','pieces':['o2'],'to':{'y':0.7}}");
    room.put("a", "bottle", 1.5, 3);
    room.json("{'do':'attach','pieces':['a'],'to':'c'}");
    return room;
  }

  private static Rooms stage() {
    Rooms stage = Rooms.stage();
    stage.put("s", "stool", 1, -2);
    stage.put("n", "stool", 2, -2);
    stage.json("{'do':'lean','pieces':['s'],'withFloor':true}");
    return stage;
  }

  private record Example(Rooms in, String edit) {
    @Override
    public String toString() {
      return edit;
    }
  }

  static Stream<Example> examples() {
    Rooms room = room();
    Rooms stage = stage();
    return Stream.concat(
        ROOM.stream().map(e -> new Example(room, e)),
        STAGE.stream().map(e -> new Example(stage, e)));
  }

  private record State(Shell shell, List<Piece> pieces, List<Long> places) {
    static State of(Space s) {
      return new State(
          s.shell(),
          List.copyOf(s.pieces()),
          s.pieces().stream().map(p -> s.ordered(p.id()).place()).toList());
    }
  }

  private static Edit read(String edit) throws Exception {
    return JSON.readValue(edit.replace('\'', '"'), Edit.class);
  }

  private static Outcome make(Space space, Edit edit) {
    int[] n = {0};
    return Edits.apply(space, List.of(edit), LengthUnit.M, () -> "new" + n[0]++);
  }

  @Test
  void everyEditInTheRegisterHasAnExample() throws Exception {
    Set<String> known =
        Arrays.stream(Edit.class.getAnnotation(JsonSubTypes.class).value())
            .map(JsonSubTypes.Type::name)
            .collect(Collectors.toCollection(TreeSet::new));
    Set<String> shown = new TreeSet<>();
    for (Example e : examples().toList()) {
      shown.add(JSON.readTree(e.edit.replace('\'', '"')).get("do").asText());
    }
    assertThat(shown).isEqualTo(known);
  }

  @ParameterizedTest
  @MethodSource("examples")
  void isUndoneAndDoneAgainToTheLastBitAlsoFromText(Example example) throws Exception {
    Space before = example.in.space;
    Edit edit = read(example.edit);
    Outcome done = make(before, edit);
    assertThat(done.change().none()).as("it does something").isFalse();
    Change change = JSON.readValue(JSON.writeValueAsString(done.change()), Change.class);
    Space back = change.reversed().apply(done.space());
    assertThat(State.of(back)).isEqualTo(State.of(before));
    assertThat(State.of(change.apply(back))).isEqualTo(State.of(done.space()));
    Edit again = JSON.readValue(JSON.writeValueAsString(edit), Edit.class);
    assertThat(State.of(make(before, again).space())).isEqualTo(State.of(done.space()));
  }

  @ParameterizedTest
  @MethodSource("examples")
  void whatIsNearIsAsIfTheSpaceWereBuiltAnew(Example example) throws Exception {
    Space after = make(example.in.space, read(example.edit)).space();
    Space anew = new Space(after.shell(), after.pieces(), Rooms.SHAPES);
    assertThat(after.bodies().all())
        .usingElementComparator((a, b) -> a.solid().equals(b.solid()) ? 0 : 1)
        .isEqualTo(anew.bodies().all());
    for (Piece p : after.pieces()) {
      assertThat(after.carriedBy(p.id())).isEqualTo(anew.carriedBy(p.id()));
    }
  }

  @ParameterizedTest
  @MethodSource("examples")
  void whoeverIsNotThereIsRefused(Example example) throws Exception {
    JsonNode edit = JSON.readTree(example.edit.replace('\'', '"'));
    String text = edit.toString();
    if (edit.has("pieces") || edit.has("piece")) {
      String key = edit.has("pieces") ? "pieces" : "piece";
      String other =
          text.replaceAll("\"" + key + "\":(\\[?)\"[^\"]*\"", "\"" + key + "\":$1\"nobody\"");
      Edit of = JSON.readValue(other, Edit.class);
      assertThatThrownBy(() -> make(example.in.space, of))
          .isInstanceOf(Refusal.class)
          .hasMessageContaining("There is no piece “nobody”");
    }
  }

  @ParameterizedTest
  @MethodSource("examples")
  void whatIsLockedStaysAsItIs(Example example) throws Exception {
    Keeping locked = Keeping.PLAIN.withLocked(true);
    Space space =
        example.in.space.with(
            example.in.space.pieces().stream().map(p -> p.withKeeping(locked)).toList());
    Outcome out;
    try {
      out = make(space, read(example.edit));
    } catch (Refusal e) {
      assertThat(e).hasMessageContaining(" is locked, so nothing is done to it.");
      return;
    }
    assertThat(out.change().pieces()).allMatch(d -> d.before() == null);
  }

  @Test
  void anEditThatForgetsTheGateFails() {
    Space space = room().space;
    Edit forgetful = bench -> bench.set(bench.piece("c").withName("Other"));
    assertThatThrownBy(() -> make(space, forgetful)).isInstanceOf(IllegalStateException.class);
    Edit other =
        bench -> {
          bench.chosen("s");
          bench.set(bench.piece("c").withName("Other"));
        };
    assertThatThrownBy(() -> make(space, other)).isInstanceOf(IllegalStateException.class);
    Edit remover = bench -> bench.remove(List.of("c"));
    assertThatThrownBy(() -> make(space, remover)).isInstanceOf(IllegalStateException.class);
  }

  @Test
  void aNameGivenInOneRequestIsTakenForTheNextInIt() {
    Rooms room = new Rooms();
    String place = "{'do':'place','article':'stool','at':{'x':%d,'z':2}%s}";
    room.apply(
        Stream.of(
                place.formatted(1, ""),
                place.formatted(2, ",'name':'Stool 2'"),
                place.formatted(3, ""))
            .map(EveryEditTest::quietly)
            .toArray(Edit[]::new));
    assertThat(room.space.pieces())
        .extracting(Piece::name)
        .containsExactly("Stool", "Stool 2", "Stool 3");
  }

  private static Edit quietly(String edit) {
    try {
      return read(edit);
    } catch (Exception e) {
      throw new IllegalArgumentException(edit, e);
    }
  }

  @Test
  void aColourIsKeptInCapitalsWhicheverWayItCame() {
    Rooms room = new Rooms();
    room.json(
        "{'do':'place','piece':'c','article':'chest-of-drawers','at':{'x':1,'z':1},"
            + "'finishes':{'fronts':'#ab12cd'}}");
    assertThat(room.piece("c").finishes()).containsEntry("fronts", "#AB12CD");
    room.json("{'do':'recolour','pieces':['c'],'part':'knobs','colour':'#fe0102'}");
    assertThat(room.piece("c").finishes()).containsEntry("knobs", "#FE0102");
  }

  @Test
  void whoIsChosenBringsWhatItCarries() {
    Space space = room().space;
    Edit shifts =
        bench -> {
          bench.chosen("t");
          bench.set(bench.piece("u").withName("Cup"));
        };
    assertThat(make(space, shifts).space().piece("u").name()).isEqualTo("Cup");
  }
}
