package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import pied.e2e.Sheet.Studio;

/** What a designer does on the sheet; the numbers are checked against the API. */
class FurnishTest {
  private static final Offset<Double> EXACT = within(1e-7);

  private final PiedProcess pied = Studio.PIED;
  private Sheet sheet;

  @AfterEach
  void close() {
    if (sheet != null) {
      sheet.close();
    }
  }

  private static double at(JsonNode piece, String direction) {
    return piece.get("at").get(direction).asDouble();
  }

  @Test
  void aSideboardAndALampInTheTeaRoom() {
    String room = pied.teaRoom();
    sheet = new Sheet(room, "plan", "set");
    JsonNode before = pied.space(room);

    sheet.take("sideboard", "sideboard");
    sheet.clickPlan(5.55, 5.9);
    sheet.reads("Width", "1.60");
    String board = pied.piece(room, "sideboard").get("id").asText();
    // near wall C it turns its back to it
    sheet.reads("Turn, degrees", "180°");

    sheet.type("Width", "1400 mm");
    sheet.reads("Width", "1.40");
    assertThat(pied.piece(room, "sideboard").at("/size/width").asDouble()).isCloseTo(1.4, EXACT);

    sheet.type("Turn, degrees", "175");
    sheet.reads("Turn, degrees", "175°");
    sheet.type("Turn, degrees", "180");
    sheet.reads("Turn, degrees", "180°");
    sheet.type("Distance behind it", "35cm");
    sheet.reads("Distance behind it", "0.35");
    assertThat(sheet.caption().innerText()).contains("0.35 from wall C behind it");
    assertThat(pied.reach(room, board, "back")).isCloseTo(0.35, EXACT);

    putALampOn(board, room);
    JsonNode lamp = pied.space(room).get("pieces").get(pied.space(room).get("pieces").size() - 1);
    assertThat(lamp.get("article").asText()).isEqualTo("table-lamp");
    assertThat(lamp.at("/on/id").asText()).isEqualTo(board);
    assertThat(at(lamp, "y")).isCloseTo(0.82, EXACT);
    double lampX = at(lamp, "x");
    double boardX = at(pied.piece(room, "sideboard"), "x");

    sheet.schedule("Oak sideboard");
    sheet.reads("Width", "1.40");
    sheet.type("Distance on its left", "+0.25");
    sheet.saved();
    sheet.page.waitForCondition(
        () -> Math.abs(at(pied.piece(room, "sideboard"), "x") - boardX) > 0.2);
    assertThat(at(pied.piece(room, "sideboard"), "x"))
        .as("its left is the right of the plan")
        .isCloseTo(boardX - 0.25, EXACT);
    JsonNode moved = lampOf(room, board);
    assertThat(at(moved, "x")).isCloseTo(lampX - 0.25, EXACT);
    assertThat(at(moved, "y")).isCloseTo(0.82, EXACT);

    JsonNode end = pied.space(room).get("pieces");
    for (int i = 0; i < 7; i++) {
      sheet.button("Undo");
      sheet.saved();
    }
    sheet.page.waitForCondition(
        () -> pied.space(room).get("pieces").size() == before.get("pieces").size());
    assertThat(pied.space(room).get("pieces")).isEqualTo(before.get("pieces"));
    for (int i = 0; i < 7; i++) {
      sheet.button("Redo");
      sheet.saved();
    }
    sheet.page.waitForCondition(() -> pied.space(room).get("pieces").size() == end.size());
    sheet.page.waitForCondition(() -> sorted(pied.space(room).get("pieces")).equals(sorted(end)));
    sheet.page.reload();
    sheet.settled();
    assertThat(sorted(pied.space(room).get("pieces"))).isEqualTo(sorted(end));
    assertThat(sheet.page.locator("[data-testid=plan] [data-piece]")).hasCount(end.size());
  }

  private JsonNode lampOf(String room, String board) {
    for (JsonNode p : pied.space(room).get("pieces")) {
      if (p.at("/on/id").asText().equals(board)) {
        return p;
      }
    }
    throw new AssertionError("nothing stands on the sideboard");
  }

  private static List<String> sorted(JsonNode pieces) {
    List<String> all = new ArrayList<>();
    pieces.forEach(p -> all.add(p.toString()));
    all.sort(null);
    return all;
  }

  /** In the set view alone, looking at the sideboard, so that its top is where the tape says. */
  private void putALampOn(String board, String room) {
    sheet.button("Set view");
    sheet.page.keyboard().press("f");
    sheet.take("table lamp", "table-lamp");
    BoundingBox box = sheet.page.getByTestId("set").boundingBox();
    double x = box.x + box.width / 2;
    double y = box.y + box.height / 2;
    // the middle of the picture is the middle of the sideboard; its top is a little above
    sheet.page.mouse().move(x, y - 30);
    sheet.page.mouse().click(x, y - 30);
    assertThat(sheet.caption()).containsText("Table lamp");
    sheet.page.waitForCondition(
        () ->
            pied.space(room).get("pieces").findValues("on").stream()
                .anyMatch(on -> on.path("id").asText().equals(board)));
    sheet.button("Both");
    sheet.settled();
  }

