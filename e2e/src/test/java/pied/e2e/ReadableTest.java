package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is on the sheet can be read and hit at 1280 × 800. */
class ReadableTest extends OnTheSheet {

  /** Pairs of texts and numbers on a drawing that cover each other. */
  private Object covering(String drawing) {
    return sheet.page.evaluate(
        "name => { const all = [...document.querySelectorAll(`[data-testid=${name}] svg text,"
            + " [data-testid=${name}] [data-testid=dimension],"
            + " [data-testid=${name}] [data-testid^=reach-]`)]"
            + ".map(e => ({text: e.textContent, box: e.getBoundingClientRect()}));"
            + " const bad = []; for (let i = 0; i < all.length; i++) for (let k = 0; k < i; k++) {"
            + " const a = all[i].box, b = all[k].box;"
            + " const x = Math.min(a.right, b.right) - Math.max(a.left, b.left);"
            + " const y = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);"
            // what is within the leading of a line is not covered
            + " if (x > 1 && y > 4) bad.push(all[i].text + ' and ' + all[k].text); } return bad; }",
        drawing);
  }

  @Test
  void theDrawingsHaveTheRoom() {
    sheet = new Sheet(pied.teaRoom(), "plan", "wall:A");
    sheet.onPlan(0, 0);
    BoundingBox drawings = sheet.page.getByTestId("drawings").boundingBox();
    assertThat(drawings.width).isGreaterThanOrEqualTo(0.65 * 1280);
    for (String drawing : List.of("plan", "elevation")) {
      Locator svg = sheet.page.locator("[data-testid=" + drawing + "] svg[data-scale]");
      assertThat(Double.parseDouble(svg.getAttribute("data-scale")))
          .as(drawing + ", pixels a metre")
          .isGreaterThanOrEqualTo(45);
    }
    int seen = 0;
    BoundingBox list = sheet.page.getByLabel("Articles").boundingBox();
    for (Locator card : sheet.page.locator("[data-article]").all().subList(0, 20)) {
      BoundingBox box = card.boundingBox();
      seen += box.y >= list.y - 1 && box.y + box.height <= list.y + list.height + 1 ? 1 : 0;
    }
    assertThat(seen).as("articles in view").isGreaterThanOrEqualTo(14);
  }

  @Test
  void numbersAndNamesDoNotCoverEachOther() {
    String room = pied.teaRoom();
    sheet = new Sheet(room, "plan", "section");
    sheet.onPlan(0, 0);
    assertThat((List<?>) covering("plan")).isEmpty();
    assertThat((List<?>) covering("elevation")).isEmpty();
    for (String article : List.of("armchair", "service-counter", "potted-plant", "dining-chair")) {
      JsonNode piece = pied.piece(room, article);
      sheet.schedule(piece.get("name").asText());
      assertThat(sheet.page.locator("[data-testid=plan] [data-testid^=reach-]").first())
          .isVisible();
      assertThat((List<?>) covering("plan")).as("with %s selected", article).isEmpty();
    }
    // close to a wall, and to the name of that
    pied.place(room, "near-c", "sideboard", 4.6, 6.1);
    sheet.schedule("Oak sideboard");
    assertThat(sheet.page.locator("[data-testid=plan] [data-testid^=reach-]").first()).isVisible();
    assertThat((List<?>) covering("plan")).as("close to wall C").isEmpty();
    pied.post("/api/spaces/" + room + "/undo", "{}");
    String stage = pied.json("/api/projects").at("/1/spaces/0/id").asText();
    sheet.close();
    sheet = new Sheet(stage, "plan", "section");
    sheet.onPlan(0, 0);
    assertThat((List<?>) covering("plan")).isEmpty();
    assertThat((List<?>) covering("elevation")).isEmpty();
  }

  @Test
  void nothingOneHitsIsSmallerThanAFinger() {
    sheet = new Sheet(pied.teaRoom(), "plan", "section");
    sheet.schedule("Armchair");
    assertThat(sheet.caption()).containsText("Armchair");
    // a button may reach beyond what is drawn of it
    Object small =
        sheet.page.evaluate(
            "() => [...document.querySelectorAll('button, [role=tab], a[href]')]"
                + ".filter(b => b.getClientRects().length > 0 && !b.disabled)"
                + ".map(b => { const r = b.getBoundingClientRect();"
                + " const after = getComputedStyle(b, '::after');"
                + " const more = after.content === 'none' ? 0 : -2 * parseFloat(after.top || 0);"
                + " return [b.textContent || b.ariaLabel, r.width + more, r.height + more]; })"
                + ".filter(([, w, h]) => w < 23.5 || h < 23.5).map(x => x.join(' '))");
    assertThat((List<?>) small).isEmpty();
  }
}
