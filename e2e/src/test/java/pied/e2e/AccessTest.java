package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Contrast, names and roles in every main view, as the rules of WCAG 2 have them. */
class AccessTest extends OnTheSheet {

  /** What is serious or critical in what is shown now: rule and place. */
  @SuppressWarnings("unchecked")
  private void nothingSerious(String view) {
    try {
      // given to the browser by the test, so that the rules for scripts of the page do not count
      sheet.page.evaluate(Files.readString(Path.of("../web/node_modules/axe-core/axe.min.js")));
    } catch (IOException e) {
      throw new IllegalStateException("npm ci has not run in web", e);
    }
    List<Map<String, Object>> found =
        (List<Map<String, Object>>)
            sheet.page.evaluate(
                "() => axe.run(document, {resultTypes: ['violations']}).then(r => r.violations"
                    + ".filter(v => v.impact === 'serious' || v.impact === 'critical')"
                    + ".map(v => ({rule: v.id, where: v.nodes.map(n => n.target.join(' ') + ' '"
                    + " + (n.any[0]?.message ?? '')).slice(0, 4).join('; ')})))");
    assertThat(
            found.stream()
                .map(v -> v.get("rule") + ": " + v.get("where"))
                .collect(Collectors.joining("\n")))
        .as(view)
        .isEmpty();
  }

  @Test
  void theStart() {
    sheet = Sheet.atStart();
    assertThat(sheet.page.getByTestId("card").first()).isVisible();
    nothingSerious("start");
    sheet.page.getByText("New room or stage…").first().click();
    nothingSerious("new room");
  }

  @Test
  void theSheetWithItsLeavesAndDrawings() {
    sheet = new Sheet(pied.teaRoom(), "plan", "wall:A");
    assertThat(sheet.page.locator("[data-article]").first()).isVisible();
    nothingSerious("catalog, plan and elevation");
    sheet.schedule("Armchair");
    assertThat(sheet.caption()).containsText("Armchair");
    nothingSerious("schedule, and a piece selected");
    sheet.page.keyboard().press("Space");
    assertThat(sheet.page.getByTestId("carry")).isVisible();
    nothingSerious("carrying");
    sheet.page.keyboard().press("Escape");
    sheet.leaf("Shell");
    nothingSerious("shell");
    sheet.page.keyboard().press("?");
    nothingSerious("keys");
  }

  @Test
  void theSetView() {
    sheet = new Sheet(pied.teaRoom(), "set");
    nothingSerious("set view");
  }
}
