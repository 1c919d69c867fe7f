package pied.core.tool.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import pied.core.Rooms;
import pied.core.catalog.Mounting;
import pied.core.check.Checks;
import pied.core.edit.Outcome;
import pied.core.edit.Wanting;
import pied.core.material.Finish;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.size.Size;
import pied.core.space.Group;
import pied.core.space.Space;
import pied.core.space.Twin;
import pied.core.tool.row.RowRule;
import pied.core.units.Refusal;

class ExchangeTest {
  private static final List<String> ARTICLES =
      List.of(
          "stool",
          "trunk",
          "long-table",
          "armchair",
          "wall-clock",
          "picture-frame",
          "wall-shelf",
          "pendant-lamp",
          "globe-pendant",
          "chandelier",
          "panelled-door",
          "glazed-door");

  private final Rooms room = new Rooms();

  static Stream<List<String>> pairs() {
    return ARTICLES.stream()
        .flatMap(a -> ARTICLES.stream().filter(b -> !a.equals(b)).map(b -> List.of(a, b)));
  }

  private Outcome exchange(String article, String... ids) {
    return room.apply(new Exchange(List.of(ids), article));
  }

  private Mounting mounting(String article) {
    return room.space.shapes().catalog().article(article).mounting();
  }

  /** One of an article as it is used, with a remark, in a group; and a cup on it if it carries. */
  private Piece used(String article) {
    switch (mounting(article)) {
      case OPENING -> {
        room.json(
            "{'do':'opening','kind':'opening','wall':'A','from':2,'width':0.9,'height':2.05}");
        room.put("p", article, 2.45, 0);
      }
      case WALL -> room.put("p", article, 2.4, 0);
      default -> room.put("p", article, 3, 2, 30);
    }
    room.put("o", "crate", 5.4, 3.4);
    room.json("{'do':'group','pieces':['p','o'],'name':'Pair'}");
    room.json("{'do':'remark','pieces':['p'],'remark':'from the store'}");
    if (room.space.shapes().catalog().article(article).carries()) {
      room.put("cup", "cup-and-saucer", room.piece("p").at().x(), room.piece("p").at().z());
    }
    return room.piece("p");
  }

  @ParameterizedTest
  @MethodSource("pairs")
  void anyArticleTakesThePlaceOfAnyOrIsRefusedInWords(List<String> pair) {
    Piece was = used(pair.get(0));
    Space before = room.space;
    boolean alike = mounting(pair.get(0)) == mounting(pair.get(1));
    Outcome out;
    try {
      out = exchange(pair.get(1), "p");
    } catch (Refusal e) {
      assertThat(alike).as(e.getMessage()).isFalse();
      assertThat(e.getMessage()).endsWith(".");
      return;
    }
    Piece is = room.piece("p");
    assertThat(is.article()).isEqualTo(pair.get(1));
    assertThat(is.keeping()).isEqualTo(was.keeping());
    assertThat(is.on()).isNotEqualTo(On.NOTHING);
    double off = Math.hypot(is.at().x() - was.at().x(), is.at().z() - was.at().z());
    if (alike) {
      assertThat(is.turn()).isEqualTo(was.turn());
      assertThat(is.on()).isEqualTo(was.on());
      // what is fixed to a wall has its back there, however deep it is
      double deep = Math.abs(is.size().depth() - was.size().depth()) / 2;
      assertThat(off).isLessThan(1e-6 + (mounting(pair.get(1)) == Mounting.WALL ? deep : 0));
      if (mounting(pair.get(1)) == Mounting.HANGS) {
        assertThat(is.at().y() + is.size().height())
            .isCloseTo(was.at().y() + was.size().height(), within(1e-9));
      }
    } else {
      assertThat(off).isLessThan(2);
    }
    if (room.space.has("cup")) {
      assertThat(Checks.of(room.space))
          .filteredOn(s -> s.piece().equals("cup"))
          .as("it rests on %s", room.space.nameOf(room.piece("cup").on()))
          .isEmpty();
    }
    Space undone = out.change().reversed().apply(room.space);
    assertThat(List.copyOf(undone.pieces())).isEqualTo(List.copyOf(before.pieces()));
    assertThat(undone.filing()).isEqualTo(before.filing());
  }

