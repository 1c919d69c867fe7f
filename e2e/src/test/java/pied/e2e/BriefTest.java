package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Two jobs done from a brief, from the first page to what is handed over, in no more actions than
 * these: a flat of two rooms, and a stage with a mirrored half.
 */
class BriefTest extends Counting {
  private Locator named(String name) {
    return sheet
        .page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true))
        .first();
  }

  private void press(String name) {
    click(named(name));
  }

  private void fill(String label, String text) {
    sheet.page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).fill(text);
    actions++;
  }

  private void field(String label, String text) {
    sheet.type(label, text);
    actions += 2; // a click on the number, and the new one
    sheet.saved();
  }

  /** One sentence: a key, and the sentence with Enter. */
  private void say(String sentence) {
    key(";");
    assertThat(sheet.page.getByLabel("What shall be")).isFocused();
    sheet.page.keyboard().type(sentence);
    proposed();
    enter();
  }

  private String opened() {
    sheet.page.waitForURL("**/#/space/**");
    sheet.settled();
    String url = sheet.page.url();
    return url.substring(url.lastIndexOf('/') + 1);
  }

  /** Builds something by its key where one clicks. */
  private void build(String key, double x, double z, String reads) {
    key(key);
    clickPlan(x, z);
    assertThat(sheet.caption()).containsText(reads);
  }

  private JsonNode called(String name) {
    for (JsonNode p : pied.space(room).get("pieces")) {
      if (p.get("name").asText().equals(name)) {
        return p;
      }
    }
    throw new AssertionError("There is no " + name);
  }

  private List<String> snags() {
    List<String> all = new ArrayList<>();
    pied.json("/api/spaces/" + room + "/snags").get("snags").forEach(s -> all.add(s.toString()));
    return all;
  }

  private static double y(JsonNode p) {
    return p.at("/at/y").asDouble();
  }

  private String newSpace(String project, String form, String name) {
    sheet = Sheet.atStart();
    Locator in =
        sheet.page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName("New room or stage…"));
    click(project == null ? in.first() : in.last());
    press(form);
    fill("Name", name);
    return name;
  }

  @Test
  void aFlatOfABedroomAndALivingRoomIsHandedOver() {
    bedroom();
    String bedroom = room;
    sheet.close();
    livingRoom();
    handOver();
    String project = pied.space(room).get("project").asText();
    assertThat(pied.space(bedroom).get("project").asText()).isEqualTo(project);
    System.out.println("flat: " + actions + " actions");
    assertThat(actions).isLessThanOrEqualTo(120);
  }

  private void bedroom() {
    newSpace(null, "L", "Bedroom");
    fill("Across", "5");
    fill("Deep", "4.2");
    fill("Cut out, across", "2");
    fill("Cut out, deep", "1.6");
    press("Build");
    room = opened();
    build("d", 1.6, 4.3, "Door in wall E");
    build("w", 2.4, -0.1, "Window in wall A");
    say("a double bed against wall A, 1.6 from wall F");
    say("a bedside table against wall A, 1.08 from wall F");
    say("twin about the middle of the double bed");
    say("a table lamp on Bedside table");
    say("a wardrobe against wall B, 0.4 from wall A");
    say("a writing desk against wall F, 1.4 from wall A");
    say("an office chair at 0.98, 2, turned 270");
    say("a rug at 2.4, 2.5");
    say("a pendant lamp at 2.43, 1.6");
    say("underside at 1.9");
    assertThat(y(called("Pendant lamp"))).isCloseTo(1.9, EXACT);
    assertThat(called("Pendant lamp").at("/on/kind").asText()).isEqualTo("ceiling");
    JsonNode left = called("Bedside table");
    JsonNode right = called("Bedside table 2");
    double middle = x(called("Double bed"));
    assertThat(x(left) + x(right)).isCloseTo(2 * middle, EXACT);
    assertThat(called("Table lamp 2").at("/on/id").asText()).isEqualTo(right.get("id").asText());
    assertThat(pied.space(room).get("pieces")).hasSize(10);
    assertThat(snags()).isEmpty();
  }

  private void livingRoom() {
    newSpace(null, "Rectangle", "Living room");
    fill("Across", "6.4");
    fill("Deep", "4.8");
    press("Build");
    room = opened();
    build("d", -0.1, 4.1, "Door in wall D");
    build("w", 1.6, -0.1, "Window in wall A");
    build("w", 4.8, -0.1, "Window in wall A");
    becomes(() -> pied.space(room).at("/shell/openings").size() == 3);
    say("a sofa against wall D, 1.1 from wall A");
    say("a low table at 1.7, 2.15, turned 90");
    say("an armchair at 2.7, 1.4, turned 270");
    say("twin about the middle of the low table");
    say("a rug at 1.75, 2.15");
    say("a sideboard against wall B, 0.8 from wall A");
    say("an oval table at 4.7, 3.3");
    say("ring of six dining chairs around the oval table, 0.1 off, facing in");
    say("a vase of flowers on the oval table");
    say("a pendant lamp at 4.7, 3.3");
    say("underside at 1.55");
    say("exchange the armchairs for a wing chair");
    JsonNode table = called("Oval dining table");
    assertThat(x(called("Pendant lamp"))).isCloseTo(x(table), EXACT);
    assertThat(y(called("Pendant lamp"))).isCloseTo(1.55, EXACT);
    assertThat(all("dining-chair")).hasSize(6);
    assertThat(all("wing-chair")).hasSize(2);
    JsonNode low = called("Low table");
    assertThat(z(all("wing-chair").get(0)) + z(all("wing-chair").get(1)))
        .isCloseTo(2 * z(low), EXACT);
    assertThat(snags()).isEmpty();
  }

  /** The schedule of all spaces, and the plans of both rooms on one sheet. */
  private void handOver() {
    key("Shift+J");
    sheet.page.getByText("The schedule of all spaces").click();
    Locator preview = sheet.page.locator("[data-testid=handover-preview][data-ready]");
    assertThat(preview).containsText("Bedroom");
    Download csv = sheet.page.waitForDownload(() -> sheet.button("Save the file"));
    assertThat(csv.suggestedFilename()).endsWith(" schedule.csv");
    sheet.page.getByText("The plans, side by side").click();
    Download pdf = sheet.page.waitForDownload(() -> sheet.button("Save the file"));
    assertThat(pdf.suggestedFilename()).endsWith(" plans.pdf");
    actions += 4;
  }

  @Test
  void aStageWithPlatformsFlatsLanternsATrussAndAMirroredHalf() {
    newSpace("stage", "Stage", "Chart room");
    press("Build");
    room = opened();
    JsonNode shell = pied.space(room).get("shell");
    double high = shell.get("height").asDouble();
    build("l", -3, -5, "Platform 1");
    field("Width", "2.4");
    field("Depth", "1.6");
    field("Height", "0.6");
    press("Steps up to it");
    assertThat(sheet.caption()).containsText("Steps 1");
    say("2 flats in a row at -4.2, -6.4, touching");
    say("a round café table at -3, -5.2");
    say("a stool at -2.4, -5.2");
    say("a masking drape at -4.6, -2, 1.50 wide");
    press("Let its hem reach the floor");
    key("Escape");
    band(-5.9, -7.5, -0.4, -1.2);
    assertThat(sheet.caption()).containsText("2 parts of the shell and 5 pieces");
    say("twin about the centre line");
    key("Escape");
    build("b", 0, -3, "Bar 1");
    field("Trim: height of the middle of the tube", "4.6");
    field("Length", "8");
    say("six profile spots along bar 1");
    say("a truss at 0, -0.8, 8 wide");
    say("underside at 4.2");
    say("4 wash lights along the truss");
    JsonNode now = pied.space(room).get("shell");
    assertThat(now.get("platforms")).hasSize(2);
    assertThat(now.get("flights")).hasSize(2);
    JsonNode table = called("Round café table");
    JsonNode other = called("Round café table 2");
    assertThat(x(table) + x(other)).isCloseTo(0, EXACT);
    assertThat(y(other)).as("it stands on the twin of its platform").isCloseTo(0.6, EXACT);
    assertThat(other.at("/on/id").asText()).isEqualTo("platform 2");
    JsonNode drape = called("Masking drape");
    assertThat(y(drape)).isCloseTo(0, EXACT);
    assertThat(drape.at("/size/height").asDouble()).isCloseTo(high, EXACT);
    assertThat(all("profile-spot"))
        .hasSize(6)
        .allMatch(p -> p.at("/on/kind").asText().equals("bar"));
    assertThat(y(called("Truss"))).isCloseTo(4.2, EXACT);
    assertThat(all("wash-light")).hasSize(4);
    assertThat(snags()).isEmpty();
    key("Shift+J");
    sheet.page.getByText("The plan", new Page.GetByTextOptions().setExact(true)).click();
    Download pdf = sheet.page.waitForDownload(() -> sheet.button("Save the file"));
    assertThat(pdf.suggestedFilename()).isEqualTo("Chart room plan.pdf");
    actions += 2;
    System.out.println("stage: " + actions + " actions");
    assertThat(actions).isLessThanOrEqualTo(130);
  }
}
