package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.MouseButton;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Finding things in the catalog, and what it refuses. */
class CatalogTest extends OnTheSheet {

  private Locator cards() {
    return sheet.page.getByRole(AriaRole.LIST, named("Articles")).getByRole(AriaRole.LISTITEM);
  }

  private static Page.GetByRoleOptions named(String name) {
    return new Page.GetByRoleOptions().setName(name).setExact(true);
  }

  @Test
  void aSetteeIsFoundAsCouchReadBeforePlacingAndPlacedThreeTimes() {
    String room = pied.newRoom("Couches");
    sheet = Sheet.planOf(room);
    sheet.page.getByLabel("Search the catalog").fill("couch");
    Locator settee = sheet.page.locator("[data-article=settee]");
    assertThat(settee).containsText("1.45 × 0.88 × 0.82");
    settee.focus();
    settee.press(" ");
    assertThat(sheet.page.getByTestId("preview")).containsText("1.20 to 1.75 m wide");
    assertThat(sheet.page.getByTestId("preview")).containsText("0.45 m free in front");
    settee.press("Enter");
    assertThat(sheet.page.getByTestId("carry")).isVisible();
    for (int i = 0; i < 3; i++) {
      sheet.page.keyboard().down("Shift");
      sheet.clickPlan(1 + 2 * i, 2);
      sheet.page.keyboard().up("Shift");
      int n = i + 1;
      sheet.page.waitForCondition(() -> pied.space(room).get("pieces").size() == n);
    }
    sheet.page.keyboard().press("Escape");
    for (JsonNode p : pied.space(room).get("pieces")) {
      assertThat(p.get("article").asText()).isEqualTo("settee");
    }
    assertThat(pied.json("/api/spaces/" + room + "/snags").get("snags")).isEmpty();
    sheet.page.getByLabel("Search the catalog").fill("");
    assertThat(cards().first()).containsText("Settee");
  }

  @Test
  void noSizeOnACardIsCutOffAlthoughScrollBarsTakeRoom() {
    sheet = Sheet.planOf(pied.newRoom("Cards"));
    assertThat(cards().first()).isVisible();
    assertThat(
            sheet.page.evaluate(
                "() => [...document.querySelectorAll('[data-testid=card-size]')]"
                    + ".filter(e => e.scrollWidth > e.clientWidth).map(e => e.textContent)"))
        .isEqualTo(List.of());
    assertThat(
            sheet.page.evaluate(
                "() => { let e = document.querySelector('[data-testid=card-size]');"
                    + "while (e.offsetWidth - e.clientWidth < 8) e = e.parentElement;"
                    + "return e.scrollHeight > e.clientHeight; }"))
        .as("a scroll bar beside the cards takes room")
        .isEqualTo(true);
    assertThat(
            sheet.page.evaluate(
                "() => [...document.querySelectorAll('[data-testid=caption], [data-testid=caption] *')]"
                    + ".some(e => e.offsetWidth - e.clientWidth > 8 && e.scrollHeight > e.clientHeight)"))
        .as("a scroll bar in the caption")
        .isEqualTo(false);
  }

  @Test
  void kindsAndLimitsNarrowWhatIsOffered() {
    String room = pied.newRoom("Kinds");
    sheet = Sheet.planOf(room);
    sheet.page.getByLabel("Kind: all").click();
    sheet.page.getByRole(AriaRole.TREE).getByText("wardrobes").click();
    assertThat(cards()).hasCount(1);
    assertThat(cards().first()).containsText("Wardrobe");
    sheet.page.getByLabel("What fits").click();
    sheet.page.getByLabel("No wider than").fill("80cm");
    assertThat(sheet.page.getByText("look everywhere")).isVisible();
  }

  @Test
  void whatComesInOneSizeRefusesOthersAndStepsGoToTheNearest() {
    String room = pied.newRoom("Sizes");
    sheet = Sheet.planOf(room);
    sheet.take("theatre seat", "theatre-seat");
    sheet.clickPlan(2, 2);
    sheet.reads("Width", "0.56");
    sheet.type("Width", "0.7");
    assertThat(sheet.page.getByTestId("notice"))
        .containsText("Theatre seat comes in one size only: 0.56 × 0.68 × 0.92 m.");
    sheet.page.keyboard().press("Escape");
    sheet.take("truss", "truss");
    sheet.clickPlan(3, 1);
    sheet.reads("Width", "3.00");
    sheet.type("Width", "2.6");
    assertThat(sheet.page.getByTestId("notice"))
        .containsText("in steps of 0.50 m wide; it is 2.50");
    sheet.reads("Width", "2.50");
    assertThat(pied.piece(room, "truss").at("/size/width").asDouble()).isEqualTo(2.5);
  }

  /** How many pieces of the room are of an article. */
  private long of(String article) {
    long n = 0;
    for (JsonNode p : pied.space(room).get("pieces")) {
      n += p.get("article").asText().equals(article) ? 1 : 0;
    }
    return n;
  }

  @Test
  void oneOfARowAndThenTwoAreExchangedForWhatIsClickedInTheCatalog() {
    room = pied.newRoom("Exchanged");
    pied.place(room, "s", "stool", 0.6, 2);
    pied.edit(room, "{'do':'row','pieces':['s'],'count':8,'pitch':0.65}");
    sheet = Sheet.planOf(room);
    click(0.6 + 2 * 0.65, 2);
    assertThat(sheet.caption()).containsText("a group of 8 pieces");
    sheet.page.keyboard().press("Shift+O"); // one of them
    click(0.6 + 2 * 0.65, 2);
    assertThat(sheet.caption()).containsText("Stool 3");
    sheet.page.keyboard().press("Shift+Z");
    assertThat(sheet.page.getByTestId("wanting")).containsText("Click a card");
    sheet.page.keyboard().type("crate");
    sheet.page.locator("[data-article=crate]").click();
    Locator proposal = sheet.page.getByTestId("proposal");
    assertThat(proposal).containsText("Exchange Stool 3 for Crate");
    sheet.page.locator("[data-testid=proposal][data-ready]").waitFor();
    assertThat(of("crate")).isZero(); // shown, not done
    sheet.page.keyboard().press("Enter");
    sheet.page.waitForCondition(() -> of("crate") == 1 && of("stool") == 7);
    assertThat(sheet.caption()).containsText("Crate");
    sheet.page.keyboard().press("Control+z");
    sheet.page.waitForCondition(() -> of("stool") == 8);
    // a right click on a card is for the card, and what is selected stays so
    click(0.6 + 4 * 0.65, 2); // far from the other: its distances are written beside it
    sheet.page.keyboard().down("Shift");
    click(0.6 + 7 * 0.65, 2);
    sheet.page.keyboard().up("Shift");
    assertThat(sheet.caption()).containsText("2 pieces");
    sheet
        .page
        .locator("[data-article=crate]")
        .click(new Locator.ClickOptions().setButton(MouseButton.RIGHT));
    sheet.page.getByRole(AriaRole.MENUITEM, named("Put it in the place of the 2 selected")).click();
    sheet.page.locator("[data-testid=proposal][data-ready]").waitFor();
    sheet.page.keyboard().press("Enter");
    sheet.page.waitForCondition(() -> of("crate") == 2 && of("stool") == 6);
  }
}
