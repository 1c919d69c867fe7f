package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/** Picking up, travelling with free hands, putting down; in a room of 6 × 4 m. */
class CarryTest extends OnTheSheet {
  private static final Offset<Double> TOUCH = within(1e-4);

  private void open(String name, String... large) {
    room = pied.newRoom(name);
    sheet = new Sheet(room, large);
  }

  private void put(String id, String article, double x, double z) {
    place(id, article, x, z);
    sheet.page.waitForSelector("[data-testid=plan] [data-piece='" + id + "'] path");
  }

  private void place(String id, String article, double x, double z) {
    pied.post(
        "/api/spaces/" + room + "/edits",
        "{\"edits\":[{\"do\":\"place\",\"piece\":\""
            + id
            + "\",\"article\":\""
            + article
            + "\",\"at\":{\"x\":"
            + x
            + ",\"z\":"
            + z
            + "}}]}");
  }

  private double at(String id, String way) {
    return piece(id).at("/at/" + way).asDouble();
  }

  private double size(String id, String way) {
    return piece(id).at("/size/" + way).asDouble();
  }

  private Locator carry() {
    return sheet.page.getByTestId("carry");
  }

  /** Selects a piece in the schedule, and picks it up with a click. */
  private void pickUp(String name, double x, double z) {
    sheet.schedule(name);
    assertThat(sheet.caption()).containsText(name + " — ");
    double[] p = sheet.onPlan(x, z);
    sheet.page.mouse().click(p[0], p[1]);
    assertThat(carry()).isVisible();
  }

  private void moveTo(double x, double z) {
    double[] p = sheet.onPlan(x, z);
    sheet.page.mouse().move(p[0], p[1]);
  }

  private void click() {
    sheet.page.mouse().down();
    sheet.page.mouse().up();
    assertThat(carry()).not().isVisible();
    sheet.saved();
  }

  private void snapsOn() {
    sheet.page.keyboard().press("j");
  }

  @Test
  void intoACornerByTwoSnapsAndStoppedAtAWall() {
    open("Corner", "plan");
    put("s", "sideboard", 3, 2);
    snapsOn();
    pickUp("Oak sideboard", 3, 2);
    moveTo(0.85, 0.27);
    assertThat(sheet.page.getByTestId("snapped")).hasText("in the corner of walls A and D.");
    click();
    assertThat(at("s", "x")).isCloseTo(size("s", "width") / 2, TOUCH);
    assertThat(at("s", "z")).isCloseTo(size("s", "depth") / 2, TOUCH);
    // carried on into the wall it stops there and slides along
    pickUp("Oak sideboard", at("s", "x"), at("s", "z"));
    moveTo(4, -0.2);
    assertThat(carry()).containsText("Stopped by");
    click();
    assertThat(at("s", "z")).isCloseTo(size("s", "depth") / 2, within(0.03));
    assertThat(pied.reach(room, "s", "back")).isCloseTo(0, TOUCH);
    assertThat(at("s", "x")).isCloseTo(4, within(0.05));
  }

