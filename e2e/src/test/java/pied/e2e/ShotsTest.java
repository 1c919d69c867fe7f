package pied.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
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
    Sheet sheet = new Sheet(Studio.PIED.teaRoom(), 4.6, 3.2, "both");
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
}
