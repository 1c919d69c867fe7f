package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import org.junit.jupiter.api.Test;

/**
 * True sizes as people give them, in no more actions than these; the numbers are read from the API.
 */
class SizedTest extends Counting {
  private double measure(String id, String measure) {
    return piece(id).at("/size/" + measure).asDouble();
  }

  private void becomes(String id, String measure, double wanted) {
    sheet.page.waitForCondition(() -> Math.abs(measure(id, measure) - wanted) < 1e-5);
  }

  /** A model file brought in and put down; it is selected then. */
  private String broughtIn(String file, double[][] boxes, double x, double z) {
    sheet.bringIn(file, Boxes.obj(boxes));
    assertThat(sheet.page.getByTestId("arrived")).isVisible();
    sheet.button("Bring it in");
    assertThat(sheet.page.getByTestId("carry")).isVisible();
    sheet.clickPlan(x, z);
    sheet.page.waitForCondition(() -> pied.space(room).get("pieces").size() == 1);
    assertThat(sheet.caption()).containsText(" wide × ");
    return pied.space(room).at("/pieces/0/id").asText();
  }

  @Test
  void threePlantersOfOneSizeInOneEntry() {
    room = pied.newRoom("Planters");
    pied.place(room, "a", "square-planter", 1.5, 2);
    pied.place(room, "b", "round-planter", 2.5, 2);
    pied.place(room, "c", "slatted-planter", 3.6, 2);
    sheet = Sheet.planOf(room);
    sheet.page.waitForSelector("[data-testid=plan] [data-piece=c] path");
    band(0.8, 1.2, 4.4, 2.8);
    assertThat(sheet.caption()).containsText("3 pieces, the lead");
    click(sheet.caption().getByLabel("Width: various"));
    type("0.42 x 0.42 x 0.66");
    for (String id : new String[] {"a", "b", "c"}) {
      becomes(id, "height", 0.66);
      assertThat(measure(id, "width")).isCloseTo(0.42, EXACT);
      assertThat(measure(id, "depth")).isCloseTo(0.42, EXACT);
      assertThat(piece(id).at("/at/y").asDouble()).isZero();
      assertThat(piece(id).at("/on/kind").asText()).isEqualTo("floor");
    }
    assertThat(actions).isLessThanOrEqualTo(3);
  }

  @Test
  void aPillarTooTallByMistakeKeepsItsProportions() {
    room = pied.newRoom("Pillar", 12, 9, 4);
    sheet = Sheet.planOf(room);
    String pillar =
        broughtIn("pillar.obj", new double[][] {{0, 0, 0, 6, 30, 6}, {1, 30, 1, 5, 31, 5}}, 6, 5);
    double wide = measure(pillar, "width") / measure(pillar, "height");
    click(sheet.caption().getByLabel("Height: " + text(measure(pillar, "height"))));
    type("3.2");
    becomes(pillar, "height", 3.2);
    assertThat(measure(pillar, "width") / measure(pillar, "height")).isCloseTo(wide, EXACT);
    assertThat(piece(pillar).at("/at/y").asDouble()).isZero();
    assertThat(actions).isLessThanOrEqualTo(2);
  }

  private static String text(double v) {
    return String.format(java.util.Locale.ROOT, "%.2f", v);
  }

  @Test
  void aFigureheadFromOneLengthThatIsKnown() {
    room = pied.newRoom("Figurehead");
    sheet = Sheet.planOf(room);
    double[][] boxes = {{-0.3, 0, -0.4, 0.3, 0.5, 0.4}, {-0.925, 0.5, -0.2, 0.925, 0.7, 0.2}};
    String figure = broughtIn("figurehead.obj", boxes, 3, 2);
    JsonNode p = piece(figure);
    double x = p.at("/at/x").asDouble();
    double z = p.at("/at/z").asDouble();
    double half = measure(figure, "width") / 2;
    assertThat(half).isCloseTo(0.925, within(1e-6));
    key("k");
    assertThat(sheet.page.getByTestId("aim")).containsText("one end of a length");
    clickPlan(x - half + 0.02, z - 0.19);
    assertThat(sheet.page.getByTestId("aim")).containsText("its other end");
    clickPlan(x + half - 0.02, z - 0.19);
    assertThat(sheet.page.getByTestId("aim")).containsText("it measures 1.85");
    type("0.74");
    becomes(figure, "width", 0.74);
    assertThat(measure(figure, "height")).isCloseTo(0.7 * 0.4, within(1e-6));
    assertThat(sheet.page.getByTestId("notice")).containsText("a factor of 0.4");
    assertThat(actions).isLessThanOrEqualTo(4);
  }

