package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pied.e2e.Sheet.Studio;

/** What the sheet says while something is not saved, and what becomes of it. */
class NotSavedTest {
  private static final String EDITS = "**/edits";
  private static final String WORDS = "The disk is full, so nothing can be saved.";

  private final PiedProcess pied = Studio.PIED;
  private String room;
  private Sheet sheet;

  @BeforeEach
  void open() {
    room = pied.newRoom("Not saved");
    pied.post(
        "/api/spaces/" + room + "/edits",
        "{\"edits\":[{\"do\":\"place\",\"piece\":\"s\",\"article\":\"stool\",\"at\":{\"x\":2,\"z\":2}}]}");
    sheet = Sheet.planOf(room);
    sheet.schedule("Stool");
    sheet.reads("Turn, degrees", "0°");
  }

  @AfterEach
  void close() {
    sheet.close();
  }

  private static void full(Route route) {
    route.fulfill(
        new Route.FulfillOptions()
            .setStatus(507)
            .setContentType("application/problem+json")
            .setBody("{\"status\":507,\"title\":\"Not saved\",\"detail\":\"" + WORDS + "\"}"));
  }

  private double turn() {
    return pied.piece(room, "stool").get("turn").asDouble();
  }

  @Test
  void onAFullDiskItSaysSoKeepsWhatWasTypedAndGoesOutByItself() {
    long before = pied.space(room).get("revision").asLong();
    sheet.page.route(EDITS, NotSavedTest::full);
    sheet.type("Turn, degrees", "45");
    assertThat(sheet.page.getByTestId("saved")).hasText("Not saved");
    assertThat(sheet.page.getByTestId("trouble")).containsText(WORDS);
    if (Boolean.getBoolean("pied.look")) {
      sheet.page.waitForTimeout(800);
      sheet.page.screenshot(new Page.ScreenshotOptions().setPath(Path.of("target/not-saved.png")));
    }
    // nothing more is taken, and what is typed stays typed
    sheet.page.keyboard().press("Escape");
    sheet.page.keyboard().press("Delete");
    assertThat(sheet.page.getByTestId("notice")).containsText("cannot be saved yet");
    assertThat(sheet.page.getByTestId("saved")).hasText("Not saved");
    // the page loaded anew has not forgotten it either
    sheet.page.onDialog(d -> d.accept());
    sheet.page.reload();
    assertThat(sheet.page.getByTestId("saved")).hasText("Not saved");
    assertThat(turn()).isZero();

    sheet.page.unroute(EDITS);
    assertThat(sheet.page.getByTestId("saved")).hasText("Saved");
    assertThat(sheet.page.getByTestId("trouble")).isHidden();
    assertThat(turn()).isEqualTo(45);
    assertThat(pied.space(room).get("revision").asLong()).isEqualTo(before + 1);
  }

  @Test
  void savedIsNotSaidWhileASecondEditIsUnderWayAndTheyGoOutInOrder() {
    List<Route> held = new CopyOnWriteArrayList<>();
    sheet.page.route(EDITS, held::add);
    sheet.page.keyboard().press("t");
    sheet.page.keyboard().press("t");
    sheet.page.waitForCondition(() -> held.size() == 1);
    held.get(0).resume();
    sheet.page.waitForCondition(() -> held.size() == 2);
    assertThat(turn()).isEqualTo(45);
    assertThat(sheet.page.getByTestId("saved")).hasText("Saving…");
    held.get(1).resume();
    sheet.saved();
    assertThat(turn()).isEqualTo(90);
  }
}
