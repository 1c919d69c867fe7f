package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.MouseButton;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/**
 * Everything one can do is seen, and does what it says: by the pointer, the menu, keys, the search.
 */
class VerbsTest extends OnTheSheet {

  private void open(String name) {
    room = pied.newRoom(name);
    sheet = Sheet.planOf(room);
    put("a", "stool", 2, 2);
    put("b", "stool", 4, 1);
    sheet.page.waitForSelector("[data-testid=plan] [data-piece=b] path");
  }

  private void put(String id, String article, double x, double z) {
    pied.place(room, id, article, x, z);
  }

  private int count() {
    return pied.space(room).get("pieces").size();
  }

  private double x(String id) {
    return piece(id).at("/at/x").asDouble();
  }

  private Locator verb(String word) {
    return sheet.page.getByTestId("verbs").locator("[data-verb='" + word + "']");
  }

  private void choose(String words) {
    sheet
        .page
        .getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(words).setExact(true))
        .click();
    // until it is gone it covers the drawings
    assertThat(sheet.page.locator(".MuiModal-root")).hasCount(0);
  }

  @Test
  void byThePointerAloneWithWhatIsSeenUnderTheCaption() {
    open("Verbs by pointer");
    assertThat(verb("Pick up")).not().isVisible();
    click(2, 2);
    verb("Eighth turn").click();
    sheet.page.waitForCondition(() -> piece("a").get("turn").asDouble() == 45);
    verb("Pick up").click();
    assertThat(verb("Kept")).containsText("free");
    verb("Kept").click();
    choose("across");
    assertThat(verb("Kept")).containsText("across");
    assertThat(sheet.page.getByTestId("carry")).containsText("kept across");
    double[] to = sheet.onPlan(3, 3.2);
    sheet.page.mouse().move(to[0], to[1]);
    assertThat(sheet.page.getByTestId("carry")).containsText("moved 1.0");
    verb("Put down").click();
    sheet.page.waitForCondition(() -> x("a") > 2.9);
    assertThat(x("a")).isCloseTo(3, within(0.02));
    assertThat(piece("a").at("/at/z").asDouble()).isEqualTo(2);
  }

  @Test
  void byTheMenuWhereOnePointsAndUndoSelectsWhatComesBack() {
    open("Verbs by menu");
    double[] p = sheet.onPlan(4, 1);
    sheet.page.mouse().click(p[0], p[1], new Mouse.ClickOptions().setButton(MouseButton.RIGHT));
    Locator menu = sheet.page.getByRole(AriaRole.MENU);
    assertThat(menu).isVisible();
    assertThat(sheet.caption()).containsText("Stool 2 — ");
    menu.locator("[data-verb=Remove]").click();
    sheet.page.waitForCondition(() -> count() == 1);
    assertThat(sheet.page.getByTestId("notice")).containsText("Stool 2 is taken out.");
    sheet.page.keyboard().press("Control+z");
    sheet.page.waitForCondition(() -> count() == 2);
    assertThat(sheet.caption()).containsText("Stool 2 — ");
    // on the floor there is nothing to be removed
    p = sheet.onPlan(1, 3.5);
    sheet.page.mouse().click(p[0], p[1], new Mouse.ClickOptions().setButton(MouseButton.RIGHT));
    assertThat(menu).isVisible();
    assertThat(menu.locator("[data-verb='Select everything']")).isVisible();
    assertThat(menu.locator("[data-verb=Remove]")).hasCount(0);
  }

  @Test
  void byTheSearchWithoutKnowingAnyKeyButOne() {
    open("Verbs by search");
    sheet.page.keyboard().press("Control+a");
    assertThat(sheet.caption()).containsText("2 pieces, the lead");
    sheet.page.keyboard().press(".");
    sheet.page.keyboard().type("behind");
    Locator found = sheet.page.locator("[role=option][data-verb='Beside the lead']");
    assertThat(found).isVisible();
    sheet.page.keyboard().press("Enter");
    choose("behind it");
    sheet.page.waitForCondition(() -> Math.abs(x("a") - x("b")) < 1e-6);
    double gap = piece("b").at("/at/z").asDouble() - piece("a").at("/at/z").asDouble();
    assertThat(gap).as("touching, the first behind the lead").isCloseTo(0.36, within(1e-3));
  }

  @Test
  void byTheKeysThatEveryProgramShares() {
    open("Shared keys");
    click(2, 2);
    sheet.page.keyboard().press("Control+c");
    sheet.page.keyboard().press("Control+v");
    assertThat(sheet.page.getByTestId("carry")).containsText("a copy");
    double[] to = sheet.onPlan(3, 3);
    sheet.page.mouse().move(to[0], to[1]);
    assertThat(sheet.page.getByTestId("carry")).containsText("moved");
    sheet.page.mouse().click(to[0], to[1]);
    sheet.page.waitForCondition(() -> count() == 3);
    assertThat(x("a")).isEqualTo(2);
    // cut and pasted it is the same piece elsewhere
    click(4, 1);
    sheet.page.keyboard().press("Control+x");
    sheet.page.keyboard().press("Control+v");
    to = sheet.onPlan(5, 2);
    sheet.page.mouse().move(to[0], to[1]);
    assertThat(sheet.page.getByTestId("carry")).containsText("moved");
    sheet.page.mouse().click(to[0], to[1]);
    sheet.page.waitForCondition(() -> x("b") > 4.5);
    assertThat(count()).isEqualTo(3);
    sheet.page.keyboard().press("Control+d");
    sheet.page.waitForCondition(() -> count() == 4);
  }

  @Test
  void aDoubleClickLooksAtItAndNeverPicksUp() {
    open("Twice");
    double before = scale();
    double[] p = sheet.onPlan(2, 2);
    sheet.page.mouse().dblclick(p[0], p[1]);
    sheet.page.waitForCondition(() -> scale() > before * 1.2);
    assertThat(sheet.page.getByTestId("carry")).not().isVisible();
    assertThat(sheet.caption()).containsText("Stool — ");
    p = sheet.onPlan(2, 2); // selected already
    sheet.page.mouse().dblclick(p[0], p[1]);
    assertThat(sheet.page.getByTestId("carry")).not().isVisible();
    assertThat(x("a")).isEqualTo(2);
  }

  private double scale() {
    return Double.parseDouble(
        sheet.page.locator("[data-testid=plan] svg[data-scale]").getAttribute("data-scale"));
  }

  /**
   * The verbs of the menu that is open.
   *
   * @param keyless gets those without a key of their own
   */
  private Set<String> items(Set<String> keyless) {
    Locator menu = sheet.page.getByRole(AriaRole.MENU).last();
    assertThat(menu).isVisible();
    Set<String> words = new TreeSet<>();
    for (Locator item : menu.locator("[data-verb]").all()) {
      String word = item.getAttribute("data-verb");
      words.add(word);
      if (item.locator("kbd").textContent().isBlank()) {
        keyless.add(word);
      }
    }
    return words;
  }

  @Test
  void everyVerbIsThereForThePointerInTheMenuAndByItsKey() {
    open("All verbs");
    click(2, 2);
    Set<String> line = new TreeSet<>();
    Set<String> keyless = new TreeSet<>();
    for (Locator v : sheet.page.getByTestId("verbs").locator("[data-verb]").all()) {
      line.add(v.getAttribute("data-verb"));
      assertThat(v.locator("kbd").textContent()).isNotBlank();
    }
    sheet.page.getByTestId("verbs").getByText("more…").click();
    line.addAll(items(keyless));
    sheet.page.keyboard().press("Escape");
    assertThat(sheet.page.locator(".MuiModal-root")).hasCount(0);
    double[] p = sheet.onPlan(2, 2);
    Mouse.ClickOptions right = new Mouse.ClickOptions().setButton(MouseButton.RIGHT);
    sheet.page.mouse().click(p[0], p[1], right);
    Set<String> menu = items(keyless);
    List<String> headings = new ArrayList<>();
    for (Locator h : sheet.page.getByRole(AriaRole.MENU).locator("[data-heading]").all()) {
      headings.add(h.getAttribute("data-heading"));
    }
    assertThat(menu.size() + headings.size()).isLessThanOrEqualTo(15);
    for (String heading : headings) {
      sheet.page.getByRole(AriaRole.MENU).locator("[data-heading='" + heading + "']").click();
      assertThat(sheet.page.getByRole(AriaRole.MENU).locator("[data-verb='Pick up']")).hasCount(0);
      menu.addAll(items(keyless));
      sheet.page.keyboard().press("Escape");
      assertThat(sheet.page.locator(".MuiModal-root")).hasCount(0);
      sheet.page.mouse().click(p[0], p[1], right);
    }
    assertThat(menu).isEqualTo(line).hasSizeGreaterThan(20);
    sheet.page.keyboard().press("Escape");
    assertThat(sheet.page.locator(".MuiModal-root")).hasCount(0);
    // while one carries they are longer than the line: what has no room stands behind "more"
    sheet.page.keyboard().press(" ");
    assertThat(verb("Put down")).isVisible();
    Locator more = sheet.page.getByTestId("verbs").getByText("more…");
    assertThat(more).isInViewport();
    for (Locator v : sheet.page.getByTestId("verbs").locator("[data-verb]").all()) {
      assertThat(v.boundingBox().x + v.boundingBox().width).isLessThan(more.boundingBox().x + 1);
    }
    more.click();
    assertThat(sheet.page.locator("[data-verb='As a copy']").first()).isVisible();
    sheet.page.keyboard().press("Escape");
    assertThat(sheet.page.locator(".MuiModal-root")).hasCount(0);
    sheet.page.keyboard().press("Escape");
    // what has no key of its own is found from the keyboard by what it is called
    assertThat(keyless).hasSizeLessThan(18);
    for (String word : keyless) {
      sheet.page.keyboard().press(".");
      assertThat(sheet.page.getByLabel("Search the catalog")).isFocused();
      assertThat(sheet.page.getByLabel("Search the catalog")).hasValue("!");
      sheet.page.keyboard().type(word);
      assertThat(sheet.page.locator("[role=option][data-verb='" + word + "']")).isVisible();
      sheet.page.keyboard().press("Escape");
      assertThat(sheet.page.getByLabel("Search the catalog")).not().isFocused();
    }
  }

  @Test
  void theSheetOfKeysHasThemAll() {
    open("All keys");
    sheet.page.keyboard().press("?");
    Locator keys = sheet.page.getByRole(AriaRole.DIALOG);
    for (String word :
        new String[] {"Pick up", "Kept", "Take the last corner back", "Find a verb"}) {
      assertThat(keys.getByText(word, new Locator.GetByTextOptions().setExact(true))).isVisible();
    }
    sheet.page.keyboard().press("Escape");
    assertThat(keys).not().isVisible();
  }

  @Test
  void whatWasSaidCanBeReadAgainAndHowToMoveIsToldUntilItIsKnown() {
    open("Said");
    click(2, 2);
    for (int i = 0; i < 3; i++) {
      assertThat(sheet.caption()).containsText("To move it, click once more, or press Space.");
      verb("Pick up").click();
      sheet.page.keyboard().press("ArrowRight");
      assertThat(sheet.page.getByTestId("carry")).containsText("moved 0.05");
      sheet.page.keyboard().press("Enter");
      assertThat(sheet.page.getByTestId("carry")).not().isVisible();
    }
    assertThat(sheet.caption()).not().containsText("To move it");
    sheet.page.keyboard().press("Delete");
    assertThat(sheet.page.getByTestId("notice")).containsText("Stool is taken out.");
    sheet.page.getByTestId("notice").getByRole(AriaRole.BUTTON).click();
    sheet.page.getByTestId("verbs").getByText("said lately").click();
    assertThat(sheet.page.getByLabel("Said lately")).containsText("Stool is taken out.");
  }

  @Test
  void aCrateOntoABarrelInThreeActions() {
    open("Barrel");
    put("barrel", "barrel", 2.5, 3);
    put("crate", "crate", 5, 3);
    sheet.page.waitForSelector("[data-testid=plan] [data-piece=crate] path");
    click(5, 3);
    verb("Settle onto…").click();
    click(2.5, 3);
    sheet.page.waitForCondition(() -> piece("crate").at("/on/id").asText().equals("barrel"));
    assertThat(piece("crate").at("/at/y").asDouble()).isCloseTo(0.88, within(0.01));
  }

  @Test
  void theMenuInTheSetViewOpensOnAClickAndNotOnAPan() {
    room = pied.newRoom("Menu in the set view");
    put("t", "long-table", 3, 2);
    sheet = new Sheet(room, "set");
    double[] p = sheet.onSet(3, 0.74, 2);
    Locator menu = sheet.page.getByRole(AriaRole.MENU);
    sheet.page.mouse().move(p[0], p[1]);
    sheet.page.mouse().down(new Mouse.DownOptions().setButton(MouseButton.RIGHT));
    sheet.page.mouse().move(p[0] + 60, p[1] + 20);
    sheet.page.mouse().up(new Mouse.UpOptions().setButton(MouseButton.RIGHT));
    assertThat(menu).hasCount(0);
    p = sheet.onSet(3, 0.74, 2);
    sheet.page.mouse().move(p[0], p[1]);
    sheet.page.mouse().click(p[0], p[1], new Mouse.ClickOptions().setButton(MouseButton.RIGHT));
    assertThat(menu).isVisible();
    assertThat(menu.locator("[data-verb='Look at it']")).isVisible();
    assertThat(sheet.caption()).containsText("Long table — ");
  }
}
