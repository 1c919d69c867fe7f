package pied.core.tool.scatter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pied.core.Rooms;
import pied.core.check.Checks;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

class ScatterTest {
  private static final String BOOKS_AND_CUPS =
      "'of':[{'article':'books'},{'article':'cup-and-saucer','share':2}]";

  private final Rooms room = new Rooms();

  private List<Piece> strewn() {
    return room.space.pieces().stream().filter(p -> p.keeping().slot() != null).toList();
  }

  private void shelves() {
    room.put("a", "open-shelf", 1, 0.3);
    room.put("b", "open-shelf", 2.2, 0.3);
    room.put("c", "open-shelf", 3.4, 0.3);
  }

  @Test
  void booksAndCupsOnThreeShelvesStandOnThemAndOverlapNothing() {
    shelves();
    room.json("{'do':'scatter'," + BOOKS_AND_CUPS + ",'onto':['a','b','c'],'count':40}");
    assertThat(strewn()).hasSize(40);
    assertThat(strewn()).allSatisfy(p -> assertThat(List.of("a", "b", "c")).contains(p.on().id()));
    assertThat(Checks.of(room.space)).isEmpty();
  }

  @Test
  void theSameSeedStrewsInTheSameWayAndAnotherOtherwise() {
    shelves();
    String edit =
        "{'do':'scatter'," + BOOKS_AND_CUPS + ",'onto':['a','b','c'],'count':20,'seed':7}";
    var before = room.space;
    room.json(edit);
    List<Vec> first = strewn().stream().map(Piece::at).toList();
    room.space = before;
    room.json(edit);
    assertThat(strewn().stream().map(Piece::at).toList()).isEqualTo(first);
    String g = room.only().id();
    room.json("{'do':'scatter','group':'" + g + "','another':true}");
    assertThat(strewn().stream().map(Piece::at).toList()).isNotEqualTo(first);
    room.json("{'do':'scatter','group':'" + g + "','seed':7}");
    assertThat(strewn().stream().map(Piece::at).toList())
        .containsExactlyInAnyOrderElementsOf(first);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void overAFloorTheyAreAsEvenAsPoissonDisksAndOverlapNothing(long seed) {
    room.put("s", "sofa", 3, 2);
    room.json(
        "{'do':'scatter','of':[{'article':'cup-and-saucer'}],'count':120,'seed':" + seed + "}");
    List<Piece> all = strewn();
    assertThat(all).hasSize(120);
    assertThat(Checks.of(room.space)).isEmpty();
    // of the densest packing; random points have a least near 0.05 and a mean of 0.47 of it
    double area = 6 * 4 - 1.9 * 0.9;
    double densest = Math.sqrt(2 * area / (Math.sqrt(3) * 120));
    List<Double> nearest = new ArrayList<>();
    for (Piece p : all) {
      nearest.add(
          all.stream()
              .filter(q -> q != p)
              .mapToDouble(q -> q.at().distance(p.at()))
              .min()
              .orElseThrow());
    }
    double least = nearest.stream().mapToDouble(d -> d).min().orElseThrow() / densest;
    double mean = nearest.stream().mapToDouble(d -> d).average().orElseThrow() / densest;
    assertThat(least).isGreaterThan(0.5);
    assertThat(mean).isBetween(0.6, 1.0);
  }

  @Test
  void onARakeAndAPlatformNothingHoversOrReachesOverAnEdge() {
    Rooms stage = Rooms.stage();
    stage.json("{'do':'platform','at':{'x':0,'z':-3},'width':3,'depth':2,'height':0.4}");
    stage.json("{'do':'scatter','of':[{'article':'crate'}],'count':30,'least':0.1}");
    assertThat(stage.space.pieces()).hasSizeGreaterThan(20);
    assertThat(Checks.of(stage.space)).isEmpty();
    assertThat(stage.space.pieces().stream().map(Piece::on).distinct().count()).isGreaterThan(1);
  }

  @Test
  void clusteredAboutAPointWithTurnsAndSizesByChance() {
    room.json(
        "{'do':'scatter','of':[{'article':'round-planter'}],'about':{'x':3,'z':2},'radius':1.5,"
            + "'count':9,'sizing':20,'least':0.05}");
    assertThat(strewn()).hasSizeGreaterThan(5);
    assertThat(strewn())
        .allSatisfy(p -> assertThat(p.at().distance(new Vec(3, 0, 2))).isLessThan(1.5));
    assertThat(strewn().stream().map(p -> p.size().width()).distinct().count()).isGreaterThan(1);
    assertThat(Checks.of(room.space)).isEmpty();
  }

  @Test
  void whatHasNoRoomIsSaid() {
    room.put("t", "side-table", 3, 2);
    room.json("{'do':'scatter','of':[{'article':'cake-stand'}],'onto':['t'],'count':30}");
    assertThat(strewn()).hasSizeBetween(1, 12);
    assertThat(room.said).anyMatch(s -> s.contains("of 30 have room"));
    assertThat(strewn()).allSatisfy(p -> assertThat(p.on()).isEqualTo(On.piece("t")));
  }

  @Test
  void aDensityAndAnOutline() {
    room.json(
        "{'do':'scatter','of':[{'article':'bucket'}],'density':2,'outline':[{'x':1,'z':1},"
            + "{'x':4,'z':1},{'x':4,'z':3},{'x':1,'z':3}]}");
    assertThat(strewn()).hasSize(12);
    assertThat(strewn())
        .allSatisfy(
            p -> {
              assertThat(p.at().x()).isBetween(1.0, 4.0);
              assertThat(p.at().z()).isBetween(1.0, 3.0);
            });
  }

  @Test
  void refusals() {
    room.put("s", "stool", 1, 1);
    room.put("w", "picture-frame", 3, 0.1);
    for (String[] c :
        new String[][] {
          {"{'do':'scatter','pieces':['s'],'onto':['s']}", "lie on itself"},
          {"{'do':'scatter','pieces':['w'],'count':3}", "Only what stands"},
          {"{'do':'scatter','of':[{'article':'books'}],'onto':['w']}", "Nothing can stand on that"},
          {"{'do':'scatter','pieces':['s'],'least':-1}", "0 or more"},
          {"{'do':'scatter','pieces':['s'],'count':9999999}", "whole number"},
          {"{'do':'scatter','pieces':['s'],'outline':[{'x':1,'z':1}]}", "three at least"},
        }) {
      assertThatThrownBy(() -> room.json(c[0]))
          .as(c[0])
          .isInstanceOf(Refusal.class)
          .hasMessageContaining(c[1]);
    }
  }

  @Test
  void whatItBeganWithStaysWhereItIsUnlessItIsSaidWhereTheyLie() {
    Rooms r = new Rooms();
    var was = r.put("a", "stool", 0.6, 0.7);
    r.json("{'do':'scatter','pieces':['a'],'count':6}");
    assertThat(r.piece("a").at()).isEqualTo(was.at());
    assertThat(r.space.members(r.piece("a").keeping().group())).hasSize(6);
    assertThat(pied.core.check.Checks.of(r.space)).isEmpty();
    Rooms t = new Rooms();
    t.put("t", "long-table", 3, 2);
    var cup = t.put("c", "cup-and-saucer", 3, 2);
    t.json("{'do':'scatter','pieces':['c'],'onto':['t'],'count':5}");
    assertThat(t.piece("c").at()).isEqualTo(cup.at());
    var book = t.put("b", "books", 5, 3.4);
    t.json("{'do':'scatter','pieces':['b'],'onto':['t'],'count':3}");
    assertThat(t.piece("b").at()).as("told to lie there").isNotEqualTo(book.at());
    assertThat(t.piece("b").on()).isEqualTo(pied.core.piece.On.piece("t"));
  }
}
