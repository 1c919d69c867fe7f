package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is proposed is altered by clicking and pulling on the plan; numbers are from the API. */
class PointedTest extends Counting {
  private void selected(String id, String article, String name, double x, double z) {
    pied.place(room, id, article, x, z);
    open(id);
    clickPlan(x, z);
    sheet.reads("Name", name);
  }

  private void drawn(int points) {
    assertThat(sheet.page.locator("[data-testid=drawn][data-points='" + points + "']")).hasCount(1);
  }

  private Locator wanting() {
    return sheet.page.getByTestId("wanting");
  }

  @Test
  void aTrailAlongAPathThatIsDrawn() {
    room = pied.newRoom("Path", 8, 6, 3);
    selected("s", "stool", "Stool", 1, 5);
    key("Shift+P");
    assertThat(sheet.page.getByTestId("aim")).isVisible();
    clickPlan(2, 2);
    assertThat(wanting()).containsText("goes on");
    clickPlan(6, 2);
    drawn(2);
    clickPlan(6, 5);
    drawn(3);
    sheet.button("Take back the point");
    drawn(2);
    proposed();
    enter();
    becomes(() -> all("stool").size() == 5);
    List<JsonNode> stools = all("stool");
    assertThat(stools).allMatch(p -> Math.abs(z(p) - 2) < 0.05);
    assertThat(stools.stream().mapToDouble(Counting::x).max().orElseThrow()).isBetween(5.6, 6.05);
    // the same trail along another path
    assertThat(sheet.caption()).containsText("a group of 5 pieces");
    key("Shift+P");
    assertThat(sheet.page.getByTestId("aim")).isVisible();
    clickPlan(2, 4);
    assertThat(wanting()).isVisible();
    clickPlan(6, 4);
    proposed();
    enter();
    becomes(() -> all("stool").stream().allMatch(p -> Math.abs(z(p) - 4) < 0.05));
    assertThat(all("stool")).hasSize(5);
  }

  @Test
  void theyAreStrewnInAnOutlineThatIsDrawn() {
    room = pied.newRoom("Outline", 8, 6, 3);
    selected("s", "stool", "Stool", 1, 5);
    key("Shift+F");
    proposed();
    clickPlan(3, 1);
    assertThat(wanting()).containsText("three at least");
    clickPlan(7, 1);
    drawn(2);
    clickPlan(7, 4);
    drawn(3);
    proposed();
    enter();
    becomes(() -> all("stool").size() == 12);
    for (JsonNode p : all("stool")) {
      // right of the slanting side of the outline and within the other two
      assertThat(x(p)).isLessThan(7.05);
      assertThat(z(p)).isBetween(0.95, 1 + 0.75 * (x(p) - 3) + 0.05);
    }
  }

  @Test
  void theyAreSpacedWiderByPullingTheLast() {
    room = pied.newRoom("Wider", 9, 5, 3);
    for (int i = 0; i < 4; i++) {
      pied.place(room, "b" + i, "block", 1.5 + 1.2 * i, 2);
    }
    open("b0", "b3");
    band(0.4, 1.0, 6, 3);
    assertThat(sheet.caption()).containsText("4 pieces, the lead");
    key("Shift+D");
    proposed();
    double before = x(piece("b3"));
    sheet.dragPlan(5.1, 2, 5.7, 2);
    assertThat(sheet.page.getByTestId("proposed")).containsText("the first stays");
    proposed();
    enter();
    becomes(() -> x(piece("b3")) > before + 0.3);
    // 0.6 m over three gaps of whole centimetres
    assertThat(x(piece("b3"))).isBetween(before + 0.54, before + 0.66);
    assertThat(x(piece("b0"))).isEqualTo(1.5, EXACT);
    double gap = x(piece("b1")) - x(piece("b0"));
    assertThat(x(piece("b3")) - x(piece("b2"))).isEqualTo(gap, EXACT);
  }

  @Test
  void theyAreLinedUpWithTheWallOrThePointThatIsClicked() {
    room = pied.newRoom("Clicked", 8, 6, 3);
    pied.place(room, "a", "stool", 3, 2);
    pied.place(room, "b", "stool", 4, 3.4);
    open("a", "b");
    band(2, 1, 5, 4.4);
    assertThat(sheet.caption()).containsText("2 pieces, the lead");
    key("Shift+I");
    proposed();
    clickPlan(6, 5);
    assertThat(sheet.page.getByTestId("proposed")).containsText("the point 6");
    clickPlan(7.95, 3);
    assertThat(sheet.page.getByTestId("proposed")).containsText("wall B");
    proposed();
    enter();
    double half = piece("a").at("/size/width").asDouble() / 2;
    becomes(() -> Math.abs(x(piece("a")) + half - 8) < 1e-6);
    assertThat(x(piece("b")) + half).isEqualTo(8, EXACT);
    assertThat(z(piece("b"))).isEqualTo(3.4, EXACT);
  }

  @Test
  void theLineOfTwinsIsDrawn() {
    room = pied.newRoom("Drawn", 8, 6, 3);
    selected("s", "stool", "Stool", 2, 2);
    key("Shift+M");
    proposed();
    sheet.page.getByTestId("proposed").getByText("about the centre line").click();
    choose("about a line that is drawn");
    assertThat(wanting()).isVisible();
    clickPlan(2, 5);
    drawn(1);
    clickPlan(5, 2);
    drawn(2);
    proposed();
    enter();
    becomes(() -> all("stool").size() == 2);
    String other = piece("s").get("twin").asText();
    assertThat(x(piece(other))).isBetween(4.9, 5.1);
    assertThat(z(piece(other))).isBetween(4.9, 5.1);
  }
}
