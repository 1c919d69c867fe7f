package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.options.BoundingBox;
import org.junit.jupiter.api.Test;

/** Turning and leaning as people do it, in no more actions than these. */
class TurnedTest extends Counting {
  private double turn(String id) {
    return piece(id).get("turn").asDouble();
  }

  private double at(String id, String way) {
    return piece(id).at("/at/" + way).asDouble();
  }

  /** Where a corner of the foot of an upright piece is: x and z. */
  private double[] corner(String id, int right, int front) {
    JsonNode p = piece(id);
    double a = Math.toRadians(p.get("turn").asDouble());
    double w = right * p.at("/size/width").asDouble() / 2;
    double d = front * p.at("/size/depth").asDouble() / 2;
    return new double[] {
      at(id, "x") + w * Math.cos(a) + d * Math.sin(a),
      at(id, "z") - w * Math.sin(a) + d * Math.cos(a)
    };
  }

  private void opened(String id, String article, double x, double z) {
    pied.place(room, id, article, x, z);
    sheet = Sheet.planOf(room);
    sheet.page.waitForSelector("[data-testid=plan] [data-piece=" + id + "] path");
    click(x, z);
    assertThat(sheet.caption()).containsText(" wide × ");
  }

  @Test
  void aBanquetteAboutItsCornerAlongASlantedWall() {
    room = pied.newRoom("Slant");
    pied.edit(
        room,
        "{'do':'outline','corners':[{'x':0,'z':0},{'x':6,'z':0},{'x':5,'z':4},{'x':0,'z':4}]}");
    opened("q", "banquette", 4.2, 2.2);
    double[] before = corner("q", 1, -1);
    key("y");
    mark("right back under");
    key("e");
    assertThat(sheet.page.getByTestId("aim")).containsText("click the wall");
    clickPlan(5.55, 2);
    double slant = Math.toDegrees(Math.atan2(1, 4));
    sheet.page.waitForCondition(() -> turn("q") != 0);
    double off = (turn("q") + 360 - (360 - slant)) % 90;
    assertThat(Math.min(off, 90 - off)).as("square to the wall").isCloseTo(0, within(1e-6));
    double[] after = corner("q", 1, -1);
    assertThat(after[0]).isCloseTo(before[0], EXACT);
    assertThat(after[1]).isCloseTo(before[1], EXACT);
    assertThat(actions).isLessThanOrEqualTo(4);
  }

  @Test
  void aTrunkAboutACornerAndThenOverALowerEdge() {
    room = pied.newRoom("Trunk");
    opened("t", "trunk", 3, 2);
    double[] before = corner("t", -1, 1);
    key("y");
    mark("left front under");
    type("30");
    sheet.page.waitForCondition(() -> turn("t") == 30);
    assertThat(corner("t", -1, 1)[0]).isCloseTo(before[0], EXACT);
    assertThat(corner("t", -1, 1)[1]).isCloseTo(before[1], EXACT);
    assertThat(actions).isLessThanOrEqualTo(3);
    actions = 0;
    mark("front under middle");
    click(sheet.caption().getByLabel("Tip it forward, degrees: 0°"));
    type("90");
    sheet.page.waitForCondition(() -> piece("t").at("/lean/by").asDouble() == 90);
    assertThat(piece("t").at("/on/kind").asText()).isEqualTo("floor");
    assertThat(sheet.caption()).containsText("on its front");
    assertThat(pied.json("/api/spaces/" + room + "/snags").get("snags")).isEmpty();
    assertThat(actions).isLessThanOrEqualTo(3);
  }

  @Test
  void theDialGoesInStepsAndNothingElseIsMovedMeanwhile() {
    room = pied.newRoom("Dial");
    pied.place(room, "o", "stool", 1, 1);
    opened("a", "armchair", 3, 2);
    key("y");
    BoundingBox front = sheet.page.getByTestId("dial-front").boundingBox();
    double[] there = sheet.onPlan(4.2, 2.7);
    sheet.page.mouse().move(front.x + 20, front.y + 12);
    sheet.page.mouse().down();
    sheet.page.mouse().move(front.x + 60, front.y + 12);
    sheet.page.mouse().move(there[0], there[1]);
    sheet.page.mouse().up();
    sheet.page.waitForCondition(() -> turn("a") == 60);
    // a drag on what is turned moves nothing; a click elsewhere selects and does not move
    sheet.dragPlan(3, 2.2, 3.6, 2.6);
    click(1, 1);
    assertThat(sheet.caption()).containsText("Stool faces 0°");
    click(1, 1);
    assertThat(at("a", "x")).isEqualTo(3);
    assertThat(at("o", "x")).isEqualTo(1);
    assertThat(sheet.page.getByTestId("carry")).hasCount(0);
  }
}
