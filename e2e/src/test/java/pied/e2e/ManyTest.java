package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Keyboard;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Many by rule, in no more actions than these, and by one sentence; numbers are from the API. */
class ManyTest extends Counting {
  private void shiftClick(double x, double z) {
    Keyboard keys = sheet.page.keyboard();
    keys.down("Shift");
    clickPlan(x, z);
    keys.up("Shift");
  }

  /** A number typed into the first field of what is proposed, and Enter, which does it. */
  private void typeAndDo(String text) {
    sheet.page.keyboard().press("ControlOrMeta+a");
    sheet.page.keyboard().type(text);
    sheet.page.waitForFunction(
        "t => document.querySelector('[data-testid=proposal] input')?.value === t", text);
    proposed();
    sheet.page.keyboard().press("Enter");
    actions++;
    done();
  }

  /** Says one sentence. */
  private void say(String sentence) {
    sheet.page.keyboard().press(";");
    assertThat(sheet.page.getByLabel("What shall be")).isFocused();
    sheet.page.keyboard().type(sentence);
    proposed();
    sheet.page.keyboard().press("Enter");
    done();
  }

  private void again() {
    long now = pied.space(room).get("revision").asLong();
    sheet.page.keyboard().press("ControlOrMeta+z");
    becomes(() -> pied.space(room).get("revision").asLong() > now);
  }

  /** What was made is gone again, on the sheet too. */
  private void gone() {
    assertThat(sheet.caption()).containsText("a group of");
    again();
    assertThat(sheet.caption()).not().containsText("a group of");
  }

  private void noSnags() {
    assertThat(pied.json("/api/spaces/" + room + "/snags").get("snags")).isEmpty();
  }

  // ---- five picture frames between two windows

  private void frames() {
    room = pied.newRoom("Frames", 9, 4, 3);
    pied.edit(room, "{'do':'opening','kind':'window','wall':'A','from':0.4,'width':1.2}");
    pied.edit(room, "{'do':'opening','kind':'window','wall':'A','from':7.4,'width':1.2}");
    double[] wide = {0.5, 0.9, 0.4, 0.7, 0.6};
    double[] at = {2.1, 3.2, 4.3, 5.1, 6.6};
    for (int i = 0; i < 5; i++) {
      pied.place(room, "f" + i, "picture-frame", at[i], 0.05);
      pied.edit(
          room,
          "{'do':'size','pieces':['f%s'],'size':{'width':%s,'height':%s},'beyond':'stretch'}",
          i,
          wide[i],
          wide[i] * 0.8);
      pied.edit(room, "{'do':'moveBy','pieces':['f%s'],'by':{'y':%s}}", i, 0.03 * i);
    }
  }

  private void evenFrames() {
    List<JsonNode> frames = new ArrayList<>(all("picture-frame"));
    frames.sort(Comparator.comparingDouble(ManyTest::x));
    double y = frames.get(4).at("/at/y").asDouble();
    double before = 1.6; // the end of the first window
    double gap = Double.NaN;
    for (JsonNode f : frames) {
      assertThat(f.at("/at/y").asDouble()).isEqualTo(y, EXACT);
      double half = f.at("/size/width").asDouble() / 2;
      double own = x(f) - half - before;
      gap = Double.isNaN(gap) ? own : gap;
      assertThat(own).isEqualTo(gap, EXACT);
      before = x(f) + half;
    }
    assertThat(7.4 - before).isEqualTo(gap, EXACT);
  }

  @Test
  void fiveFramesBetweenTwoWindowsInLineAndEven() {
    frames();
    open("f0", "f4");
    band(1.7, -0.1, 7.2, 0.4);
    assertThat(sheet.caption()).containsText("5 pieces, the lead");
    key("Shift+I");
    proposed();
    enter();
    key("Shift+D");
    proposed();
    enter();
    becomes(() -> pied.space(room).get("revision").asLong() > 0);
    evenFrames();
    assertThat(actions).isLessThanOrEqualTo(5);
    again();
    again();
    say("undersides in line then even gaps, along wall A");
    evenFrames();
  }

  // ---- chairs around an oval table

  private void around(int n) {
    becomes(() -> all("dining-chair").size() == n);
    JsonNode table = piece("t");
    for (JsonNode c : all("dining-chair")) {
      // its front looks at the table
      double turn = Math.toRadians(c.get("turn").asDouble());
      double dx = table.at("/at/x").asDouble() - x(c);
      double dz = table.at("/at/z").asDouble() - c.at("/at/z").asDouble();
      assertThat(Math.sin(turn) * dx + Math.cos(turn) * dz).isPositive();
    }
    noSnags();
  }

  /** At its ends and in the middle of its long sides the edge of an oval is known. */
  private void gapAtTheEnds() {
    double half = piece("t").at("/size/width").asDouble() / 2;
    double deep = all("dining-chair").get(0).at("/size/depth").asDouble() / 2;
    double nearest =
        all("dining-chair").stream()
            .filter(c -> Math.abs(c.at("/at/z").asDouble() - 3) < 1e-3)
            .mapToDouble(c -> Math.abs(x(c) - 4) - deep - half)
            .findFirst()
            .orElseThrow();
    assertThat(nearest).isBetween(0.099, 0.1015);
  }

