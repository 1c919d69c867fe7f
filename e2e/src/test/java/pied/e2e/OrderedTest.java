package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Keeping order, in no more actions than these; the numbers are read from the API. */
class OrderedTest extends Counting {
  private void selected(int n) {
    assertThat(sheet.caption()).containsText(Pattern.compile(n + " pieces(, the lead|, | — )"));
  }

  private JsonNode layer(String name) {
    for (JsonNode l : pied.space(room).at("/filing/layers")) {
      if (l.get("name").asText().equals(name)) {
        return l;
      }
    }
    return com.fasterxml.jackson.databind.node.MissingNode.getInstance();
  }

  private String layerOf(String piece) {
    return piece(piece).get("layer").asText();
  }

  private int count(String flag) {
    int n = 0;
    for (JsonNode p : pied.space(room).get("pieces")) {
      n += p.get(flag).asBoolean() ? 1 : 0;
    }
    return n;
  }

  /** A click on the plan with a key held down. */
  private void clickPlanWith(String key, double x, double z) {
    Keyboard keys = sheet.page.keyboard();
    keys.down(key);
    clickPlan(x, z);
    keys.up(key);
  }

  @Test
  void allDiningChairsGoToALayerMadeOnTheWay() {
    room = pied.newRoom("Chairs");
    for (int i = 0; i < 4; i++) {
      pied.place(room, "c" + i, i < 2 ? "dining-chair" : "hoop-chair", 1 + i, 2);
    }
    pied.place(room, "s", "stool", 2, 3);
    open("c0", "c3", "s");
    clickPlan(2, 2);
    sheet.reads("Name", "Dining chair 2");
    key("Shift+K");
    selected(4);
    key("Shift+N");
    assertThat(sheet.page.getByTestId("question")).isVisible();
    type("Dining chairs");
    becomes(() -> !layer("Dining chairs").isMissingNode());
    String chairs = layer("Dining chairs").get("id").asText();
    for (int i = 0; i < 4; i++) {
      assertThat(layerOf("c" + i)).isEqualTo(chairs);
    }
    assertThat(layerOf("s")).isEqualTo("first");
    assertThat(actions).isLessThanOrEqualTo(4);
  }