  @Test
  void aNumberIsTypedAndTypedAgainAndGivenUp() {
    open("Numbers", "plan");
    put("s", "stool", 2, 2);
    pickUp("Stool", 2, 2);
    moveTo(2.6, 2.02);
    assertThat(carry().locator("[data-slot=moved]")).not().hasText("0.00");
    sheet.page.keyboard().type("0.85");
    assertThat(carry().locator("[data-slot=moved]")).hasText("0.85");
    sheet.page.keyboard().press("Backspace");
    sheet.page.keyboard().press("Backspace");
    sheet.page.keyboard().press("Backspace");
    sheet.page.keyboard().press("Backspace");
    sheet.page.keyboard().type("1.10");
    assertThat(carry().locator("[data-slot=moved]")).hasText("1.10");
    sheet.page.keyboard().press("Enter");
    sheet.page.waitForCondition(() -> at("s", "x") > 3);
    assertThat(at("s", "x")).isCloseTo(3.1, TOUCH);
    assertThat(at("s", "z")).isCloseTo(2, TOUCH);
    // a number is clicked, and it is that one
    pickUp("Stool", 3.1, 2);
    moveTo(3, 2.6);
    carry().locator("[data-slot=across]").click();
    sheet.page.keyboard().type("3.1");
    assertThat(carry().locator("[data-slot=across]")).hasText("3.1");
    carry().locator("[data-slot=deep]").click();
    sheet.page.keyboard().press("Escape");
    sheet.page.keyboard().press("Escape");
    // a distance to a wall: Tab to it
    pickUp("Stool", 3.1, 2);
    moveTo(4, 2);
    assertThat(carry().locator("[data-slot=right]")).isVisible();
    sheet.page.keyboard().press("Tab");
    sheet.page.keyboard().press("Tab");
    sheet.page.keyboard().type("0.4");
    assertThat(carry().locator("[data-slot=right]")).hasText("0.4");
    sheet.page.keyboard().press("Enter");
    sheet.page.waitForCondition(() -> at("s", "x") > 4.5);
    assertThat(pied.reach(room, "s", "right")).isCloseTo(0.4, TOUCH);
    // given up: back where it was
    double x = at("s", "x");
    pickUp("Stool", x, 2);
    moveTo(2, 3);
    assertThat(carry()).containsText("moved");
    sheet.page.keyboard().press("Escape");
    assertThat(carry()).not().isVisible();
    assertThat(sheet.caption()).containsText("Stool");
    assertThat(at("s", "x")).isEqualTo(x);
  }

  @Test
  void aClockGoesOntoTheMiddleBoardOfAShelfOnThePlan() {
    open("Shelf", "plan");
    put("f", "open-shelf", 3, 0.16);
    put("k", "mantel-clock", 1, 3);
    pickUp("Mantel clock", 1, 3);
    moveTo(3.2, 0.16);
    assertThat(carry()).containsText("surfaces here");
    for (int i = 0; i < 6 && !carry().textContent().matches(".*on Open shelf, 1\\.[0-4].*"); i++) {
      String before = carry().textContent();
      sheet.page.keyboard().press("PageDown");
      sheet.page.waitForCondition(() -> !carry().textContent().equals(before));
    }
    assertThat(carry()).containsText("on Open shelf, 1.");
    click();
    assertThat(piece("k").at("/on/id").asText()).isEqualTo("f");
    assertThat(at("k", "y")).isBetween(0.5, 1.5);
    assertThat(pied.reach(room, "k", "under")).isCloseTo(0, TOUCH);
    // the shelf is carried, and takes it along
    double off = at("k", "x") - at("f", "x");
    double high = at("k", "y");
    pickUp("Open shelf", 2.8, 0.16);
    moveTo(4, 2);
    click();
    assertThat(at("f", "z")).isGreaterThan(1);
    assertThat(at("k", "x") - at("f", "x")).isCloseTo(off, TOUCH);
    assertThat(at("k", "y")).isCloseTo(high, TOUCH);
  }

  @Test
  void inTheSetViewAClockGoesOntoTheBoardOfAShelfAndACushionLeansAgainstABack() {
    open("Onto things", "plan", "set");
    put("f", "open-shelf", 3, 0.16);
    put("b", "banquette", 5, 0.4);
    put("k", "mantel-clock", 1, 3);
    put("c", "cushion", 2, 3);
    sheet.schedule("Mantel clock");
    sheet.page.keyboard().press(" ");
    double[] p = sheet.onSet(3.2, 1.0, 0.1);
    sheet.page.mouse().move(p[0] - 2, p[1]);
    sheet.page.mouse().move(p[0], p[1]);
    assertThat(carry()).containsText("on Open shelf");
    click();
    assertThat(piece("k").at("/on/id").asText()).isEqualTo("f");
    assertThat(at("k", "y")).isBetween(0.3, 1.6);
    assertThat(pied.reach(room, "k", "under")).isCloseTo(0, TOUCH);

    sheet.schedule("Cushion");
    sheet.page.keyboard().press(" ");
    sheet.page.keyboard().press("u");
    sheet.page.keyboard().press("b"); // its back
    p = sheet.onSet(4.7, 0.7, 0.2);
    sheet.page.mouse().move(p[0] - 2, p[1]);
    sheet.page.mouse().move(p[0], p[1]);
    assertThat(carry()).containsText("its back flat on Banquette element");
    click();
    assertThat(piece("c").at("/on/id").asText()).isEqualTo("b");
    assertThat(piece("c").at("/lean/by").asDouble()).isBetween(2.0, 25.0);
    assertThat(pied.json("/api/spaces/" + room + "/snags").get("snags")).isEmpty();
    // it goes where the banquette goes
    double off = at("c", "x") - at("b", "x");
    pickUp("Banquette element", 5.4, 0.5);
    moveTo(4, 2.5);
    click();
    assertThat(at("c", "x") - at("b", "x")).isCloseTo(off, TOUCH);
    assertThat(at("b", "z")).isGreaterThan(1.5);
  }