  @Test
  void eightChairsAroundAnOvalTableAndThenTen() {
    room = pied.newRoom("Oval", 8, 6, 3);
    pied.place(room, "t", "oval-table", 4, 3);
    pied.place(room, "c", "dining-chair", 1, 5);
    open("t", "c");
    clickPlan(1, 5);
    sheet.reads("Name", "Dining chair");
    key("Shift+R");
    assertThat(sheet.page.getByTestId("aim")).isVisible();
    clickPlan(4, 3.2);
    proposed();
    typeAndDo("8");
    around(8);
    gapAtTheEnds();
    assertThat(actions).isLessThanOrEqualTo(4);
    actions = 0;
    assertThat(sheet.caption()).containsText("a group of 8 pieces");
    click(sheet.page.getByLabel("How many: 8"));
    type("10");
    around(10);
    assertThat(actions).isLessThanOrEqualTo(2);
    assertThat(sheet.page.getByLabel("How many: 10")).isVisible();
    again();
    gone();
    sheet.page.keyboard().press("Escape");
    clickPlan(1, 5);
    sheet.reads("Name", "Dining chair");
    say("ring of 8 around the oval table, 0.1 off, facing in");
    around(8);
  }

  // ---- a hedge along an L-shaped wall

  private void hedge() {
    becomes(() -> all("small-tub-tree").size() == 24);
    noSnags();
    List<JsonNode> plants = all("small-tub-tree");
    double half = plants.get(0).at("/size/depth").asDouble() / 2;
    for (JsonNode p : plants) {
      double back = p.at("/at/z").asDouble() - half;
      double side = 8 - x(p) - half;
      assertThat(Math.min(back, side)).isBetween(-1e-6, 0.03);
    }
  }

  @Test
  void aHedgeOf24AlongAnLShapedWall() {
    room = pied.newRoom("Hedge", 8, 6, 3);
    pied.place(room, "p", "small-tub-tree", 3, 4);
    open("p");
    clickPlan(3, 4);
    sheet.reads("Name", "Small tree in a tub");
    key("Shift+P");
    assertThat(sheet.page.getByTestId("aim")).isVisible();
    clickPlan(7.9, 0.1);
    proposed();
    typeAndDo("24");
    hedge();
    assertThat(actions).isLessThanOrEqualTo(4);
    gone();
    say("24 along walls A and B");
    hedge();
  }

  // ---- books and cups on three shelves

  private void onShelves() {
    becomes(() -> all("books").size() + all("cup-and-saucer").size() == 40);
    noSnags();
    for (String article : List.of("books", "cup-and-saucer")) {
      for (JsonNode p : all(article)) {
        assertThat(p.at("/on/id").asText()).isIn("a", "b", "d");
      }
    }
  }

  private List<String> places() {
    List<String> all = new ArrayList<>();
    all("books").forEach(p -> all.add(p.get("at").toString()));
    all("cup-and-saucer").forEach(p -> all.add(p.get("at").toString()));
    return all.stream().sorted().toList();
  }

  @Test
  void fortyBooksAndCupsOnThreeShelvesTheSameSeedTheSameResult() {
    room = pied.newRoom("Shelves", 7, 4, 3);
    String[] shelves = {"a", "b", "d"};
    for (int i = 0; i < 3; i++) {
      pied.place(room, shelves[i], "open-shelf", 1.2 + i, 0.4);
    }
    pied.place(room, "k", "books", 1.2, 1.2);
    pied.edit(room, "{'do':'size','pieces':['k'],'size':{'width':0.2}}");
    pied.place(room, "u", "cup-and-saucer", 2.2, 1.2);
    open("k", "u", "d");
    band(0.4, 0.05, 4.2, 1.6);
    assertThat(sheet.caption()).containsText("5 pieces, the lead");
    key("Shift+F");
    proposed();
    typeAndDo("40");
    onShelves();
    assertThat(actions).isLessThanOrEqualTo(4);
    List<String> first = places();
    gone();
    band(0.4, 0.05, 4.2, 1.6);
    assertThat(sheet.caption()).containsText("5 pieces, the lead");
    say("scatter 40 on the shelves, seed 1");
    onShelves();
    assertThat(places()).isEqualTo(first);
  }

  // ---- a block of seats on a rake

  private void seats() {
    becomes(() -> all("theatre-seat").size() == 54);
    noSnags();
    assertThat(all("theatre-seat").stream().map(p -> p.at("/at/y").asDouble()).distinct().count())
        .isGreaterThanOrEqualTo(6);
  }

