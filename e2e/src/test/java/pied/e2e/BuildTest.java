package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import pied.e2e.Sheet.Studio;

/** Rooms and stages as a designer builds them; the numbers are checked against the API. */
class BuildTest {
  private static final Offset<Double> EXACT = within(1e-7);

  private final PiedProcess pied = Studio.PIED;
  private Sheet sheet;
  private int actions;

  @AfterEach
  void close() {
    if (sheet != null) {
      sheet.close();
    }
  }

  // ---- what a person does; each is one action

  private void press(String name) {
    actions++;
    sheet.button(name);
  }

  private void fill(String label, String text) {
    actions++;
    sheet.page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).fill(text);
  }

  private void click(double x, double z) {
    actions++;
    sheet.clickPlan(x, z);
  }

  private void type(String label, String text) {
    actions++;
    sheet.type(label, text);
    sheet.saved();
  }

  /** Points somewhere and types a length for the edge that leads there. */
  private void edge(double x, double z, String length, int corner) {
    actions++;
    double[] p = sheet.onPlan(x, z);
    sheet.page.mouse().move(p[0] - 2, p[1]);
    sheet.page.mouse().move(p[0], p[1]);
    sheet.page.keyboard().type(length);
    assertThat(sheet.page.getByTestId("typed")).hasText(length);
    sheet.page.keyboard().press("Enter");
    assertThat(sheet.caption()).containsText("corner " + corner);
  }

  // ---- what is there

  private String opened() {
    sheet.page.waitForURL("**/#/space/**");
    sheet.settled();
    String url = sheet.page.url();
    return url.substring(url.lastIndexOf('/') + 1);
  }

  private JsonNode shell(String space) {
    return pied.space(space).get("shell");
  }

  private static double[][] outline(JsonNode shell) {
    List<double[]> c = new ArrayList<>();
    shell
        .get("outline")
        .forEach(p -> c.add(new double[] {p.get("x").asDouble(), p.get("z").asDouble()}));
    return c.toArray(double[][]::new);
  }

  private static double[] lengths(JsonNode shell) {
    double[][] c = outline(shell);
    double[] l = new double[c.length];
    for (int i = 0; i < c.length; i++) {
      double[] d = c[(i + 1) % c.length];
      l[i] = Math.hypot(d[0] - c[i][0], d[1] - c[i][1]);
    }
    return l;
  }

  private static JsonNode named(JsonNode list, String id) {
    for (JsonNode n : list) {
      if (n.get("id").asText().equals(id)) {
        return n;
      }
    }
    throw new AssertionError("there is no " + id + " in " + list);
  }

  private String words(String space) {
    return pied.get("/api/spaces/" + space + "/shell").body();
  }

  // ---- rooms

  @Test
  void anLIsBuiltFromItsMeasuresAndFittedOut() {
    sheet = Sheet.atStart();
    sheet.page.getByRole(AriaRole.BUTTON, name("New room or stage…")).first().click();
    press("L");
    fill("Across", "6.2");
    fill("Deep", "480 cm");
    fill("Cut out, across", "2.5");
    fill("Cut out, deep", "1.8");
    press("Build");
    String room = opened();
    assertThat(actions).isLessThan(12);
    assertThat(lengths(shell(room)))
        .containsExactly(new double[] {6.2, 3, 2.5, 1.8, 3.7, 4.8}, EXACT);
    // 6.2 × 4.8 − 2.5 × 1.8 = 25.26; round it goes 22
    assertThat(words(room)).contains("25.3 m² of floor, 22.00 round, 65.7 m³");

    // a door 0.85 from the start of wall A, two windows in wall F
    press("Door");
    click(2, -0.1);
    assertThat(sheet.caption()).containsText("Door in wall A");
    type("From the start of the wall", "0.85");
    press("Window");
    click(-0.1, 1.2);
    assertThat(sheet.caption()).containsText("Window in wall F");
    type("From the start of the wall", "0.6");
    type("Width", "1100 mm");
    type("From the start of the wall", "0.6");
    press("Window");
    click(-0.1, 3.4);
    sheet.page.waitForCondition(() -> shell(room).get("openings").size() == 3);
    type("To the end of the wall", "0.75");
    JsonNode openings = shell(room).get("openings");
    assertThat(named(openings, "door 1").get("from").asDouble()).isCloseTo(0.85, EXACT);
    assertThat(named(openings, "window 1").get("from").asDouble()).isCloseTo(0.6, EXACT);
    assertThat(named(openings, "window 1").get("width").asDouble()).isCloseTo(1.1, EXACT);
    JsonNode second = named(openings, "window 2");
    assertThat(second.get("from").asDouble() + second.get("width").asDouble())
        .isCloseTo(4.8 - 0.75, EXACT);

    // a partition from wall A, 1.6 long
    press("Partition");
    click(4.5, 0.03);
    double[] p = sheet.onPlan(4.5, 2);
    sheet.page.mouse().move(p[0], p[1]);
    sheet.page.keyboard().type("1.6");
    sheet.page.keyboard().press("Enter");
    assertThat(sheet.caption()).containsText("Partition 1 — 1.60 long");
    JsonNode partition = named(shell(room).get("partitions"), "partition 1");
    assertThat(partition.at("/from/z").asDouble()).as("it begins at the wall").isZero();
    assertThat(partition.at("/to/z").asDouble()).isCloseTo(1.6, EXACT);

    // the chain in the plan takes numbers too
    Locator gap = sheet.page.locator("[data-label='From the start of wall A to the door']");
    assertThat(gap).hasText("0.85");
    gap.getByRole(AriaRole.BUTTON).click();
    gap.getByRole(AriaRole.TEXTBOX).fill("1.05");
    gap.getByRole(AriaRole.TEXTBOX).press("Enter");
    assertThat(gap).hasText("1.05");
    // the drawing shows it as it is typed, before it is done
    sheet.page.waitForCondition(
        () ->
            Math.abs(named(shell(room).get("openings"), "door 1").get("from").asDouble() - 1.05)
                < 1e-7);
  }

  private static Page.GetByRoleOptions name(String name) {
    return new Page.GetByRoleOptions().setName(name).setExact(true);
  }

  @Test
  void anLIsDrawnToExactLengths() {
    String room = pied.newRoom("Drawn");
    sheet = Sheet.planOf(room);
    sheet.leaf("Shell");
    press("Outline");
    click(0, 0);
    assertThat(sheet.caption()).containsText("corner 2");
    edge(3, 0.2, "6.2", 3);
    edge(6.4, 2, "3", 4);
    edge(5, 3.2, "2.5", 5);
    edge(3.8, 4.5, "1.8", 6);
    edge(2, 5, "3.7", 7);
    actions++;
    sheet.page.keyboard().press("Enter");
    assertThat(sheet.caption()).containsText("25.3 m² of floor");
    assertThat(actions).isLessThan(12);
    assertThat(lengths(shell(room)))
        .containsExactly(new double[] {6.2, 3, 2.5, 1.8, 3.7, 4.8}, EXACT);
    assertThat(shell(room).get("openings")).isEmpty();
  }

  @Test
  void anOutlineThatCrossesItselfIsRefusedAndStaysAsDrawn() {
    String room = pied.newRoom("Crossing");
    JsonNode before = pied.space(room);
    sheet = Sheet.planOf(room);
    sheet.page.keyboard().press("o");
    sheet.page.keyboard().down("Shift");
    sheet.clickPlan(1, 1);
    sheet.clickPlan(5, 3.5);
    sheet.clickPlan(5, 1);
    sheet.clickPlan(1, 3.5);
    sheet.page.keyboard().up("Shift");
    assertThat(sheet.caption()).containsText("corner 5");
    sheet.page.keyboard().press("Enter");
    assertThat(sheet.page.getByTestId("notice"))
        .containsText("The outline crosses itself at 3.00 m");
    assertThat(sheet.caption()).containsText("corner 5");
    assertThat(pied.space(room)).isEqualTo(before);
    sheet.page.keyboard().press("Escape");
    assertThat(sheet.caption()).containsText("24.0 m² of floor");
  }

  @Test
  void aWallIsMovedByHandAndWhatStoodAgainstItGoesAlong() {
    String room = pied.newRoom("By hand");
    pied.post(
        "/api/spaces/" + room + "/edits",
        "{\"edits\":[{\"do\":\"place\",\"article\":\"sideboard\",\"at\":{\"x\":3,\"z\":0.225}}]}");
    sheet = Sheet.planOf(room);
    sheet.clickPlan(1, -0.1);
    assertThat(sheet.caption()).containsText("Wall A — 6.00 long");
    sheet.dragPlan(1, -0.1, 1.3, -0.6);
    assertThat(sheet.page.getByTestId("notice"))
        .containsText("Move Oak sideboard along with wall A");
    double back = outline(shell(room))[0][1];
    assertThat(back).isCloseTo(-0.5, within(0.03));
    assertThat(back * 100).as("by whole centimetres").isCloseTo(Math.rint(back * 100), EXACT);
    sheet.button("Move Oak sideboard along with wall A");
    sheet.page.waitForCondition(
        () -> Math.abs(pied.piece(room, "sideboard").at("/at/z").asDouble() - 0.225 - back) < 1e-7);
    type("Move it out; with a minus in", "=-0.2");
    sheet.page.waitForCondition(() -> Math.abs(outline(shell(room))[0][1] - back - 0.2) < 1e-7);
    sheet.button("Undo");
    sheet.button("Undo");
    sheet.button("Undo");
    sheet.page.waitForCondition(() -> outline(shell(room))[0][1] == 0);
    assertThat(pied.piece(room, "sideboard").at("/at/z").asDouble()).isEqualTo(0.225);
  }

  @Test
  void aWindowIsMeasuredInTheElevationOfItsWall() {
    String room = pied.newRoom("Elevation");
    pied.post(
        "/api/spaces/" + room + "/edits",
        "{\"edits\":[{\"do\":\"opening\",\"kind\":\"window\",\"wall\":\"B\",\"from\":1},"
            + "{\"do\":\"place\",\"article\":\"picture-frame\",\"at\":{\"x\":5.95,\"z\":3.2}}]}");
    sheet = new Sheet(room, "wall:B");
    Locator sill = sheet.page.locator("[data-label='Sill of the window']");
    assertThat(sill).hasText("0.90");
    sill.getByRole(AriaRole.BUTTON).click();
    sill.getByRole(AriaRole.TEXTBOX).fill("75cm");
    sill.getByRole(AriaRole.TEXTBOX).press("Enter");
    assertThat(sill).hasText("0.75");
    assertThat(named(shell(room).get("openings"), "window 1").get("sill").asDouble())
        .isCloseTo(0.75, EXACT);
    // the picture is picked in the elevation and set to an exact height
    double y = pied.piece(room, "picture-frame").at("/at/y").asDouble();
    double[] p = sheet.onElevation(3.2, y + 0.1);
    sheet.page.mouse().click(p[0], p[1]);
    sheet.reads("Height of the underside above the floor", String.format("%.2f", y));
    type("Height of the underside above the floor", "1.45");
    sheet.page.waitForCondition(
        () -> Math.abs(pied.piece(room, "picture-frame").at("/at/y").asDouble() - 1.45) < 1e-7);
    // and dragged along its wall, in a step that the plan would not show better
    double[] from = sheet.onElevation(3.2, 1.55);
    double[] to = sheet.onElevation(3.0, 1.55);
    sheet.page.mouse().move(from[0], from[1]);
    sheet.page.mouse().down();
    sheet.page.mouse().move((from[0] + to[0]) / 2, from[1]);
    sheet.page.mouse().move(to[0], from[1]);
    sheet.page.mouse().up();
    sheet.page.waitForCondition(
        () -> Math.abs(pied.piece(room, "picture-frame").at("/at/z").asDouble() - 3.0) < 0.03);
    assertThat(pied.piece(room, "picture-frame").at("/at/y").asDouble()).isCloseTo(1.45, EXACT);
  }

  // ---- stages

  @Test
  void aRakedStageWithPlatformsStepsAndBars() {
    sheet = Sheet.atStart();
    sheet.page.getByRole(AriaRole.BUTTON, name("New room or stage…")).first().click();
    press("Stage");
    fill("Rake: 1:20, 4 %, 0", "1:20");
    press("Build");
    String stage = opened();
    press("Platform");
    click(-3, -5);
    assertThat(sheet.caption()).containsText("Platform 1");
    type("Height", "0.6");
    press("Platform");
    click(3, -5);
    assertThat(sheet.caption()).containsText("Platform 2");
    type("Height", "90 cm");
    actions++;
    sheet.caption().getByRole(AriaRole.BUTTON).filter(has("Steps up to it")).click();
    assertThat(sheet.caption()).containsText("Steps 1");
    press("Bar");
    for (double z : new double[] {-1, -3, -6.5}) {
      actions++;
      double[] p = sheet.onPlan(0, z);
      sheet.page.mouse().move(p[0] + 3, p[1]);
      sheet.page.keyboard().down("Shift");
      sheet.page.mouse().click(p[0], p[1]);
      sheet.page.keyboard().up("Shift");
      assertThat(sheet.caption()).containsText("Bar");
      sheet.saved();
    }
    sheet.page.keyboard().press("Escape");
    sheet.page.waitForCondition(() -> shell(stage).get("bars").size() == 3);
    assertThat(actions).isLessThan(20);
    assertThat(shell(stage).at("/stage/rake").asDouble()).isCloseTo(0.05, EXACT);
    assertThat(named(shell(stage).get("platforms"), "platform 2").get("height").asDouble())
        .isCloseTo(0.9, EXACT);

    // a chair on the rake, on a platform and on a step stands exactly on each
    sheet.leaf("Catalog");
    double onRake = chairAt(stage, 0.5, -2);
    assertThat(onRake).isBetween(0.1, 0.1 + 0.05 * 0.3);
    assertThat(sheet.caption()).containsText("on the stage floor");
    String chair = pied.piece(stage, "dining-chair").get("id").asText();
    assertThat(pied.reach(stage, chair, "under")).isCloseTo(0, within(1e-4));

    sheet.caption().getByRole(AriaRole.BUTTON).filter(has("upright")).click();
    sheet.page.getByRole(AriaRole.MENUITEM, name("square on the floor beneath")).click();
    assertThat(sheet.caption()).containsText("by 2.9°");
    assertThat(pied.piece(stage, "dining-chair").at("/lean/by").asDouble())
        .isCloseTo(Math.toDegrees(Math.atan(0.05)), EXACT);
    assertThat(pied.reach(stage, chair, "under")).isCloseTo(0, within(1e-4));
    sheet.page.keyboard().press("Delete");

    assertThat(chairAt(stage, -3, -5)).isCloseTo(0.6, within(1e-4));
    assertThat(sheet.caption()).containsText("on the platform 1");
    sheet.page.keyboard().press("Delete");
    sheet.page.waitForCondition(() -> pied.space(stage).get("pieces").isEmpty());

    JsonNode steps = named(shell(stage).get("flights"), "steps 1");
    // the middle of the second tread from the top; a chair is deeper than a tread, a stool is not
    double z = steps.at("/at/z").asDouble() + 1.5 * steps.get("going").asDouble();
    double top =
        steps.get("base").asDouble()
            + (steps.get("count").asInt() - 1) * steps.get("riser").asDouble();
    sheet.take("stool", "stool");
    sheet.clickPlan(steps.at("/at/x").asDouble(), z);
    assertThat(sheet.caption()).containsText("steps 1");
    JsonNode stool = pied.piece(stage, "stool");
    assertThat(pied.reach(stage, stool.get("id").asText(), "under")).isCloseTo(0, within(1e-4));
    assertThat(stool.at("/at/y").asDouble())
        .as("on this tread, or on the one above that it reaches over")
        .isBetween(top - 1e-4, top + steps.get("riser").asDouble() + 1e-4);
  }

  private static Locator.FilterOptions has(String text) {
    return new Locator.FilterOptions().setHasText(text);
  }

  /** Puts a chair down on the plan; the height it stands at. */
  private double chairAt(String stage, double x, double z) {
    sheet.take("dining chair", "dining-chair");
    sheet.clickPlan(x, z);
    sheet.reads("Width", "0.46");
    return pied.piece(stage, "dining-chair").at("/at/y").asDouble();
  }

  @Test
  void oneLooksFromASeatAndWalksAtEyeHeight() {
    String stage = pied.json("/api/projects").at("/1/spaces/0/id").asText();
    sheet = new Sheet(stage, "set");
    sheet.page.getByRole(AriaRole.BUTTON, name("look from")).click();
    sheet.page.getByRole(AriaRole.MENUITEM, name("Row 5, middle")).click();
    sheet.button("walk");
    assertThat(sheet.page.getByRole(AriaRole.BUTTON, name("walking: arrows, Esc ends")))
        .isVisible();
    sheet.page.keyboard().press("ArrowUp");
    sheet.page.keyboard().press("Escape");
    assertThat(sheet.page.getByRole(AriaRole.BUTTON, name("walk"))).isVisible();
  }
}
