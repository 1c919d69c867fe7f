package pied.core.space;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import pied.core.Rooms;
import pied.core.piece.On;
import pied.core.solid.Body;
import pied.core.units.Refusal;

/** Parts of a shell: what they are known by, and whether they can be built. */
class PartsTest {
  private final Rooms room = new Rooms();

  // ---- names

  @ParameterizedTest
  @ValueSource(
      strings = {
        "floor",
        "ceiling",
        "auditorium",
        "wall:A",
        "wall:partition 1",
        "skirting:B",
        "opening:door 1",
        "column:column 1",
        "platform:stage left: low",
        "flight:steps 1",
        "bar:bar 2",
        "corner:0"
      })
  void aNameReadAndWrittenIsTheSame(String text) throws Exception {
    PartName name = PartName.read(text);
    assertThat(name.kind()).isNotEqualTo(PartName.PartKind.other);
    assertThat(name.text()).isEqualTo(text);
    ObjectMapper json = new ObjectMapper();
    assertThat(json.writeValueAsString(name)).isEqualTo("\"" + text + "\"");
    assertThat(json.readValue("\"" + text + "\"", PartName.class)).isEqualTo(name);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "wall", "A", "floor:1", "other:x", "walls:A", "7f3a-12"})
  void whatIsNoNameIsOfNoKindAndKeepsItsText(String text) {
    assertThat(PartName.read(text)).isEqualTo(new PartName(PartName.PartKind.other, text));
    assertThat(PartName.read(text).text()).isEqualTo(text);
  }

  @Test
  void everyBodyOfAShellIsAPartAndNoPieceIs() {
    room.json("{'do':'column','at':{'x':5,'z':3}}");
    room.json("{'do':'platform','at':{'x':2,'z':2},'width':1,'depth':1,'height':0.3}");
    room.json("{'do':'flight','platform':'platform 1'}");
    room.json("{'do':'bar','at':{'x':3,'z':1}}");
    room.json("{'do':'build','skirtingHeight':0.08}");
    room.put("s", "stool", 4, 2);
    for (Body b : room.space.bodies().all()) {
      PartName part = PartName.of(b);
      assertThat(part == null).as(b.id()).isEqualTo(b.id().equals("s"));
      if (part != null) {
        assertThat(PartName.read(b.id())).isEqualTo(part);
        assertThat(PartName.is(b, part.kind())).isTrue();
        assertThat(PartName.is(b, PartName.PartKind.corner, PartName.PartKind.other)).isFalse();
        assertThat(room.space.nameOf(b.id())).as(b.id()).isNotBlank().doesNotContain(":");
      }
    }
  }

  @ParameterizedTest
  @CsvSource({
    "ceiling, ceiling,",
    "wall:B, wall, B",
    "skirting:B, wall, B",
    "bar:bar 1, bar, bar 1",
    "platform:platform 1, platform, platform 1",
    "flight:steps 1, platform, steps 1",
    "floor, floor,",
    "column:column 1, floor,"
  })
  void asACarrierItIsWhatThingsStandOnOrHangFrom(String part, On.OnKind kind, String id) {
    assertThat(PartName.read(part).carrier()).isEqualTo(new On(kind, id));
  }

  @Test
  void allThatCanBePickedIsNamedOnce() {
    room.json("{'do':'column','at':{'x':5,'z':3}}");
    List<PartName> all = room.shell().partNames();
    assertThat(all).doesNotHaveDuplicates();
    assertThat(all)
        .extracting(PartName::text)
        .contains("wall:A", "wall:D", "corner:0", "corner:3", "opening:d1", "column:column 1")
        .doesNotContain("corner:4", "floor");
  }

  // ---- whether they can be built

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "{'do':'column','at':{'x':9,'z':1}} | The column 1 would stand outside the room",
        "{'do':'column','at':{'x':1,'z':1},'width':30} | is to be 30.00 m wide",
        "{'do':'platform','outline':[{'x':5,'z':1},{'x':7,'z':1},{'x':5,'z':2}]} | reach beyond the room",
        "{'do':'platform','at':{'x':3,'z':2},'height':2.75} | it can be 0.01 m to 2.70 m",
        "{'do':'flight','at':{'x':3,'z':2},'count':300} | 1 to 200 treads, not 300",
        "{'do':'flight','at':{'x':3,'z':3.9},'count':8,'riser':0.2} | reach beyond the room",
        "{'do':'bar','at':{'x':3,'z':1},'length':12} | The bar 1 would reach beyond the room",
        "{'do':'bar','at':{'x':3,'z':1},'trim':5} | The trim of bar 1 is to be 5.00 m high",
        "{'do':'partition','from':{'x':1,'z':1},'to':{'x':1,'z':1.05}} | shorter than its thickness",
        "{'do':'partition','from':{'x':1,'z':1},'to':{'x':9,'z':1}} | would stand outside the room",
        "{'do':'opening','kind':'door','wall':'A','from':5.5} | would reach 0.40 m beyond its end",
        "{'do':'opening','kind':'window','wall':'A','sill':2,'height':1} | from 2.00 m to 3.00 m",
        "{'do':'opening','kind':'niche','wall':'A','depth':0.5} | is only 0.20 m thick",
        "{'do':'opening','kind':'door','wall':'C','from':1.5} | The door would overlap the door that is"
      })
  void whatCannotBeBuiltIsRefusedInWordsAndNothingHappens(String edit, String words) {
    Space before = room.space;
    assertThatThrownBy(() -> room.json(edit))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(words);
    assertThat(room.space).isSameAs(before);
  }

  @Test
  void noMorePartsOfOneKindThanCanBeLookedThrough() {
    Shell shell = room.shell();
    List<Column> many =
        java.util.stream.IntStream.range(0, 501)
            .mapToObj(i -> new Column("column " + i, new Spot(1, 1), 0.1, 0.1, true))
            .toList();
    assertThatThrownBy(() -> ShellCheck.checked(shell.withColumns(many)))
        .hasMessage("A space may have up to 500 columns.");
    assertThat(ShellCheck.checked(shell.withColumns(many.subList(0, 500))).columns()).hasSize(500);
  }

  @Test
  void aCornerIsTakenAwayAloneAndByItsName() {
    room.json("{'do':'addCorner','wall':'A'}");
    assertThat(room.shell().outline()).hasSize(5);
    room.json("{'do':'removeParts','parts':['corner:1']}");
    assertThat(room.shell().outline()).hasSize(4);
    assertThatThrownBy(() -> room.json("{'do':'removeParts','parts':['corner:9']}"))
        .hasMessage("There is no such corner.");
    assertThatThrownBy(() -> room.json("{'do':'removeParts','parts':['corner:1','opening:d1']}"))
        .hasMessageContaining("cannot be taken away");
  }
}