  @Test
  void aDistanceIsTypedOnItsLineInThePlan() {
    String room = pied.newRoom("Measures");
    sheet = Sheet.planOf(room);
    sheet.take("armchair", "armchair");
    sheet.clickPlan(2, 2);
    Locator label = sheet.page.getByTestId("plan").getByTestId("reach-left");
    assertThat(label).hasText("1.61");
    label.getByRole(com.microsoft.playwright.options.AriaRole.BUTTON).click();
    label.getByRole(com.microsoft.playwright.options.AriaRole.TEXTBOX).fill("1.1");
    label.getByRole(com.microsoft.playwright.options.AriaRole.TEXTBOX).press("Enter");
    assertThat(label).hasText("1.10");
    String id = pied.piece(room, "armchair").get("id").asText();
    assertThat(pied.reach(room, id, "left")).isCloseTo(1.1, EXACT);
  }

  @Test
  void aPieceIsDraggedOutOfTheCatalogThenCarriedOnThePlanAndGivenUp() {
    String room = pied.newRoom("Dragging");
    sheet = Sheet.planOf(room);
    sheet.page.getByLabel("Search the catalog").fill("stool");
    assertThat(sheet.page.locator("[data-article=arc-lamp]")).hasCount(0);
    Locator found = sheet.page.locator("[data-article=stool]");
    found.hover(); // waits until it is where it stays
    BoundingBox card = found.boundingBox();
    double[] to = sheet.onPlan(1.5, 1.5);
    sheet.page.mouse().move(card.x + 40, card.y + 40);
    sheet.page.mouse().down();
    sheet.page.mouse().move(card.x + 60, card.y + 50);
    sheet.page.mouse().move(to[0], to[1] - 5);
    sheet.inHandAt(to[0], to[1]);
    sheet.page.mouse().up();
    sheet.reads("Width", "0.36");
    assertThat(at(pied.piece(room, "stool"), "x")).isCloseTo(1.5, within(0.02));

    // a press and move on what is selected carries it; Esc has it back
    double x = at(pied.piece(room, "stool"), "x");
    double[] far = sheet.onPlan(3.5, 2.5);
    sheet.page.mouse().move(to[0], to[1]);
    sheet.page.mouse().down();
    sheet.page.mouse().move(to[0] + 20, to[1]);
    sheet.page.mouse().move(far[0], far[1]);
    sheet.page.keyboard().press("Escape");
    sheet.page.mouse().up();
    assertThat(at(pied.piece(room, "stool"), "x")).isEqualTo(x);

    sheet.page.mouse().move(to[0], to[1]);
    sheet.page.mouse().down();
    sheet.page.mouse().move(to[0] + 20, to[1]);
    sheet.page.mouse().move(far[0], far[1]);
    sheet.page.mouse().up();
    sheet.page.waitForCondition(() -> at(pied.piece(room, "stool"), "x") > 3);
    assertThat(at(pied.piece(room, "stool"), "x")).isCloseTo(3.5, within(0.03));
    assertThat(at(pied.piece(room, "stool"), "z")).isCloseTo(2.5, within(0.03));
  }

  @Test
  void twoWindowsOnOneSpaceShowEachOthersChanges() {
    String room = pied.newRoom("Two windows");
    sheet = Sheet.planOf(room);
    Sheet other = Sheet.planOf(room);
    try {
      sheet.take("café table", "cafe-table");
      sheet.clickPlan(3, 2);
      // for a moment it is still shown in the other's hand as well
      String put = "[data-testid=plan] [data-name='Round café table']:not([data-piece='in hand'])";
      assertThat(other.page.locator(put)).isVisible();
      other.schedule("Round café table");
      other.type("Width", "0.9");
      other.reads("Width", "0.90");
      sheet.reads("Width", "0.90");
      other.page.keyboard().press("Delete");
      assertThat(sheet.page.locator("[data-testid=plan] [data-piece]")).hasCount(0);
      assertThat(sheet.caption()).containsText("nothing in it yet");
    } finally {
      other.close();
    }
  }

  @Test
  void whatCannotBeReadIsRefusedInWordsAndStaysAsTyped() {
    String room = pied.newRoom("Refusals");
    sheet = Sheet.planOf(room);
    sheet.take("stool", "stool");
    sheet.clickPlan(3, 2);
    sheet.type("Height", "very high");
    assertThat(sheet.page.getByTestId("notice"))
        .containsText("“very” is not a length. Type a number");
    assertThat(sheet.caption().getByRole(com.microsoft.playwright.options.AriaRole.TEXTBOX))
        .hasValue("very high");
    sheet.page.keyboard().press("Escape");
    sheet.type("Height", "9 m");
    assertThat(sheet.page.getByTestId("notice")).containsText("0.30 to 0.80 m high, not 9.00");
    assertThat(pied.piece(room, "stool").at("/size/height").asDouble()).isEqualTo(0.46);
  }
}
