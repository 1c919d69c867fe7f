package pied.core.catalog;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pied.core.Rooms;
import pied.core.measure.FreePlace;

class FinderTest {
  private static final Catalog CATALOG = Rooms.SHAPES.catalog();

  private static List<String> ids(String text) {
    return CATALOG.search(text, null).stream().map(Article::id).toList();
  }

  @ParameterizedTest
  @CsvSource({
    "couch, settee",
    "settees, settee",
    "sofas, sofa",
    "wardrob, wardrobe",
    "wardrobes, wardrobe",
    "wradrobe, wardrobe",
    "chandeleer, chandelier",
    "bookshelvs, open-shelf",
    "shelves, open-shelf",
    "CAFE, cafe-table",
    "table lamp, table-lamp",
    "lamp table, table-lamp",
    "fresnel, wash-light",
    "stage light, profile-spot",
    "carpet, rug",
    "benches, bench",
    "armchiar, armchair"
  })
  void whatPeopleTypeFindsWhatTheyMean(String typed, String id) {
    assertThat(ids(typed)).contains(id);
  }

  @Test
  void theBestAnswerComesFirst() {
    assertThat(ids("settee").get(0)).isEqualTo("settee");
    assertThat(ids("couch").subList(0, 3)).contains("settee", "sofa");
    assertThat(ids("wardrobe").get(0)).isEqualTo("wardrobe");
    assertThat(ids("globe").get(0)).isIn("globe", "globe-pendant");
  }

  @Test
  void theTradesWordsAreKnownAndNoWordBringsAnotherSortOfThing() {
    assertThat(ids("lantern"))
        .contains("profile-spot", "wash-light", "flood", "strip-light", "followspot")
        .contains("ship-lantern");
    for (String typed : List.of("wardrobe", "closet", "wardrob", "clothes press")) {
      assertThat(ids(typed)).as(typed).contains("wardrobe").doesNotContain("toilet");
    }
  }

  @Test
  void everyWordMustBeAnswered() {
    assertThat(ids("round table"))
        .contains("round-table")
        .doesNotContain("long-table", "round-rug");
    assertThat(ids("no such thing at all")).isEmpty();
    assertThat(ids("xyzzy")).isEmpty();
    assertThat(ids("")).hasSize(CATALOG.all().size());
  }

  @Test
  void slipsAreCounted() {
    assertThat(Finder.distance("chair", "chair", 2)).isZero();
    assertThat(Finder.distance("chiar", "chair", 2)).as("neighbours exchanged").isEqualTo(1);
    assertThat(Finder.distance("char", "chair", 2)).isEqualTo(1);
    assertThat(Finder.distance("cabinet", "table", 2)).isGreaterThan(2);
  }

  @Test
  void onlyWhatFitsIsOffered() {
    double none = Double.NaN;
    List<Article> narrow =
        CATALOG.find(new Finder.FinderWish("", "storage", null, new double[] {0.62, none, none}));
    assertThat(narrow).isNotEmpty().allMatch(a -> a.size().width() <= 0.62);
    assertThat(narrow).extracting(Article::id).contains("locker").doesNotContain("wardrobe");
    assertThat(CATALOG.find(new Finder.FinderWish("lamp", "", Mounting.HANGS, null)))
        .isNotEmpty()
        .allMatch(a -> a.mounting() == Mounting.HANGS);
  }

  @Test
  void kindsAreCountedFromTheGeneralToTheParticular() {
    Map<String, Integer> kinds = new LinkedHashMap<>();
    Finder.kinds(CATALOG.all()).forEach((k, all) -> kinds.put(k, all.size()));
    int below =
        kinds.entrySet().stream()
            .filter(e -> e.getKey().startsWith("seating/"))
            .mapToInt(Map.Entry::getValue)
            .sum();
    assertThat(kinds.get("seating")).isEqualTo(below).isGreaterThan(20);
    int roots =
        kinds.entrySet().stream()
            .filter(e -> !e.getKey().contains("/"))
            .mapToInt(Map.Entry::getValue)
            .sum();
    assertThat(roots).isEqualTo(CATALOG.all().size());
  }

  @Test
  void theFreePlaceIsThatOfAPieceOrAnOpening() {
    Rooms room = new Rooms();
    room.put("s", "sideboard", 3, 0.225);
    FreePlace place = FreePlace.of(room.space, room.piece("s"));
    assertThat(place.width()).isCloseTo(6, within(1e-9));
    assertThat(place.depth()).isCloseTo(4, within(1e-6));
    assertThat(place.height()).isCloseTo(2.8, within(1e-6));
    FreePlace door = FreePlace.of(room.space, "opening:d1");
    assertThat(door.width()).isEqualTo(0.9);
    assertThat(door.depth()).isNaN();
  }
}