  @Test
  void threeFilesEachOnALayerOfItsOwn() {
    room = pied.newRoom("Files", 9, 6, 3);
    sheet = Sheet.planOf(room);
    double[][][] boxes = {
      {{0, 0, 0, 0.6, 0.9, 0.5}, {0.1, 0.9, 0.1, 0.5, 1.0, 0.4}},
      {{0, 0, 0, 0.8, 0.5, 0.7}, {0.2, 0.5, 0.2, 0.6, 0.6, 0.5}},
      {{0, 0, 0, 0.5, 0.7, 0.4}, {0.1, 0.7, 0.1, 0.4, 0.8, 0.3}},
    };
    String[] names = {"Bell", "Anchor", "Locker"};
    for (int i = 0; i < 3; i++) {
      sheet.bringIn(names[i].toLowerCase(Locale.ROOT) + ".obj", Boxes.obj(boxes[i]));
      Locator arrived = sheet.page.getByTestId("arrived");
      assertThat(arrived).isVisible();
      arrived.getByLabel("On a layer of its own, by its name").setChecked(true);
      sheet.button("Bring it in");
      assertThat(sheet.page.getByTestId("carry")).isVisible();
      clickPlan(2 + 2 * i, 3);
      int wanted = i + 1;
      becomes(() -> pied.space(room).get("pieces").size() == wanted);
      sheet.reads("Name", names[i]);
    }
    List<String> ids = new ArrayList<>();
    List<String> layers = new ArrayList<>();
    pied.space(room)
        .get("pieces")
        .forEach(
            p -> {
              ids.add(p.get("id").asText());
              layers.add(p.get("layer").asText());
            });
    assertThat(layers).doesNotHaveDuplicates().doesNotContain("first");
    // the locker as large as the anchor
    clickPlanWith("Shift", 4, 3);
    selected(2);
    key("Shift+E");
    becomes(() -> piece(ids.get(2)).get("size").equals(piece(ids.get(1)).get("size")));
    // one part of the group that they are made
    key("Shift+G");
    assertThat(sheet.caption()).containsText("a group of 2 pieces");
    key("Shift+O");
    assertThat(sheet.page.getByTestId("in-group")).isVisible();
    double before = piece(ids.get(1)).at("/at/x").asDouble();
    double other = piece(ids.get(2)).at("/at/x").asDouble();
    clickPlan(4, 3);
    assertThat(sheet.caption()).containsText(" wide × ");
    key("ArrowLeft");
    becomes(() -> Math.abs(piece(ids.get(1)).at("/at/x").asDouble() - before + 0.05) < 1e-9);
    assertThat(piece(ids.get(2)).at("/at/x").asDouble()).isEqualTo(other);
    // its layer off and on
    click(sheet.page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Layers")));
    String name = layerName(layers.get(1));
    click(sheet.page.getByLabel("Hide " + name, new Page.GetByLabelOptions().setExact(true)));
    assertThat(sheet.page.getByTestId("hidden")).hasText("1 hidden");
    click(sheet.page.getByLabel("Show " + name, new Page.GetByLabelOptions().setExact(true)));
    assertThat(sheet.page.getByTestId("hidden")).hasCount(0);
    assertThat(actions).isLessThanOrEqualTo(12);
  }

  private String layerName(String id) {
    for (JsonNode l : pied.space(room).at("/filing/layers")) {
      if (l.get("id").asText().equals(id)) {
        return l.get("name").asText();
      }
    }
    throw new AssertionError(id);
  }

  @Test
  void threeHundredAreLockedHiddenAndShownAgain() {
    room = pied.newRoom("Hall", 24, 16, 4);
    StringBuilder all = new StringBuilder();
    for (int i = 0; i < 300; i++) {
      all.append(i == 0 ? "" : ",")
          .append(
              "{\"do\":\"place\",\"article\":\"stool\",\"at\":{\"x\":%s,\"z\":%s}}"
                  .formatted(1 + i % 20, 0.6 + i / 20));
    }
    assertThat(
            pied.post("/api/spaces/" + room + "/edits", "{\"edits\":[" + all + "]}").statusCode())
        .isEqualTo(200);
    open();
    key("Control+a");
    selected(300);
    key("Shift+L");
    becomes(() -> count("locked") == 300);
    assertThat(actions).isLessThanOrEqualTo(2);
    sheet.page.keyboard().press("q");
    Locator notice = sheet.page.getByTestId("notice");
    assertThat(notice).containsText("300 of these pieces are locked");
    assertThat(notice.getByText("Unlock them")).isVisible();
    sheet.page.keyboard().press("Escape");
    assertThat(sheet.caption()).containsText("with 300 pieces");
    actions = 0;
    key("Control+a");
    selected(300);
    key("x");
    becomes(() -> count("hidden") == 300);
    assertThat(sheet.page.getByTestId("hidden")).hasText("300 hidden");
    assertThat(sheet.page.locator("[data-testid=plan] [data-piece]")).hasCount(0);
    assertThat(actions).isLessThanOrEqualTo(2);
    actions = 0;
    click(sheet.page.getByTestId("hidden"));
    becomes(() -> count("hidden") == 0);
    assertThat(sheet.page.locator("[data-testid=plan] [data-piece]")).hasCount(300);
    assertThat(actions).isLessThanOrEqualTo(1);
  }

  @Test
  void aLaidTableIsCopiedOntoThreeOthers() {
    room = pied.newRoom("Tea", 8, 5, 3);
    pied.place(room, "t", "cafe-table", 1.5, 1.2);
    pied.place(room, "u", "cup-and-saucer", 1.35, 1.2);
    pied.place(room, "v", "bottle", 1.65, 1.3);
    for (int i = 0; i < 3; i++) {
      pied.place(room, "t" + i, "cafe-table", 1.5 + 2 * i, 3.5);
    }
    open("t", "u", "t2");
    clickPlan(1.5, 0.95);
    sheet.reads("Name", "Round café table");
    key("Control+c");
    band(0.5, 2.6, 7, 4.4);
    selected(3);
    key("Shift+V");
    becomes(() -> pied.space(room).get("pieces").size() == 12);
    for (JsonNode p : pied.space(room).get("pieces")) {
      String on = p.at("/on/id").asText();
      if (on.matches("t[0-2]")) {
        boolean cup = p.get("article").asText().equals("cup-and-saucer");
        JsonNode table = piece(on);
        double dx = p.at("/at/x").asDouble() - table.at("/at/x").asDouble();
        double dz = p.at("/at/z").asDouble() - table.at("/at/z").asDouble();
        assertThat(dx).isCloseTo(cup ? -0.15 : 0.15, EXACT);
        assertThat(dz).isCloseTo(cup ? 0 : 0.1, EXACT);
        assertThat(p.at("/at/y").asDouble())
            .isCloseTo(piece(cup ? "u" : "v").at("/at/y").asDouble(), EXACT);
      }
    }
    assertThat(pied.json("/api/spaces/" + room + "/snags").get("snags")).isEmpty();
    assertThat(actions).isLessThanOrEqualTo(4);
  }

  @Test
  void twoArmchairsBecomeAsAThird() {
    room = pied.newRoom("Armchairs");
    pied.place(room, "lead", "armchair", 3, 2);
    pied.place(room, "a", "armchair", 1.2, 2);
    pied.place(room, "b", "armchair", 4.8, 2);
    pied.edit(room, "{'do':'size','pieces':['lead'],'size':{'width':0.9,'height':0.9}}");
    pied.edit(room, "{'do':'turn','pieces':['lead'],'to':30}");
    open("lead", "a", "b");
    band(0.2, 0.8, 5.9, 3.2);
    selected(3);
    clickPlanWith("Shift", 3, 2);
    assertThat(sheet.caption()).containsText("the lead is Armchair, picked last");
    key("Shift+E");
    for (String id : new String[] {"a", "b"}) {
      becomes(() -> Math.abs(piece(id).get("turn").asDouble() - 30) < 1e-9);
      assertThat(piece(id).at("/size/width").asDouble()).isCloseTo(0.9, EXACT);
      assertThat(piece(id).at("/size/height").asDouble()).isCloseTo(0.9, EXACT);
    }
    assertThat(actions).isLessThanOrEqualTo(3);
  }

  @Test
  void aGroupIsOneUntilItIsOpened() {
    room = pied.newRoom("Group");
    pied.place(room, "a", "stool", 2, 2);
    pied.place(room, "b", "stool", 3, 2);
    pied.place(room, "c", "stool", 4.5, 2);
    pied.edit(room, "{'do':'group','pieces':['a','b'],'id':'g','name':'Pair'}");
    open("a", "b", "c");
    clickPlan(2, 2);
    assertThat(sheet.caption()).containsText("a group of 2 pieces");
    key("q");
    becomes(() -> Math.abs(piece("a").at("/at/x").asDouble() - 2.5) < 1e-9);
    key("Control+z");
    becomes(() -> Math.abs(piece("a").at("/at/x").asDouble() - 2) < 1e-9);
    key("Shift+O");
    assertThat(sheet.page.getByTestId("in-group")).containsText("in Pair");
    clickPlan(3, 2);
    sheet.reads("Name", "Stool 2");
    key("Escape");
    assertThat(sheet.page.getByTestId("in-group")).hasCount(0);
    assertThat(sheet.caption()).containsText("a group of 2 pieces");
    sheet.type("Name of the group", "Twins");
    becomes(() -> pied.space(room).at("/filing/groups/0/name").asText().equals("Twins"));
  }

  @Test
  void whatLiesInAFigureIsSelectedInEveryDrawing() {
    room = pied.newRoom("Figures");
    pied.place(room, "a", "stool", 1, 1);
    pied.place(room, "b", "stool", 3, 1);
    pied.place(room, "c", "stool", 5, 1);
    sheet = new Sheet(room, "set", "wall:A");
    assertThat(sheet.page.getByTestId("elevation")).isVisible();
    sheet.page.waitForSelector("[data-testid=elevation] [data-footprint=c]");
    // with a rectangle in the elevation, which runs from right to left as one looks at wall A
    Keyboard keys = sheet.page.keyboard();
    double[] from = sheet.onElevation(piecesAlong("a") - 0.5, 0.8);
    double[] to = sheet.onElevation(piecesAlong("b") + 0.5, -0.1);
    keys.down("Shift");
    drag(from, to);
    keys.up("Shift");
    selected(2);
    // with a line drawn by hand in the set view
    sheet.page.keyboard().press("Escape");
    assertThat(sheet.caption()).containsText("with 3 pieces");
    sheet.page.locator("[data-verb='Select in']").click();
    choose("a line drawn by hand: also what it touches");
    double[] b = sheet.onSet(3, 0.25, 1);
    double[] c = sheet.onSet(5, 0.25, 1);
    drag(
        new double[] {b[0] - 6, b[1] - 6},
        new double[] {c[0] + 6, c[1] - 6},
        new double[] {c[0] + 6, c[1] + 6},
        new double[] {b[0] - 6, b[1] + 6});
    selected(2);
    assertThat(sheet.page.locator("[data-testid=band]")).hasCount(0);
  }

  /** How far along the elevation of wall A a piece is. */
  private double piecesAlong(String id) {
    JsonNode e = pied.json("/api/spaces/" + room + "/elevation?way=wall&wall=A").get("elevation");
    JsonNode at = piece(id).get("at");
    return (at.get("x").asDouble() - e.at("/zero/x").asDouble()) * e.at("/right/x").asDouble();
  }

  private void drag(double[]... through) {
    sheet.page.mouse().move(through[0][0], through[0][1]);
    sheet.page.mouse().down();
    for (double[] p : through) {
      sheet
          .page
          .mouse()
          .move(p[0], p[1], new com.microsoft.playwright.Mouse.MoveOptions().setSteps(4));
    }
    sheet.page.mouse().up();
  }

  @Test
  void theTableIsSortedTypedIntoAndAddedUp() {
    room = pied.newRoom("Table");
    pied.place(room, "a", "stool", 1, 1);
    pied.place(room, "b", "stool", 2, 1);
    pied.place(room, "c", "cafe-table", 4, 2);
    open("a", "b", "c");
    key("Shift+W");
    Locator table = sheet.page.getByLabel("Schedule", new Page.GetByLabelOptions().setExact(true));
    Locator rows = table.locator("[role=row][data-id]");
    assertThat(rows).hasCount(2);
    Locator stools = rows.filter(new Locator.FilterOptions().setHasText("Stool"));
    assertThat(stools).containsText("× 2");
    into(stools, "size", "0.40 x 0.40 x 0.50");
    becomes(() -> Math.abs(piece("b").at("/size/height").asDouble() - 0.5) < 1e-9);
    assertThat(piece("a").at("/size/width").asDouble()).isCloseTo(0.4, EXACT);
    into(stools, "remark", "from the store");
    becomes(
        () ->
            pied.json("/api/spaces/" + room + "/schedule")
                .at("/rows/1/remark")
                .asText()
                .equals("from the store"));
    // what is refused stays as it was, and it is said why
    into(stools, "size", "9 x 9 x 9");
    assertThat(sheet.page.getByTestId("notice")).isVisible();
    assertThat(stools.locator("[data-field=size]")).hasText("0.40 × 0.40 × 0.50");
    assertThat(sheet.page.getByTestId("totals")).containsText("3 pieces: ");
    // a row leads to where it is
    rows.filter(new Locator.FilterOptions().setHasText("Round café table")).hover();
    assertThat(sheet.page.locator("[data-testid=plan] [data-hovered=c]")).hasCount(1);
  }

  private void into(Locator row, String field, String text) {
    row.locator("[data-field=" + field + "]").dblclick();
    Locator input = row.locator("[data-field=" + field + "] input");
    input.fill(text);
    input.press("Enter");
    assertThat(input).hasCount(0);
  }

  @Test
  void eachWindowUndoesItsOwnAndTheHistoryLeadsAnywhere() {
    room = pied.newRoom("Windows");
    pied.place(room, "a", "stool", 1, 1);
    pied.place(room, "b", "stool", 3, 1);
    open("a", "b");
    Sheet other = Sheet.planOf(room);
    try {
      other.page.waitForSelector("[data-testid=plan] [data-piece=b] path");
      clickPlan(1, 1);
      sheet.reads("Name", "Stool");
      key("t");
      becomes(() -> turn("a") == 45);
      double[] p = other.onPlan(3, 1);
      other.page.mouse().click(p[0], p[1]);
      other.reads("Name", "Stool 2");
      other.page.keyboard().press("t");
      becomes(() -> turn("b") == 45);
      assertThat(sheet.caption()).containsText("facing 45°");
      key("Control+z");
      becomes(() -> turn("a") == 0);
      assertThat(turn("b")).isEqualTo(45);
      assertThat(sheet.caption()).containsText("facing 0°");
      // the other goes on with the same piece
      key("Control+Shift+z");
      becomes(() -> turn("a") == 45);
      pied.post(
          "/api/spaces/" + room + "/edits",
          "{\"by\":{\"window\":\"elsewhere\",\"who\":\"Isolde\"},\"edits\":"
              + "[{\"do\":\"turn\",\"pieces\":[\"a\"],\"by\":10}]}");
      becomes(() -> turn("a") == 55);
      sheet.button("History");
      Locator history = sheet.page.getByTestId("history");
      assertThat(history).containsText("Turned Stool by 10°");
      assertThat(history).containsText("Isolde");
      assertThat(history).containsText("this window");
      history.getByText("Put in Stool 2").click();
      becomes(() -> turn("a") == 0 && turn("b") == 0);
      history.getByText("Turned Stool by 10°").click();
      becomes(() -> turn("a") == 55 && turn("b") == 45);
      // one out of the middle, and back; what others went on with is refused with the reason
      history.getByLabel("Take out: Turned Stool 2 by 45°").click();
      becomes(() -> turn("b") == 0 && turn("a") == 55);
      history.getByLabel("Put back: Turned Stool 2 by 45°").click();
      becomes(() -> turn("b") == 45);
      history.getByLabel("Take out: Turned Stool by 45°").first().click();
      assertThat(sheet.page.getByTestId("notice"))
          .containsText("Stool was changed since: “Turned Stool by 10°”");
    } finally {
      other.close();
    }
  }

  private double turn(String id) {
    return piece(id).get("turn").asDouble();
  }

  @Test
  void whatIsCopiedIsPastedInAnotherSpaceThoughTheFirstIsGone() {
    room = pied.newRoom("First");
    String second = pied.newRoom("Second");
    pied.place(room, "t", "cafe-table", 2, 2);
    pied.place(room, "u", "cup-and-saucer", 2, 2);
    open("t", "u");
    clickPlan(2, 1.75);
    sheet.reads("Name", "Round café table");
    key("Control+c");
    assertThat(sheet.page.getByTestId("notice")).containsText("held ready");
    pied.post("/api/spaces/" + room + "/remove", "{}");
    room = second;
    sheet.page.navigate(pied.url() + "/#/space/" + second);
    assertThat(sheet.caption()).containsText("Second");
    double[] p = sheet.onPlan(4, 2.5);
    sheet.page.mouse().move(p[0], p[1]);
    key("Control+v");
    becomes(() -> pied.space(second).get("pieces").size() == 2);
    JsonNode table = pied.piece(second, "cafe-table");
    JsonNode cup = pied.piece(second, "cup-and-saucer");
    assertThat(table.at("/at/x").asDouble())
        .isCloseTo(4, org.assertj.core.data.Offset.offset(0.01));
    assertThat(cup.at("/on/id").asText()).isEqualTo(table.get("id").asText());
    assertThat(table.at("/on/kind").asText()).isEqualTo("floor");
  }

  @Test
  void whatIsLostLiesInTheTrayUntilItIsBroughtIn() {
    room = pied.newRoom("Lost");
    pied.place(room, "a", "stool", 2, 2);
    pied.edit(room, "{'do':'moveTo','pieces':['a'],'to':{'x':90,'y':12,'z':-40}}");
    sheet = Sheet.planOf(room);
    Locator tray = sheet.page.getByTestId("tray");
    assertThat(tray).containsText("1 outside:");
    tray.getByText("Bring in").click();
    becomes(() -> piece("a").at("/on/kind").asText().equals("floor"));
    assertThat(tray).hasCount(0);
    double x = piece("a").at("/at/x").asDouble();
    assertThat(x).isBetween(0.0, 6.0);
  }

  @Test
  void aGroupIsKeptAsAnArticleAndPlacedAgain() {
    room = pied.newRoom("Kept");
    pied.place(room, "a", "stool", 1.5, 1.5);
    pied.place(room, "t", "cafe-table", 2.3, 1.5);
    pied.edit(room, "{'do':'group','pieces':['a','t'],'id':'g','name':'Corner'}");
    open("a", "t");
    clickPlan(1.5, 1.5);
    assertThat(sheet.caption()).containsText("a group of 2 pieces");
    sheet.page.keyboard().press(".");
    sheet.page.keyboard().type("keep as");
    sheet.page.keyboard().press("Enter");
    assertThat(sheet.page.getByTestId("question")).isVisible();
    sheet.page.keyboard().press("Control+a");
    type("Stool by a table");
    assertThat(sheet.page.getByTestId("notice")).containsText("Stool by a table is in the catalog");
    sheet.leaf("Catalog");
    sheet.page.getByLabel("Search the catalog").fill("stool by a table");
    Locator card = sheet.page.locator("[data-article^=own-]");
    assertThat(card).hasCount(1);
    card.focus();
    card.press("Enter");
    assertThat(sheet.page.getByTestId("carry")).isVisible();
    sheet.clickPlan(4, 3);
    becomes(() -> pied.space(room).get("pieces").size() == 3);
    JsonNode kept = pied.space(room).at("/pieces/2");
    double wide = 0.8 + 0.18 + 0.35;
    double[] sides = {kept.at("/size/width").asDouble(), kept.at("/size/depth").asDouble()};
    assertThat(Math.max(sides[0], sides[1])).isCloseTo(wide, EXACT);
    assertThat(kept.at("/on/kind").asText()).isEqualTo("floor");
  }
}