  @Test
  void aLampIsClampedToABar() {
    room =
        PiedProcess.parse(
                pied.post(
                        "/api/projects/"
                            + pied.json("/api/projects").at("/0/id").asText()
                            + "/spaces",
                        "{\"name\":\"Bars\",\"width\":8,\"depth\":6,\"height\":5,\"stage\":{}}")
                    .body())
            .get("id")
            .asText();
    pied.post(
        "/api/spaces/" + room + "/edits",
        "{\"edits\":[{\"do\":\"bar\",\"at\":{\"x\":0,\"z\":-3},\"trim\":\"4\"}]}");
    sheet = new Sheet(room, "plan");
    sheet.take("profile", "profile-spot");
    double[] p = sheet.onPlan(1.2, -2.9);
    sheet.page.mouse().move(p[0] - 2, p[1]);
    sheet.page.mouse().move(p[0], p[1]);
    assertThat(carry()).containsText("hanging from the bar");
    click();
    JsonNode lamp = pied.piece(room, "profile-spot");
    assertThat(lamp.at("/on/kind").asText()).isEqualTo("bar");
    assertThat(lamp.at("/at/z").asDouble()).isCloseTo(-3, TOUCH);
    assertThat(lamp.at("/at/y").asDouble() + lamp.at("/size/height").asDouble()).isLessThan(4);
    assertThat(pied.json("/api/spaces/" + room + "/snags").get("snags")).isEmpty();
  }

  @Test
  void inTheSetViewTheViewIsTurnedInMidCarry() {
    open("Set view", "plan", "set");
    put("t", "cafe-table", 4.5, 1.5);
    put("v", "vase", 1, 3);
    pickUp("Vase", 1, 3);
    BoundingBox set = sheet.page.getByTestId("set").boundingBox();
    double x = set.x + set.width / 2;
    double y = set.y + set.height / 2;
    sheet.page.mouse().move(x, y);
    assertThat(carry()).containsText("moved");
    // press and move turns the view; what is carried stays in hand
    sheet.page.mouse().down();
    sheet
        .page
        .mouse()
        .move(x + 60, y, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(3));
    sheet.page.mouse().up();
    assertThat(carry()).isVisible();
    // back on the plan, onto the table
    moveTo(4.5, 1.5);
    assertThat(carry()).containsText("on Round café table");
    click();
    assertThat(piece("v").at("/on/id").asText()).isEqualTo("t");
    assertThat(at("v", "y")).isCloseTo(size("t", "height"), TOUCH);
  }

  @Test
  void inTheSetViewAClickPutsDownAlsoWhereADistanceStands() {
    open("Numbers", "plan", "set");
    put("t", "cafe-table", 3, 2);
    pickUp("Round café table", 3, 2);
    BoundingBox set = sheet.page.getByTestId("set").boundingBox();
    sheet.page.mouse().move(set.x + set.width / 2, set.y + set.height / 2);
    assertThat(carry()).containsText("moved");
    Locator number = sheet.page.getByTestId("set").locator("[data-testid^=reach-]").first();
    assertThat(number).isVisible();
    BoundingBox box = number.boundingBox();
    double x = box.x + box.width / 2;
    double y = box.y + box.height / 2;
    assertThat(
            sheet.page.evaluate(
                "([x, y]) => document.elementFromPoint(x, y).tagName", List.of(x, y)))
        .isEqualTo("CANVAS");
    sheet.page.mouse().click(x, y);
    assertThat(carry()).not().isVisible();
    assertThat(Math.hypot(at("t", "x") - 3, at("t", "z") - 2)).isGreaterThan(0.05);
  }

