package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Route;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

/**
 * The line is cut after the server has done it and before the answer comes; one presses Enter
 * again. It is done once, whichever way it was said.
 */
class CutOffTest extends OnTheSheet {
  private static final String EDITS = "**/edits";

  /** Edits arrive and are done, but so many answers do not come back. */
  private AtomicInteger answersLost(int many) {
    AtomicInteger met = new AtomicInteger();
    AtomicInteger lost = new AtomicInteger();
    sheet.page.route(
        EDITS,
        route -> {
          // one that is sent again while the first is on its way goes through
          if (met.getAndIncrement() < many) {
            APIResponse done = route.fetch();
            assertThat(done.status()).isEqualTo(200);
            lost.incrementAndGet();
            route.abort();
          } else {
            route.fallback(new Route.FallbackOptions());
          }
        });
    return lost;
  }

  private void open(String name) {
    room = pied.newRoom(name);
    pied.place(room, "s", "stool", 1, 2);
    sheet = Sheet.planOf(room);
    sheet.schedule("Stool");
  }

  private int count() {
    return pied.space(room).get("pieces").size();
  }

  private void enterTwice() {
    AtomicInteger lost = answersLost(1);
    sheet.page.keyboard().press("Enter");
    sheet.page.keyboard().press("Enter");
    sheet.page.waitForCondition(() -> lost.get() == 1);
    sheet.page.keyboard().press("Enter");
    sheet.saved();
    assertThat(sheet.page.getByTestId("proposal")).not().isVisible();
  }

  @Test
  void aSentence() {
    open("Cut off a sentence");
    sheet.page.keyboard().press(";");
    sheet.page.keyboard().type("3 in a row, 0.2 apart");
    assertThat(sheet.page.locator("[data-testid=proposal][data-ready]")).isVisible();
    enterTwice();
    assertThat(count()).isEqualTo(3);
  }

  @Test
  void whatAVerbProposes() {
    open("Cut off a verb");
    sheet.page.keyboard().press("r");
    assertThat(sheet.page.locator("[data-testid=proposal][data-ready]")).isVisible();
    sheet.page.locator("[data-testid=proposal]").getByText("Do it").focus();
    enterTwice();
    assertThat(pied.json("/api/spaces/" + room + "/history").get("deeds")).hasSize(2);
  }

  @Test
  void aVerbThatIsDoneAtOnce() {
    open("Cut off at once");
    sheet.reads("Turn, degrees", "0°");
    AtomicInteger lost = answersLost(1);
    sheet.page.keyboard().press("t");
    sheet.page.waitForCondition(() -> lost.get() == 1);
    sheet.saved();
    assertThat(piece("s").get("turn").asDouble()).isEqualTo(45);
    assertThat(pied.json("/api/spaces/" + room + "/history").get("deeds")).hasSize(2);
  }

  @Test
  void whatIsCutInOneSpaceAndPastedInAnother() {
    open("Cut here");
    String here = room;
    sheet.page.keyboard().press("Control+x");
    assertThat(sheet.page.getByTestId("notice")).containsText("held ready");
    room = pied.newRoom("Paste there");
    sheet.page.navigate(sheet.page.url().replace(here, room));
    sheet.page.waitForSelector("[data-testid=plan] svg");
    assertThat(sheet.page.getByTestId("saved")).hasText("Saved");
    AtomicInteger lost = answersLost(1);
    sheet.page.keyboard().press("Control+v");
    sheet.page.waitForCondition(() -> lost.get() == 1);
    sheet.saved();
    assertThat(count()).isEqualTo(1);
    assertThat(pied.space(here).get("pieces")).isEmpty();
    sheet.page.keyboard().press("Control+z");
    sheet.page.waitForCondition(() -> count() == 0);
    assertThat(pied.space(here).get("pieces")).hasSize(1);
  }
}
