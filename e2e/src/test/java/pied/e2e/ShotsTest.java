package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.nio.file.Path;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pied.e2e.Sheet.Studio;

/** Makes the pictures of docs/screenshots from the demo data. */
@Tag("shots")
class ShotsTest {
  private void shot(Sheet sheet, String name) {
    sheet.page.waitForFunction("() => document.fonts.status === 'loaded'");
    sheet.page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    sheet.page.waitForTimeout(1500); // the last frame of the set view has no event of its own
    sheet.page.screenshot(
        new Page.ScreenshotOptions().setPath(Path.of("../docs/screenshots/" + name + ".png")));
  }

  @Test
  void theMainViews() {
    Sheet sheet = new Sheet(Studio.PIED.teaRoom(), "plan", "set");
    sheet.page.getByLabel("Show the other drawings").click();
    shot(sheet, "sheet");

    sheet.take("sideboard", "sideboard");
    sheet.page.keyboard().press("t");
    sheet.page.keyboard().press("t");
    sheet.page.keyboard().press("t");
    sheet.page.keyboard().press("t");
    sheet.clickPlan(5.4, 6.1);
    sheet.reads("Width", "1.60");
    shot(sheet, "selected");

    sheet.take("table lamp", "table-lamp");
    double[] p = sheet.onPlan(5.0, 6.1);
    sheet.inHandAt(p[0], p[1]);
    shot(sheet, "placing");
    sheet.page.keyboard().press("Escape");

    sheet.page.getByLabel("Search the catalog").fill("");
    sheet.page.getByLabel("Fold away the other drawings").click();
    sheet.page.getByLabel("Fold away catalog").click();
    sheet.page.getByLabel("Fold away schedule").click();
    sheet.button("Set view");
    BoundingBox box = sheet.page.getByTestId("set").boundingBox();
    sheet.page.mouse().move(box.x + box.width * 0.5, box.y + box.height * 0.5);
    for (int i = 0; i < 3; i++) {
      sheet.page.mouse().wheel(0, -160);
    }
    shot(sheet, "set-view");
    sheet.close();
  }

  @Test
  void theRoom() {
    Sheet sheet = new Sheet(Studio.PIED.teaRoom(), "plan");
    tab(sheet, "Shell");
    sheet.clickPlan(4, -0.1);
    assertThat(sheet.caption()).containsText("Window in wall A");
    shot(sheet, "room-plan");
    sheet.page.keyboard().press("Escape");
    sheet.button("Look at B");
    sheet.page.waitForSelector("[data-testid=elevation] svg[data-scale]");
    shot(sheet, "elevation");
    sheet.close();

    String room = Studio.PIED.newRoom("Scullery");
    sheet = new Sheet(room, "plan");
    tab(sheet, "Shell");
    sheet.button("Outline");
    sheet.page.waitForSelector(
        "[data-testid=draft]",
        new Page.WaitForSelectorOptions().setState(WaitForSelectorState.ATTACHED));
    sheet.clickPlan(0, 0);
    assertThat(sheet.caption()).containsText("corner 2");
    String[] lengths = {"6.2", "3", "2.5"};
    double[][] pointers = {{3, 0.2}, {6.4, 2}, {5, 3.2}};
    for (int i = 0; i < lengths.length; i++) {
      double[] p = sheet.onPlan(pointers[i][0], pointers[i][1]);
      sheet.page.mouse().move(p[0] - 2, p[1]);
      sheet.page.mouse().move(p[0], p[1]);
      sheet.page.keyboard().type(lengths[i]);
      sheet.page.keyboard().press("Enter");
      assertThat(sheet.caption()).containsText("corner " + (i + 3));
    }
    double[] p = sheet.onPlan(3.8, 4.6);
    sheet.page.mouse().move(p[0], p[1]);
    shot(sheet, "drawing-an-outline");
    sheet.close();
  }

  @Test
  void theStage() {
    String stage = Studio.PIED.json("/api/projects").at("/1/spaces/0/id").asText();
    Sheet sheet = new Sheet(stage, "plan", "section");
    tab(sheet, "Shell");
    sheet.clickPlan(3.2, -4.2);
    assertThat(sheet.caption()).containsText("Platform 2");
    sheet.page.getByLabel("Show the other drawings").click();
    shot(sheet, "stage-plan");
    sheet.page.getByLabel("Fold away the other drawings").click();
    sheet.page.keyboard().press("Escape");
    sheet.page.getByLabel("Fold away schedule").click();
    sheet.button("Set view");
    sheet.button("look from");
    sheet.page.getByText("Row 5, middle").click();
    shot(sheet, "from-a-seat");
    sheet.close();

    sheet = Sheet.atStart();
    sheet.page.getByText("New room or stage…").first().click();
    sheet.button("Stage");
    shot(sheet, "new-space");
    sheet.close();
  }

  @Test
  void theCatalog() {
    Sheet sheet = Sheet.atStart();
    sheet.page.navigate(Studio.PIED.url() + "/#/articles");
    int all = Studio.PIED.json("/api/catalog").get("articles").size();
    sheet.page.waitForSelector(
        "[data-testid=contact-sheet][data-drawn='" + all + "']",
        new Page.WaitForSelectorOptions().setTimeout(180_000));
    shot(sheet, "catalog");
    sheet.close();

    sheet = new Sheet(Studio.PIED.teaRoom(), "plan");
    sheet.page.getByLabel("Search the catalog").fill("couch");
    sheet.page.locator("[data-article=settee]").focus();
    sheet.page.keyboard().press(" ");
    sheet.page.waitForSelector("[data-testid=preview] canvas");
    shot(sheet, "a-close-look");
    sheet.close();
  }

  private static void tab(Sheet sheet, String name) {
    sheet.page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(name)).click();
  }
}
