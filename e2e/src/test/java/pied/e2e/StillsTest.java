package pied.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.util.function.Predicate;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** Finished pictures, by hand, in no more actions than these. */
class StillsTest extends Counting {
  private static final long LONG = 60_000_000_000L;

  private void room() {
    room = pied.newRoom("Stills");
    pied.place(room, "l", "globe-pendant", 3, 2);
    pied.place(room, "t", "cafe-table", 3, 2);
    pied.edit(
        room, "{'do':'keepViewpoint','name':'The door','stand':{'x':1,'z':3},'to':{'x':4,'z':1}}");
    pied.edit(
        room, "{'do':'keepViewpoint','name':'The end','stand':{'x':5,'z':3},'to':{'x':2,'z':1}}");
    sheet = new Sheet(room, "set");
    sheet.page.evaluate(
        "localStorage.setItem('pied.still', '{\"size\":\"96 × 64\",\"grade\":\"draft\"}')");
    sheet.page.reload();
    sheet.page.waitForSelector("[data-testid=set] canvas[data-view]");
  }

  private Locator button(String name) {
    return sheet.page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  private BufferedImage saved(Locator by) throws IOException {
    Download d = sheet.page.waitForDownload(() -> click(by));
    return ImageIO.read(d.path().toFile());
  }

  @Test
  void oneFromAKeptViewpointIsAskedForWatchedAndSaved() throws IOException {
    room();
    actions = 0;
    click(
        sheet
            .page
            .getByTestId("set")
            .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("look from")));
    choose("The door");
    click(button("still…"));
    click(button("Make it"));
    sheet.page.waitForSelector("[data-testid=still-seen]");
    sheet.page.waitForSelector("[data-testid=still-state][data-state=made]");
    BufferedImage image = saved(button("Save PNG"));
    assertThat(actions).as("with looking from it, which is two").isLessThanOrEqualTo(5);
    assertThat(image.getWidth()).isEqualTo(96);
    assertThat(image.getHeight()).isEqualTo(64);

    pied.place(room, "c", "stool", 4, 3);
    sheet.page.waitForSelector("[data-testid=still-state]:has-text('out of date')");
    button("Make it anew").click();
    sheet.page.waitForSelector("[data-testid=still-state]:has-text('made in')");
    assertThat(stills(pied).size()).isEqualTo(2);
  }

  @Test
  void allViewpointsAreThreeActions() throws IOException {
    room();
    actions = 0;
    click(button("still…"));
    click(button("Of all 2 viewpoints"));
    Locator all = button("Save all 2");
    all.waitFor();
    Download zip = sheet.page.waitForDownload(() -> click(all));
    assertThat(actions).isEqualTo(3);
    int n = 0;
    try (ZipInputStream in = new ZipInputStream(Files.newInputStream(zip.path()))) {
      while (in.getNextEntry() != null) {
        n++;
      }
    }
    assertThat(n).isEqualTo(2);
  }

  private JsonNode stills(PiedProcess of) {
    return of.json("/api/spaces/" + room + "/stills");
  }

  private JsonNode until(PiedProcess of, Predicate<JsonNode> is) throws InterruptedException {
    long end = System.nanoTime() + LONG;
    JsonNode one = stills(of).get(0);
    while (!is.test(one)) {
      assertThat(System.nanoTime()).as("%s", one).isLessThan(end);
      Thread.sleep(50);
      one = stills(of).get(0);
    }
    return one;
  }

  @Test
  void killedInTheMiddleItGoesOn() throws Exception {
    try (PiedProcess own = new PiedProcess("--pied.stills.kept-every=0")) {
      room = own.newRoom("Killed");
      own.place(room, "l", "globe-pendant", 3, 2);
      own.post(
          "/api/spaces/" + room + "/stills",
          "{\"viewpoint\":\"Corner A–B\",\"size\":\"480 x 320\",\"grade\":\"good\"}");
      JsonNode before = until(own, s -> s.get("share").asDouble() > 0.4);
      assertThat(before.get("state").asText()).isEqualTo("working");
      own.kill();
      own.start();
      JsonNode after = until(own, s -> s.get("share").asDouble() > 0);
      assertThat(after.get("share").asDouble()).as("of what was kept").isGreaterThan(0.2);
      JsonNode made = until(own, s -> s.get("state").asText().equals("made"));
      assertThat(made.get("seconds").asDouble()).isGreaterThan(before.get("seconds").asDouble());
    }
  }
}