  @Test
  void aPictureAtAnExactHeightInTheElevation() {
    open("Picture", "plan", "wall:A");
    put("p", "picture-frame", 2, 0.1);
    sheet.clickPlan(2, 0.01);
    assertThat(sheet.caption()).containsText("on wall A");
    double middle = at("p", "y") + size("p", "height") / 2;
    double[] from = sheet.onElevation(2, middle);
    sheet.page.mouse().click(from[0], from[1]);
    assertThat(carry()).isVisible();
    double[] to = sheet.onElevation(4, 1.2);
    sheet.page.mouse().move(to[0], to[1]);
    assertThat(carry()).containsText("moved");
    for (int i = 0; i < 9; i++) { // through the distances to that of its top
      if (carry().locator("[data-slot=upperside]").getAttribute("data-focus") != null) {
        break;
      }
      sheet.page.keyboard().press("Tab");
    }
    sheet.page.keyboard().type("1.85");
    assertThat(carry().locator("[data-slot=upperside]")).hasText("1.85");
    sheet.page.keyboard().press("Enter");
    sheet.page.waitForCondition(() -> Math.abs(at("p", "x") - 2) > 1);
    assertThat(at("p", "y") + size("p", "height")).isCloseTo(1.85, TOUCH);
    assertThat(piece("p").at("/on/kind").asText()).isEqualTo("wall");
  }

  @Test
  void sevenJarsAndLanternsFromTheAirOntoTheCounterInThreeActions() {
    open("Counter", "plan");
    put("counter", "service-counter", 3, 1);
    for (int i = 0; i < 7; i++) {
      put("j" + i, i % 2 == 0 ? "jar" : "ship-lantern", 1.5 + 0.45 * i, 3);
      pied.post(
          "/api/spaces/" + room + "/edits",
          "{\"edits\":[{\"do\":\"moveBy\",\"pieces\":[\"j" + i + "\"],\"by\":{\"y\":1.3}}]}");
    }
    sheet.page.waitForCondition(() -> at("j6", "y") > 1);
    double[] from = sheet.onPlan(1, 2.5);
    double[] to = sheet.onPlan(5, 3.5);
    sheet.page.keyboard().down("Shift");
    sheet.page.mouse().move(from[0], from[1]);
    sheet.page.mouse().down();
    sheet.page.mouse().move(to[0] - 9, to[1]);
    sheet.page.mouse().move(to[0], to[1]);
    sheet.page.mouse().up();
    sheet.page.keyboard().up("Shift");
    assertThat(sheet.caption()).containsText("7 pieces");
    sheet.page.keyboard().press("Shift+S");
    assertThat(sheet.caption()).containsText("onto which to settle");
    double[] on = sheet.onPlan(3, 1);
    sheet.page.mouse().click(on[0], on[1]);
    sheet.page.waitForCondition(() -> piece("j6").at("/on/id").asText().equals("counter"));
    for (int i = 0; i < 7; i++) {
      assertThat(piece("j" + i).at("/on/id").asText()).isEqualTo("counter");
      assertThat(pied.reach(room, "j" + i, "under")).isCloseTo(0, TOUCH);
    }
    assertThat(pied.json("/api/spaces/" + room + "/snags").get("snags")).isEmpty();
  }

