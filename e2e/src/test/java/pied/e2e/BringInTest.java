package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import pied.e2e.Sheet.Studio;
import pied.supplier.Trouble;

/** Model files made elsewhere, as a designer brings them in. */
class BringInTest extends OnTheSheet {

  /** A bench in millimetres, 40 m from its origin, lying on its back (z is up). */
  private static byte[] bench() {
    return Boxes.obj(
        new double[][] {
          {40_000, 0, 0, 40_060, 400, 410},
          {41_340, 0, 0, 41_400, 400, 410},
          {40_000, 0, 410, 41_400, 400, 450}
        });
  }

  @Test
  void aModelLyingFarAwayInMillimetresStandsAtThePointer() {
    String room = pied.newRoom("Brought in");
    sheet = Sheet.planOf(room);
    sheet.bringIn("garden_bench.obj", bench());
    Locator arrived = sheet.page.getByTestId("arrived");
    assertThat(arrived).containsText("1.40");
    assertThat(arrived).containsText("taken as millimetres");
    sheet.button("Bring it in");
    assertThat(sheet.page.getByTestId("carry")).isVisible();
    sheet.clickPlan(3, 2);
    sheet.reads("Width", "1.40");
    JsonNode p = pied.space(room).get("pieces").get(0);
    assertThat(p.get("name").asText()).isEqualTo("Garden bench");
    assertThat(p.at("/size/width").asDouble()).isCloseTo(1.4, within(1e-6));
    assertThat(p.at("/size/depth").asDouble()).isCloseTo(0.4, within(1e-6));
    assertThat(p.at("/size/height").asDouble()).isCloseTo(0.45, within(1e-6));
    assertThat(p.at("/at/x").asDouble()).isCloseTo(3, within(0.02));
    assertThat(p.at("/at/y").asDouble()).isZero();
    assertThat(pied.reach(room, p.get("id").asText(), "under")).isCloseTo(0, within(1e-4));
    // it stands first in the catalog of its project, and is sized by stretching
    assertThat(sheet.page.locator("[data-article^=own-]").first()).containsText("Garden bench");
    sheet.type("Width", "2.0");
    sheet.reads("Width", "2.00");
  }

  @Test
  void whatIsKnownOfItMakesItsUnitAgreeAndASecondOneGetsAnotherName() {
    String room = pied.newRoom("Known");
    sheet = Sheet.planOf(room);
    sheet.bringIn("plinth.obj", bench());
    Locator arrived = sheet.page.getByTestId("arrived");
    arrived.getByLabel("Its height, if it is known").click();
    Locator input = arrived.getByLabel("Its height, if it is known");
    input.fill("0.9");
    input.press("Enter");
    assertThat(arrived).containsText("2.80");
    sheet.button("Bring it in");
    assertThat(sheet.page.getByTestId("carry")).isVisible();
    sheet.page.keyboard().press("Escape");
    sheet.bringIn("plinth.obj", bench());
    assertThat(arrived).containsText("plinth.obj");
    sheet.button("Bring it in");
    assertThat(
            sheet
                .page
                .locator("[data-article^=own-]")
                .filter(new Locator.FilterOptions().setHasText("Plinth 2")))
        .isVisible();
  }

  /** Sixty units: inches or centimetres, and one click says which. */
  @Test
  void aFileInInchesIsTakenSoByOneClick() {
    sheet = Sheet.planOf(pied.newRoom("Inches"));
    sheet.bringIn("thing.obj", Boxes.obj(new double[][] {{0, 0, 0, 30, 60, 30}}));
    Locator arrived = sheet.page.getByTestId("arrived");
    assertThat(arrived).containsText("taken as centimetres");
    arrived.getByText("inches: ").click();
    assertThat(arrived).containsText("1.524");
    assertThat(arrived).containsText("as before");
  }

  @Test
  void twoModelsTogetherArriveOneAfterTheOther() {
    sheet = Sheet.planOf(pied.newRoom("Two"));
    sheet
        .page
        .getByLabel("Model files")
        .setInputFiles(
            new FilePayload[] {
              new FilePayload("plinth_a.obj", "application/octet-stream", bench()),
              new FilePayload("plinth_b.obj", "application/octet-stream", bench())
            });
    Locator arrived = sheet.page.getByTestId("arrived");
    assertThat(arrived).containsText("plinth_a.obj");
    assertThat(arrived).containsText("one more comes after it");
    sheet.button("Bring it in");
    assertThat(arrived).containsText("plinth_b.obj");
    sheet.button("Bring it in");
    assertThat(sheet.page.getByTestId("carry")).isVisible();
    for (String name : new String[] {"Plinth a", "Plinth b"}) {
      Locator.FilterOptions is = new Locator.FilterOptions().setHasText(name);
      assertThat(sheet.page.locator("[data-article^=own-]").filter(is).first()).isVisible();
    }
  }

  @Test
  void aWareComesFromTheSupplierThroughACutLine() {
    String room = pied.newRoom("Supplied");
    sheet = Sheet.planOf(room);
    sheet.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("bring in")).click();
    sheet.page.getByText("from a supplier…").click();
    sheet.page.getByLabel("Name").fill("saltmarsh");
    sheet.page.getByLabel("Password").fill("candle");
    sheet.button("Sign in");
    assertThat(sheet.page.getByRole(AriaRole.ALERT)).containsText("do not belong together");
    sheet.page.getByLabel("Password").fill("lantern");
    sheet.button("Sign in");
    sheet.page.getByLabel("Search the supplier").fill("wing chair");
    Locator ware =
        sheet.page.getByRole(
            AriaRole.LISTITEM, new Page.GetByRoleOptions().setName("Slipway wing chair"));
    // slow enough to be seen on its way, and cut off once
    Studio.SUPPLIER.trouble(new Trouble(80_000, 1, 0, 0, false));
    ware.getByRole(AriaRole.BUTTON).click();
    assertThat(ware.getByRole(AriaRole.PROGRESSBAR)).isVisible();
    ware.getByText("Place").click();
    assertThat(sheet.page.getByTestId("carry")).isVisible();
    sheet.clickPlan(3, 2);
    sheet.reads("Height", "1.08");
    assertThat(pied.space(room).at("/pieces/0/name").asText()).isEqualTo("Slipway wing chair");
    // away, it blocks nothing: what was fetched stands first
    Studio.SUPPLIER.trouble(new Trouble(0, 0, 0, 0, true));
    sheet.page.keyboard().press("Escape");
    sheet.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("bring in")).click();
    sheet.page.getByText("from a supplier…").click();
    assertThat(sheet.page.getByRole(AriaRole.ALERT)).containsText("in the catalog as always");
    sheet.button("Close");
    assertThat(sheet.page.locator("[data-article]").first()).containsText("Slipway wing chair");
    Studio.SUPPLIER.trouble(Trouble.USUAL);
  }

  @Test
  void whatIsNoModelIsRefusedInWords() {
    String room = pied.newRoom("No model");
    sheet = Sheet.planOf(room);
    sheet.bringIn("notes.glb", "not a model at all".getBytes(StandardCharsets.UTF_8));
    assertThat(sheet.page.getByTestId("notice")).containsText("notes.glb: ");
    assertThat(pied.json("/api/health/readiness").get("status").asText()).isEqualTo("UP");
  }
}