  @Test
  void aFixedSpotlightRefusesUnlessItIsStretchedWhichIsMarked() {
    room = pied.newStage("Spotlight");
    pied.place(room, "s", "profile-spot", 0, -3);
    sheet = Sheet.planOf(room);
    sheet.page.waitForSelector("[data-testid=plan] [data-piece=s]");
    clickPlan(0, -3);
    assertThat(sheet.caption()).containsText("Profile spot — ");
    sheet.page.keyboard().type("0.4");
    sheet.page.keyboard().press("Enter");
    assertThat(sheet.page.getByTestId("notice"))
        .containsText("comes in one size only: 0.30 × 0.66");
    assertThat(measure("s", "width")).isCloseTo(0.3, EXACT);
    sheet.page.keyboard().press("Escape");
    sheet.button("Stretch it anyway");
    becomes("s", "width", 0.4);
    assertThat(sheet.caption()).containsText("stretched");
    sheet.leaf("Schedule");
    assertThat(sheet.page.getByLabel("Pieces").getByText("0.40 × 0.66 × 0.66, stretched"))
        .isVisible();
  }

  @Test
  void aTabIsPulledWhileAMarkStaysAndAYardstickIsInNoList() {
    room = pied.newRoom("Tabs");
    pied.place(room, "b", "block", 3, 2);
    sheet = Sheet.planOf(room);
    sheet.page.waitForSelector("[data-testid=plan] [data-piece=b] path");
    clickPlan(3, 2);
    key("z");
    Locator tab = sheet.page.locator("[data-testid=plan] [data-testid=tab-right]");
    assertThat(tab).containsText("0.50");
    BoundingBox at = tab.boundingBox();
    double[] zero = sheet.onPlan(3, 2);
    double[] metre = sheet.onPlan(4, 2);
    sheet.page.mouse().move(at.x + 8, at.y + 4);
    sheet.page.mouse().down();
    sheet.page.mouse().move(at.x + 8 + (metre[0] - zero[0]) / 2, at.y + 4);
    sheet.page.mouse().move(at.x + 8 + (metre[0] - zero[0]), at.y + 4);
    assertThat(sheet.page.locator("[data-testid=caption]")).containsText("1.50 wide");
    sheet.page.mouse().up();
    becomes("b", "width", 1.5);
    assertThat(piece("b").at("/at/x").asDouble()).as("its left stays").isCloseTo(3.5, within(1e-3));
    // with a mark chosen on the figure that one stays
    sheet.page.getByLabel("What stays where it is while it is sized").click();
    sheet.page.getByTestId("box-figure").getByLabel("right front under").click();
    assertThat(sheet.caption()).containsText("the right front corner of its foot stays");
    sheet.type("Width", "0.5");
    becomes("b", "width", 0.5);
    assertThat(piece("b").at("/at/x").asDouble()).isCloseTo(4.0, within(1e-3));
    sheet.reads("Width", "0.50");
    sheet.page.keyboard().press("u");
    assertThat(sheet.page.getByTestId("yardstick")).containsText("A person, 1.75");
    assertThat(pied.json("/api/spaces/" + room + "/schedule").get("rows")).hasSize(1);
    sheet.page.keyboard().press("u");
    assertThat(sheet.page.getByTestId("yardstick")).hasCount(0);
  }
}
