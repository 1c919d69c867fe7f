package pied.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** Light and viewpoints, by hand, in no more actions than these. */
class LitTest extends Counting {
  private JsonNode showing() {
    return pied.space(room).get("showing");
  }

  private JsonNode viewpoint(int n) {
    return showing().at("/viewpoints/" + n);
  }

  private double burning(String id) {
    JsonNode lamp = piece(id).get("lamp");
    return lamp.get("on").asBoolean() ? lamp.get("level").asDouble() : 0;
  }

  private void menu(String words) {
    click(
        sheet
            .page
            .getByTestId("set")
            .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("look from")));
    choose(words);
  }

  private void field(String label, String text) {
    click(
        sheet
            .caption()
            .getByRole(
                AriaRole.BUTTON,
                new Locator.GetByRoleOptions()
                    .setName(java.util.regex.Pattern.compile("^" + label + ".*"))));
    sheet.page.keyboard().type(text);
    sheet.page.keyboard().press("Enter");
  }

  @Test
  void viewpointsAreKeptFromTheViewAndByStandingAndLooking() {
    room = pied.newRoom("Views");
    pied.place(room, "t", "cafe-table", 4, 2);
    sheet = new Sheet(room, "plan", "set");
    sheet.page.waitForSelector("[data-testid=set] canvas[data-view]");
    menu("Keep this view");
    becomes(() -> viewpoint(0).path("group").asText().equals("kept"));
    assertThat(actions).isEqualTo(2);

    actions = 0;
    field("Lens", "35");
    becomes(() -> viewpoint(0).get("lens").asDouble() == 35);
    assertThat(actions).isEqualTo(1);
    sheet.page.waitForSelector("[data-testid=caption]:has-text('35 mm (54')");

    actions = 0;
    key("[");
    sheet.page.waitForSelector("[data-testid=aim]");
    clickPlan(1, 3.4);
    sheet.page.waitForSelector("[data-testid=aim]:has-text('look to')");
    clickPlan(4, 2.6);
    becomes(() -> viewpoint(1).path("group").asText().equals("kept"));
    assertThat(actions).isEqualTo(3);
    JsonNode eye = viewpoint(1).get("eye");
    assertThat(eye.get("x").asDouble()).isEqualTo(1, within(0.05));
    assertThat(eye.get("y").asDouble()).isEqualTo(1.6, EXACT);
    assertThat(viewpoint(1).at("/target/y").asDouble()).isEqualTo(1.6, EXACT);
  }

  @Test
  void lampsAreDimmedSwitchedAndKeptAsALook() {
    room = pied.newRoom("Lamps");
    pied.place(room, "p", "pendant-lamp", 2, 2);
    pied.place(room, "q", "pendant-lamp", 3.5, 2);
    pied.place(room, "f", "floor-lamp", 5, 3);
    open("p", "q", "f");
    clickPlan(5, 3);
    field("Level of its light", "40");
    becomes(() -> burning("f") == 0.4);
    assertThat(actions).as("one lamp dimmed").isLessThanOrEqualTo(2);

    actions = 0;
    click(sheet.page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Light")));
    click(sheet.page.getByLabel("Pendant lamp on"));
    becomes(() -> burning("p") == 0 && burning("q") == 0);
    assertThat(actions).as("all pendants off").isEqualTo(2);

    actions = 0;
    click(sheet.page.getByText("keep all as it is now"));
    becomes(() -> showing().get("looks").size() == 1);
    assertThat(actions).as("a look kept").isLessThanOrEqualTo(2);
    click(sheet.page.getByText("all on"));
    becomes(() -> burning("p") == 1);
    actions = 0;
    click(sheet.page.locator("[data-named='Look 1'] button").first());
    becomes(() -> burning("p") == 0 && burning("f") == 0.4);
    assertThat(actions).as("and recalled").isEqualTo(1);

    actions = 0;
    key(";");
    type("at 8 on 21 March");
    key("Enter");
    becomes(() -> showing().at("/day/hour").asDouble() == 8);
    assertThat(showing().at("/day/date").asText()).endsWith("03-21");
  }

  @Test
  void aLanternIsAimedByItsPoolAndFiltered() {
    room = pied.newRoom("Lantern");
    pied.place(room, "t", "cafe-table", 4, 2);
    pied.place(room, "s", "profile-spot", 2, 3.4);
    open("t", "s");
    clickPlan(2, 3.4);
    key("(");
    clickPlan(4, 2);
    becomes(() -> piece("s").at("/lamp/aim/piece").asText().equals("t"));
    assertThat(actions).as("aimed, the lantern picked before").isLessThanOrEqualTo(3);
    JsonNode pool = pied.json("/api/spaces/" + room + "/lamps").at("/pools/0");
    assertThat(pool.at("/at/x").asDouble()).isEqualTo(4, within(0.1));

    actions = 0;
    field("Colour of the filter", "#7FA6D9");
    becomes(() -> piece("s").at("/lamp/filter").asText().equals("#7FA6D9"));
    assertThat(actions).as("filtered").isEqualTo(1);
  }

  @Test
  void seenThroughAndFromACornerUnderTheCeiling() {
    room = pied.newRoom("Corner");
    pied.place(room, "t", "cafe-table", 4, 2);
    sheet = new Sheet(room, "set");
    sheet.page.waitForSelector("[data-testid=set] canvas[data-view]");
    Locator set = sheet.page.getByTestId("set");
    Locator through =
        set.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("see through"));
    click(through);
    becomes(() -> through.getAttribute("aria-pressed").equals("true"));
    assertThat(actions).isEqualTo(1);
    click(through);

    actions = 0;
    menu("Corner");
    becomes(
        () ->
            set.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("ceiling"))
                .getAttribute("aria-pressed")
                .equals("true"));
    assertThat(actions).isLessThanOrEqualTo(4);
  }
}
