package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import org.junit.jupiter.api.Test;

/** What people do all day, in no more actions than these: a click, or a text with Enter, is one. */
class CountedTest extends Counting {
  @Test
  void aDoorIntoAnOpeningThatItFillsInThree() {
    room = pied.newRoom("Door");
    pied.edit(
        room,
        "{'do':'opening','kind':'opening','wall':'A','from':2,'width':0.95,'height':2.08,'sill':0}");
    sheet = Sheet.planOf(room);
    sheet.page.getByLabel("Search the catalog").fill("panelled door");
    actions++;
    click(sheet.page.locator("[data-article=panelled-door]"));
    double[] p = sheet.onPlan(2.5, 0);
    sheet.inHandAt(p[0], p[1]);
    clickPlan(2.5, 0);
    sheet.page.waitForCondition(() -> pied.space(room).get("pieces").size() == 1);
    JsonNode door = pied.space(room).at("/pieces/0");
    assertThat(door.at("/size/width").asDouble()).isCloseTo(0.95, EXACT);
    assertThat(door.at("/size/height").asDouble()).isCloseTo(2.08, EXACT);
    assertThat(door.at("/on/kind").asText()).isEqualTo("opening");
    assertThat(actions).isLessThanOrEqualTo(3);
  }

  @Test
  void aCrateTurnedAboutItsCornerInFour() {
    room = pied.newRoom("Corner");
    pied.place(room, "c", "crate", 3, 2);
    JsonNode c = piece("c");
    double x = 3 - c.at("/size/width").asDouble() / 2;
    double z = 2 + c.at("/size/depth").asDouble() / 2;
    sheet = Sheet.planOf(room);
    sheet.page.waitForSelector("[data-testid=plan] [data-piece=c] path");
    clickPlan(x + 0.03, z - 0.03);
    assertThat(sheet.caption()).containsText("Crate — ");
    sheet.page.waitForTimeout(450); // else it would be a double click
    clickPlan(x + 0.03, z - 0.03);
    Locator facing = sheet.page.getByTestId("carry").locator("[data-slot=turn]");
    click(facing);
    type("30");
    sheet.page.waitForCondition(() -> piece("c").get("turn").asDouble() == 30);
    // its front left corner is where it was
    double a = Math.toRadians(30);
    double w = -piece("c").at("/size/width").asDouble() / 2;
    double d = piece("c").at("/size/depth").asDouble() / 2;
    assertThat(piece("c").at("/at/x").asDouble() + w * Math.cos(a) + d * Math.sin(a))
        .isCloseTo(x, within(1e-3));
    assertThat(piece("c").at("/at/z").asDouble() - w * Math.sin(a) + d * Math.cos(a))
        .isCloseTo(z, within(1e-3));
    assertThat(actions).isLessThanOrEqualTo(4);
  }

  @Test
  void aTrussBelowTheGridAndUpstageInFive() {
    room = pied.newStage("Truss");
    pied.place(room, "t", "truss", 0, -3);
    double grid = pied.space(room).at("/shell/height").asDouble();
    double high = piece("t").at("/size/height").asDouble();
    sheet = Sheet.planOf(room);
    sheet.page.waitForSelector("[data-testid=plan] [data-piece=t]");
    clickPlan(0.2, -3);
    assertThat(sheet.caption()).containsText("hanging 0.00 below the grid");
    click(sheet.caption().getByLabel("How far below the grid it hangs: 0.00"));
    type("0.30");
    sheet.reads("How far below the grid it hangs", "0.30");
    click(sheet.caption().getByLabel("Distance upstage of the datum, to the middle: 3.00"));
    type("+1");
    sheet.page.waitForCondition(() -> piece("t").at("/at/z").asDouble() < -3.9);
    assertThat(piece("t").at("/at/z").asDouble()).isCloseTo(-4, EXACT);
    assertThat(piece("t").at("/at/y").asDouble() + high).isCloseTo(grid - 0.3, EXACT);
    assertThat(pied.json("/api/spaces/" + room + "/snags").get("snags")).isEmpty();
    assertThat(actions).isLessThanOrEqualTo(5);
  }
}