  @Test
  void whatIsNotChosenYetIsAskedForAndTheSameIsRefused() {
    room.put("p", "stool", 3, 2);
    assertThatThrownBy(() -> exchange(null, "p")).isInstanceOf(Wanting.class);
    assertThatThrownBy(() -> exchange("stool", "p"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("that already");
  }

  @Test
  void aMeasureThatWasGivenStaysWhereTheOtherComesInIt() {
    Piece p = room.put("p", "long-table", 3, 2);
    room.json("{'do':'size','pieces':['p'],'size':{'width':2.4}}");
    exchange("trestle-table", "p");
    assertThat(room.piece("p").size()).isEqualTo(new Size(2.4, 0.75, 0.75));
    exchange("long-table", "p");
    assertThat(room.piece("p").size()).isEqualTo(new Size(2.4, 0.85, 0.74));
    exchange("cafe-table", "p"); // as wide as that comes none
    assertThat(room.piece("p").size()).isEqualTo(new Size(0.7, 0.7, 0.74));
    assertThat(room.piece("p").at().distance(p.at())).isLessThan(1e-9);
  }

  @Test
  void namesOfTheirOwnStayAndFinishesOfPartsThatBothHave() {
    room.put("a", "stool", 2, 2);
    room.put("b", "stool", 4, 2);
    room.json("{'do':'rename','piece':'b','name':'The captain’s seat'}");
    String part = shared("stool", "armchair");
    room.json(
        String.format(
            Locale.ROOT, "{'do':'recolour','pieces':['a'],'part':'%s','colour':'#102030'}", part));
    exchange("armchair", "a", "b");
    assertThat(room.piece("a").name()).isEqualTo("Armchair");
    assertThat(room.piece("b").name()).isEqualTo("The captain’s seat");
    assertThat(room.piece("a").finishes().of(part)).isEqualTo(Finish.of("#102030"));
  }

  private String shared(String a, String b) {
    var catalog = room.space.shapes().catalog();
    return catalog.article(a).finishes().keySet().stream()
        .filter(catalog.article(b).finishes().keySet()::contains)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void theOtherOfAPairFollowsAndIsCalledByWhatItIs() {
    room.put("p", "stool", 2, 2);
    room.json("{'do':'twin','pieces':['p'],'about':{'by':'across','at':{'x':3}}}");
    String other = room.piece("p").keeping().twin().piece();
    exchange("armchair", "p");
    Twin line = room.space.filing().twins().get(0);
    assertThat(room.piece(other).article()).isEqualTo("armchair");
    assertThat(room.piece(other).name()).startsWith("Armchair");
    assertThat(room.piece(other).at().distance(line.image(room.piece("p")).at())).isLessThan(1e-9);
  }

  private Group row() {
    room.put("p", "stool", 0.6, 2);
    room.json("{'do':'row','pieces':['p'],'count':8,'pitch':0.65}");
    return room.only();
  }

  @Test
  void oneOfARowOfEightIsItsOwnAndTheRowGoesOn() {
    Group row = row();
    List<String> ids = List.copyOf(room.space.members(row.id()));
    String third = ids.get(2);
    Piece was = room.piece(third);
    exchange("trunk", third);
    assertThat(room.piece(third).article()).isEqualTo("trunk");
    assertThat(room.piece(third).at().x()).isCloseTo(was.at().x(), within(1e-9));
    assertThat(room.space.members(row.id())).hasSize(8);
    room.json("{'do':'row','group':'" + row.id() + "','count':9,'pitch':0.6}");
    assertThat(room.space.members(row.id())).hasSize(9);
    assertThat(room.piece(third).article()).isEqualTo("trunk");
    assertThat(room.space.pieces().stream().filter(p -> p.article().equals("stool"))).hasSize(8);
  }

  @Test
  void aWholeRowRepeatsTheOtherFromThenOn() {
    Group row = row();
    exchange("crate", row.id());
    assertThat(room.space.members(row.id())).hasSize(8).allMatch(id -> crate(id));
    assertThat(room.space.members(row.id())).noneMatch(id -> room.piece(id).keeping().slot().own());
    assertThat(room.only().name()).isEqualTo("Crate row");
    RowRule rule = (RowRule) room.only().repeats().rule();
    assertThat(rule.apart().by()).isEqualTo(0.65);
    room.json("{'do':'row','group':'" + row.id() + "','count':9}");
    assertThat(room.space.members(row.id())).hasSize(9).allMatch(id -> crate(id));
  }

  private boolean crate(String id) {
    return room.piece(id).article().equals("crate");
  }

  @Test
  void ofAMixTheOneIsExchangedAndTheOtherStays() {
    room.put("a", "stool", 0.6, 2);
    room.put("b", "crate", 1.2, 2);
    room.json("{'do':'row','pieces':['a','b'],'count':6,'gap':0.2}");
    Group row = room.only();
    String[] stools =
        room.space.members(row.id()).stream().filter(id -> !crate(id)).toArray(String[]::new);
    exchange("trunk", stools);
    room.json("{'do':'row','group':'" + row.id() + "','count':8}");
    assertThat(room.space.pieces().stream().map(Piece::article))
        .containsOnly("trunk", "crate")
        .filteredOn("trunk"::equals)
        .hasSize(4);
  }
}