  @Test
  void twoBanquettesAreButtedMarkToMark() {
    open("Butted", "plan");
    put("a", "banquette", 2, 1);
    put("b", "banquette", 4, 3);
    double w = size("a", "width");
    double d = size("a", "depth");
    pickUp("Banquette element 2", 4 - w / 2 + 0.05, 3 - d / 2 + 0.05);
    sheet.page.keyboard().press("m");
    sheet.page.keyboard().press("t"); // as it is turned
    moveTo(2 + w / 2 + 0.03, 1 - d / 2 + 0.02);
    assertThat(sheet.page.getByTestId("snapped")).containsText("on a corner of Banquette element");
    click();
    assertThat(at("b", "x")).isCloseTo(2 + w, TOUCH);
    assertThat(at("b", "z")).isCloseTo(1, TOUCH);
    assertThat(pied.reach(room, "b", "left")).isCloseTo(0, TOUCH);
    // one that stands askew is turned for it: the sides meet flat
    put("c", "banquette", 4, 3);
    pied.post(
        "/api/spaces/" + room + "/edits",
        "{\"edits\":[{\"do\":\"turn\",\"pieces\":[\"c\"],\"by\":35}]}");
    sheet.page.waitForCondition(() -> piece("c").get("turn").asDouble() == 35);
    double sin = Math.sin(Math.toRadians(35));
    double cos = Math.cos(Math.toRadians(35));
    double left = 0.05 - w / 2; // its back left corner, in its own directions
    double back = 0.05 - d / 2;
    pickUp("Banquette element 3", 4 + left * cos + back * sin, 3 - left * sin + back * cos);
    sheet.page.keyboard().press("m");
    sheet.page.keyboard().press("f");
    assertThat(carry()).containsText("faces meeting");
    moveTo(2 + 1.5 * w + 0.03, 1 - d / 2 + 0.02);
    assertThat(sheet.page.getByTestId("snapped"))
        .containsText("on a corner of Banquette element 2");
    click();
    assertThat(piece("c").get("turn").asDouble() % 360).isCloseTo(0, TOUCH);
    assertThat(at("c", "x")).isCloseTo(2 + 2 * w, TOUCH);
    assertThat(pied.reach(room, "c", "left")).isCloseTo(0, TOUCH);
  }

  @Test
  void pressedAndMovedInTheSetViewAndStepsAsOneSeesThem() {
    room = pied.newRoom("Steps");
    place("t", "trunk", 3, 2);
    sheet = new Sheet(room, "wall:C", "set");
    sheet.schedule("Trunk");
    double[] p = sheet.onSet(3, size("t", "height") - 0.05, 2 + size("t", "depth") / 2);
    double[] to = sheet.onSet(4.5, size("t", "height") - 0.05, 2 + size("t", "depth") / 2);
    sheet.page.mouse().move(p[0], p[1]);
    sheet.page.mouse().down();
    sheet.page.mouse().move((p[0] + to[0]) / 2, (p[1] + to[1]) / 2);
    sheet.page.mouse().move(to[0], to[1]);
    assertThat(carry()).containsText("moved 1.");
    click();
    double x = at("t", "x");
    assertThat(x).isBetween(4.2, 4.9);
    // who looks at wall C has the left end of the room on the right
    double[] on = sheet.onElevation(2, 1.5);
    sheet.page.mouse().move(on[0], on[1]);
    sheet.page.keyboard().press("ArrowRight");
    sheet.page.waitForCondition(() -> at("t", "x") != x);
    assertThat(at("t", "x")).isCloseTo(x - 0.05, TOUCH);
    sheet.page.keyboard().press("ArrowUp");
    assertThat(sheet.page.getByText("Trunk has no surface above it")).isVisible();
    // with the keys alone: picked up, moved, put down
    sheet.page.keyboard().press(" ");
    assertThat(carry()).containsText("to wall B");
    for (int i = 0; i < 4; i++) {
      sheet.page.keyboard().press("ArrowRight");
    }
    assertThat(carry()).containsText("moved 0.2");
    sheet.page.keyboard().press("Enter");
    sheet.saved();
    sheet.page.waitForCondition(() -> at("t", "x") < x - 0.2);
    assertThat(at("t", "x")).isCloseTo(x - 0.25, TOUCH);
  }

  @Test
  void anotherWindowSeesWhatIsCarried() {
    open("Seen", "plan");
    put("s", "stool", 2, 2);
    Sheet other = Sheet.planOf(room);
    try {
      pickUp("Stool", 2, 2);
      moveTo(4, 3);
      Locator seen = other.page.locator("[data-testid=plan] [data-piece=s]");
      assertThat(seen)
          .hasAttribute("transform", java.util.regex.Pattern.compile("translate\\((3.9|4)"));
      sheet.page.keyboard().press("Escape");
      assertThat(seen)
          .hasAttribute("transform", java.util.regex.Pattern.compile("translate\\(2 2\\)"));
    } finally {
      other.close();
    }
  }
}
