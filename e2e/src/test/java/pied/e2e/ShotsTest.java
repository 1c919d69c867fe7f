package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.MouseButton;
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
    String room = Studio.PIED.teaRoom();
    Sheet sheet = new Sheet(room, "plan", "set");
    sheet.page.getByLabel("Show the other drawings").click();
    // the small drawings are made by and by
    sheet.page.waitForFunction(
        "() => [...document.querySelectorAll(\"[aria-label^='Make large']\")]"
            + ".every(d => d.querySelector('svg path'))");
    shot(sheet, "sheet");

    sheet.take("sideboard", "sideboard");
    sheet.page.keyboard().press("t");
    sheet.page.keyboard().press("t");
    sheet.page.keyboard().press("t");
    sheet.page.keyboard().press("t");
    sheet.clickPlan(5.4, 6.1);
    sheet.reads("Width", "1.60");

    sheet.take("table lamp", "table-lamp");
    double[] p = sheet.onPlan(5.0, 6.1);
    sheet.inHandAt(p[0], p[1]);
    shot(sheet, "placing");
    sheet.page.keyboard().press("Escape");

    sheet.page.getByLabel("Search the catalog").fill("");
    sheet.page.getByLabel("Fold away the other drawings").click();
    sheet.page.getByLabel("Fold away catalog").click();
    sheet.button("Set view");
    BoundingBox box = sheet.page.getByTestId("set").boundingBox();
    sheet.page.mouse().move(box.x + box.width * 0.5, box.y + box.height * 0.5);
    for (int i = 0; i < 3; i++) {
      sheet.page.mouse().wheel(0, -160);
    }
    shot(sheet, "set-view");
    sheet.page.getByLabel("Open catalog").click();
    sheet.leaf("Schedule");
    sheet.button("Both");
    sheet.page.getByLabel("Open Cup and saucer").click();
    double[] on = sheet.onPlan(5.4, 6.1);
    sheet.page.mouse().click(on[0], on[1], new Mouse.ClickOptions().setButton(MouseButton.RIGHT));
    shot(sheet, "schedule-and-menu");
    sheet.page.keyboard().press("Escape");
    Studio.PIED.post("/api/spaces/" + room + "/undo", "{}");
    sheet.close();
  }

  @Test
  void theRoom() {
    Sheet sheet = new Sheet(Studio.PIED.teaRoom(), "plan");
    sheet.leaf("Shell");
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
    sheet.leaf("Shell");
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
    sheet.leaf("Shell");
    sheet.clickPlan(3.2, -4.2);
    assertThat(sheet.caption()).containsText("Platform 2");
    sheet.page.getByLabel("Show the other drawings").click();
    shot(sheet, "stage-plan");
    sheet.page.getByLabel("Fold away the other drawings").click();
    sheet.page.keyboard().press("Escape");
    sheet.button("Set view");
    sheet.button("look from");
    sheet.page.getByText("Row 5, middle").click();
    shot(sheet, "from-a-seat");
    sheet.close();

    sheet = Sheet.atStart();
    assertThat(sheet.page.getByTestId("card").first()).isVisible();
    shot(sheet, "start");
    sheet.page.getByText("New room or stage…").first().click();
    sheet.button("Stage");
    shot(sheet, "new-space");
    sheet.close();
  }

  @Test
  void theCarrying() {
    PiedProcess pied = Studio.PIED;
    String room = pied.teaRoom();
    Sheet sheet = new Sheet(room, "plan");
    sheet.page.keyboard().press("j");
    JsonNode chair = pied.piece(room, "dining-chair");
    sheet.schedule(chair.get("name").asText());
    double x = chair.at("/at/x").asDouble();
    double z = chair.at("/at/z").asDouble();
    double[] from = sheet.onPlan(x, z);
    sheet.page.mouse().click(from[0], from[1]);
    assertThat(sheet.page.getByTestId("carry")).isVisible();
    // over the floor, until something holds it there
    String caption = "";
    for (int i = 0; i < 60 && !(caption.contains("moved") && caption.contains("in line")); i++) {
      double[] to = sheet.onPlan(4.6 + 0.03 * i, 4.6 + 0.02 * i);
      sheet.page.mouse().move(to[0], to[1]);
      sheet.page.waitForTimeout(150);
      caption = sheet.page.getByTestId("carry").textContent();
    }
    shot(sheet, "carrying");
    sheet.page.keyboard().press("Escape");
    sheet.close();

    sheet = new Sheet(room, "set");
    sheet.schedule("Bottle 2");
    sheet.page.keyboard().press("f");
    sheet.page.waitForTimeout(1500);
    sheet.schedule("Bottle 4");
    sheet.page.keyboard().press("j");
    sheet.page.keyboard().press(" ");
    BoundingBox box = sheet.page.getByTestId("set").boundingBox();
    for (int i = 0; i < 60; i++) {
      sheet
          .page
          .mouse()
          .move(
              box.x + box.width * (0.35 + 0.05 * (i % 6)),
              box.y + box.height * (0.35 + 0.03 * (i / 6)));
      sheet.page.waitForTimeout(250);
      String said = sheet.page.getByTestId("carry").innerText();
      if (said.contains("shelf") && said.contains("moved")) {
        break;
      }
    }
    shot(sheet, "carrying-onto-a-shelf");
    sheet.page.keyboard().press("Escape");
    sheet.close();
  }

  @Test
  void theSizingAndTurning() {
    PiedProcess pied = Studio.PIED;
    String room = pied.teaRoom();
    Sheet sheet = new Sheet(room, "plan", "set");
    JsonNode chair = pied.piece(room, "dining-chair");
    double x = chair.at("/at/x").asDouble();
    double z = chair.at("/at/z").asDouble();
    sheet.schedule("Service counter");
    sheet.leaf("Catalog");
    sheet.page.keyboard().press("f");
    sheet.page.waitForTimeout(1500);
    sheet.page.keyboard().press("z");
    assertThat(sheet.page.getByTestId("tab-right").first()).isVisible();
    sheet.page.getByLabel("What stays where it is while it is sized").click();
    assertThat(sheet.page.getByTestId("box-figure")).isVisible();
    shot(sheet, "sizing");
    sheet.page.keyboard().press("Escape");
    sheet.page.waitForCondition(() -> sheet.page.locator(".MuiModal-root").count() == 0);
    sheet.page.keyboard().press("k");
    JsonNode counter = pied.piece(room, "service-counter");
    double cx = counter.at("/at/x").asDouble();
    double cz = counter.at("/at/z").asDouble();
    double across = counter.at("/size/depth").asDouble() / 2;
    double along = counter.at("/size/width").asDouble() / 2;
    sheet.clickPlan(cx + across - 0.02, cz - along + 0.02);
    assertThat(sheet.page.getByTestId("aim")).containsText("its other end");
    sheet.clickPlan(cx + across - 0.02, cz + along - 0.02);
    assertThat(sheet.page.getByTestId("aim")).containsText("it measures");
    shot(sheet, "known-length");
    sheet.page.keyboard().press("Escape");
    sheet.page.keyboard().press("Escape");
    sheet.page.keyboard().press("Escape");
    sheet.page.keyboard().press("h");
    sheet.page.waitForTimeout(1500);
    sheet.clickPlan(x, z - 0.1);
    sheet.page.keyboard().press("f");
    sheet.page.waitForTimeout(1500);
    sheet.page.keyboard().press("y");
    assertThat(sheet.page.getByTestId("dial")).isVisible();
    shot(sheet, "turning");
    sheet.close();
  }

  @Test
  void theSupplier() {
    // into the other project, so that the catalog of the first stays as it ships
    String stage = Studio.PIED.json("/api/projects").at("/1/spaces/0/id").asText();
    Sheet sheet = new Sheet(stage, "plan");
    sheet.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("bring in")).click();
    sheet.page.getByText("from a supplier…").click();
    sheet.page.getByLabel("Name").fill("saltmarsh");
    sheet.page.getByLabel("Password").fill("lantern");
    sheet.button("Sign in");
    Studio.SUPPLIER.trouble(new pied.supplier.Trouble(30_000, 0, 0, 0, false));
    for (String ware : new String[] {"Slipway armchair", "Boathouse bench"}) {
      sheet
          .page
          .getByRole(AriaRole.LISTITEM, new Page.GetByRoleOptions().setName(ware))
          .getByRole(AriaRole.BUTTON)
          .click();
    }
    sheet.page.waitForTimeout(1500);
    sheet.page.screenshot(
        new Page.ScreenshotOptions().setPath(Path.of("../docs/screenshots/supplier.png")));
    Studio.SUPPLIER.trouble(pied.supplier.Trouble.USUAL);
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
}
