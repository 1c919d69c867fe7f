package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;
import org.assertj.core.data.Offset;

/** What people do, counted: a click, a drag, a key, or a text with Enter, is one action. */
abstract class Counting extends OnTheSheet {
  static final Offset<Double> EXACT = within(1e-7);

  int actions;

  final void becomes(BooleanSupplier so) {
    sheet.page.waitForCondition(so);
  }

  /** Opens the plan of the room, and waits until these pieces are drawn. */
  final void open(String... pieces) {
    sheet = Sheet.planOf(room);
    for (String id : pieces) {
      sheet.page.waitForSelector("[data-testid=plan] [data-piece='" + id + "'] path");
    }
  }

  final List<JsonNode> all(String article) {
    List<JsonNode> all = new ArrayList<>();
    for (JsonNode p : pied.space(room).get("pieces")) {
      if (p.get("article").asText().equals(article)) {
        all.add(p);
      }
    }
    return all;
  }

  static double x(JsonNode p) {
    return p.at("/at/x").asDouble();
  }

  static double z(JsonNode p) {
    return p.at("/at/z").asDouble();
  }

  /** What is proposed is shown, and nothing of it is asked for any more. */
  final void proposed() {
    sheet.page.waitForSelector("[data-testid=proposal][data-ready][data-fresh]");
  }

  /** What is proposed is done. */
  final void enter() {
    key("Enter");
    done();
  }

  final void done() {
    assertThat(sheet.page.getByTestId("proposal")).hasCount(0);
  }

  final void clickPlan(double x, double z) {
    click(x, z);
    actions++;
  }

  final void click(Locator what) {
    what.click();
    actions++;
  }

  final void key(String key) {
    sheet.page.keyboard().press(key);
    actions++;
  }

  final void type(String text) {
    sheet.page.keyboard().type(text);
    sheet.page.keyboard().press("Enter");
    actions++;
  }

  /** Draws a rectangle on the plan with Shift, which selects what is in it. */
  final void band(double x, double z, double toX, double toZ) {
    sheet.page.keyboard().down("Shift");
    sheet.dragPlan(x, z, toX, toZ);
    sheet.page.keyboard().up("Shift");
    actions++;
  }

  final void verb(String word) {
    click(sheet.page.locator("[data-verb='" + word + "']"));
  }

  final void choose(String words) {
    click(
        sheet
            .page
            .locator("[role=menuitem]")
            .filter(new Locator.FilterOptions().setHasText(words))
            .first());
    sheet.page.waitForCondition(() -> sheet.page.locator(".MuiModal-root").count() == 0);
  }

  /** A mark of what is sized or turned, on the plan. */
  final void mark(String hold) {
    click(sheet.page.locator("[data-testid=plan] [data-mark='" + hold + "']"));
  }
}