  @Test
  void aBlockOf6By9SeatsOnARake() {
    room = pied.newStage("Seats");
    pied.edit(room, "{'do':'build','rake':'1:12'}");
    pied.place(room, "s", "theatre-seat", -2.6, -0.6);
    open("s");
    clickPlan(-2.6, -0.6);
    sheet.reads("Name", "Theatre seat");
    key("r");
    proposed();
    typeAndDo("6 x 9");
    seats();
    assertThat(actions).isLessThanOrEqualTo(4);
    gone();
    sheet.page.keyboard().press("Escape");
    clickPlan(-2.6, -0.6);
    sheet.reads("Name", "Theatre seat");
    say("6 rows of 9");
    seats();
  }

  // ---- twins

  @Test
  void aPairOfColumnsAboutTheCentreLineOneMovedTheLineMoved() {
    room = pied.newStage("Twins");
    pied.place(room, "p", "barrel", 2, -3);
    open("p");
    clickPlan(2, -3);
    sheet.reads("Name", "Barrel");
    key("Shift+M");
    proposed();
    enter();
    becomes(() -> all("barrel").size() == 2);
    String other = piece("p").get("twin").asText();
    assertThat(x(piece(other))).isEqualTo(-2, EXACT);
    assertThat(sheet.page.getByTestId("twin-line")).hasCount(1);
    key("ArrowLeft");
    becomes(() -> Math.abs(x(piece("p")) - 1.95) < 1e-7);
    assertThat(x(piece(other))).isEqualTo(-1.95, EXACT);
    // the line, pressed and moved half a metre; nothing snaps, so it goes to where the pointer is
    double[] from = sheet.onPlan(0, -0.6);
    double[] to = sheet.onPlan(0.5, -0.6);
    sheet.page.mouse().move(from[0], from[1]);
    sheet.page.mouse().down();
    sheet.page.mouse().move(from[0] + 6, from[1]);
    sheet.page.mouse().move(to[0], to[1]);
    sheet.page.mouse().up();
    actions++;
    becomes(() -> x(piece(other)) > -1.5);
    double line = pied.space(room).at("/filing/twins/0/at/x").asDouble();
    assertThat(line).isBetween(0.4, 0.6);
    assertThat(x(piece("p"))).isEqualTo(1.95, EXACT);
    assertThat(x(piece(other))).isEqualTo(2 * line - 1.95, EXACT);
    assertThat(actions).isLessThanOrEqualTo(5);
    pied.edit(room, "{'do':'remove','pieces':['%s','p']}", other);
    pied.place(room, "q", "barrel", 1.5, -2);
    sheet.page.waitForSelector("[data-testid=plan] [data-piece='q'] path");
    sheet.page.keyboard().press("Escape");
    clickPlan(1.5, -2);
    sheet.reads("Name", "Barrel");
    say("twin about the centre line");
    becomes(() -> all("barrel").size() == 2);
  }

  // ---- boxes touching

  private void touching() {
    List<JsonNode> boxes = new ArrayList<>(all("block"));
    boxes.sort(Comparator.comparingDouble(ManyTest::x));
    for (int i = 1; i < 4; i++) {
      assertThat(x(boxes.get(i)) - x(boxes.get(i - 1))).isEqualTo(1.2, EXACT);
    }
  }

  @Test
  void boxesTouchingInARowFromOverlapping() {
    room = pied.newRoom("Boxes", 9, 5, 3);
    for (int i = 0; i < 4; i++) {
      pied.place(room, "b" + i, "block", 1.5 + 0.8 * i, 2);
    }
    pied.edit(room, "{'do':'size','pieces':['b0','b1','b2','b3'],'size':{'width':1.2}}");
    open("b0", "b3");
    band(0.4, 1.3, 5.5, 2.8);
    assertThat(sheet.caption()).containsText("4 pieces, the lead");
    actions = 0;
    key("Shift+D");
    proposed();
    assertThat(sheet.page.getByTestId("proposed")).containsText("touching");
    enter();
    touching();
    assertThat(actions).isLessThanOrEqualTo(2);
    again();
    say("touching");
    touching();
  }

  // ---- what cannot be said

  @Test
  void whatCannotBeReadIsSaidAtTheWordAndNothingIsDone() {
    room = pied.newRoom("Words", 6, 4, 3);
    pied.place(room, "s", "stool", 3, 2);
    open("s");
    clickPlan(3, 2);
    sheet.reads("Name", "Stool");
    sheet.page.keyboard().press(";");
    sheet.page.keyboard().type("8 in a row, fnord");
    assertThat(sheet.page.getByTestId("proposal")).containsText("“fnord” cannot be read here");
    sheet.page.keyboard().press("Enter");
    assertThat(sheet.page.getByTestId("proposal")).isVisible();
    sheet.page.getByLabel("What shall be").fill("3 in a r");
    assertThat(sheet.page.getByTestId("say-next")).containsText("in a row");
    sheet.page.keyboard().press("Tab");
    assertThat(sheet.page.getByLabel("What shall be")).hasValue("3 in a row ");
    sheet.page.keyboard().press("Escape");
    assertThat(sheet.page.getByTestId("proposal")).hasCount(0);
    assertThat(pied.space(room).get("pieces")).hasSize(1);
  }
}
