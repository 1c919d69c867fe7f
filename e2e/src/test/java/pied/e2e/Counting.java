package pied.e2e;

import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import org.assertj.core.data.Offset;

/** What people do, counted: a click, a drag, a key, or a text with Enter, is one action. */
abstract class Counting extends OnTheSheet {
  static final Offset<Double> EXACT = within(1e-7);

  int actions;

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
