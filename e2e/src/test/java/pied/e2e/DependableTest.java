package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/** What is typed and chosen does what it says, and stays. */
class DependableTest extends OnTheSheet {
  private static final Offset<Double> EXACT = within(1e-7);

  private void open(String name) {
    room = pied.newRoom(name);
    pied.place(room, "s", "stool", 2, 2);
    sheet = Sheet.planOf(room);
    sheet.page.waitForSelector("[data-testid=plan] [data-piece=s] path");
  }

  private Locator carried(String slot) {
    return sheet.page.getByTestId("carry").locator("[data-slot=" + slot + "]");
  }

  private void keep(String direction) {
    sheet.page.getByTestId("verbs").locator("[data-verb=Kept]").click();
    sheet
        .page
        .getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(direction).setExact(true))
        .click();
    assertThat(sheet.page.locator(".MuiModal-root")).hasCount(0);
  }

  private double at(String way) {
    return piece("s").at("/at/" + way).asDouble();
  }

  @Test
  void aDistanceWithADirectionKeptNeedsNoMoveAndUpAndDownWorksFromThePlan() {
    open("Kept");
    click(2, 2);
    sheet.page.keyboard().press("Space");
    keep("across");
    sheet.page.keyboard().type("0.5");
    sheet.page.keyboard().press("Enter");
    sheet.page.waitForCondition(() -> at("x") > 2.4);
    assertThat(at("x")).isCloseTo(2.5, EXACT);
    sheet.page.keyboard().press("Space");
    keep("up and down");
    sheet.page.keyboard().type("0.4");
    sheet.page.keyboard().press("Enter");
    sheet.page.waitForCondition(() -> at("y") > 0);
    assertThat(at("y")).isCloseTo(0.4, EXACT);
    assertThat(at("x")).isCloseTo(2.5, EXACT);
  }

  @Test
  void aSecondNumberReplacesTheFirst() {
    open("Again");
    click(2, 2);
    sheet.page.keyboard().press("Space");
    keep("across");
    sheet.page.keyboard().type("0.85");
    assertThat(carried("moved")).hasText("0.85");
    sheet.page.waitForTimeout(1_700); // as one who looks at it, and thinks better of it
    sheet.page.keyboard().type("1.10");
    assertThat(carried("moved")).hasText("1.10");
    sheet.page.keyboard().press("Enter");
    sheet.page.waitForCondition(() -> at("x") > 2.5);
    assertThat(at("x")).isCloseTo(3.1, EXACT);
  }

  @Test
  void everySentenceIsInTheUnitChosenRefusalsToo() {
    open("Units");
    sheet.page.getByRole(AriaRole.COMBOBOX).filter(withText("metres")).click();
    sheet
        .page
        .getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("centimetres"))
        .click();
    assertThat(sheet.page.locator(".MuiModal-root")).hasCount(0);
    click(2, 2);
    sheet.reads("Height", "46.0");
    // what can be typed is said as one begins to
    sheet.caption().getByLabel("Height: 46.0").click();
    assertThat(sheet.page.getByTestId("hint"))
        .containsText("30.0 to 80.0 cm; all three at once: 36.0 x");
    sheet.page.keyboard().type("900");
    sheet.page.keyboard().press("Enter");
    assertThat(sheet.page.getByTestId("notice")).containsText("30.0 to 80.0 cm high, not 900.0");
  }

  private static Locator.FilterOptions withText(String text) {
    return new Locator.FilterOptions().setHasText(text);
  }

  @Test
  void aNewSearchLooksEverywhere() {
    open("Search");
    sheet.page.getByLabel("Kind: all").click();
    sheet.page.getByRole(AriaRole.TREE).getByText("wardrobes").click();
    assertThat(sheet.page.locator("[data-article=stool]")).hasCount(0);
    sheet.page.getByLabel("Search the catalog").fill("milking stool");
    assertThat(sheet.page.locator("[data-article=stool]")).isVisible();
  }

  @Test
  void aSpaceIsRenamedCopiedRemovedAndBroughtBack() {
    open("Larder");
    sheet.close();
    sheet = Sheet.atStart();
    Page page = sheet.page;
    assertThat(page.getByRole(AriaRole.LINK, named("Larder"))).isVisible();
    whole("Larder", "Rename");
    page.getByLabel("Name of the space").fill("Pantry");
    page.keyboard().press("Enter");
    assertThat(page.getByRole(AriaRole.LINK, named("Pantry"))).isVisible();
    whole("Pantry", "Copy");
    assertThat(page.getByRole(AriaRole.LINK, named("Pantry 2"))).isVisible();
    whole("Pantry 2", "Remove");
    assertThat(page.getByRole(AriaRole.LINK, named("Pantry 2"))).hasCount(0);
    page.getByText("Bring it back").click();
    page.getByRole(AriaRole.LINK, named("Pantry 2")).click();
    assertThat(sheet.caption()).containsText("Pantry 2 — ");
    assertThat(page.locator("[data-testid=plan] [data-piece=s] path").first()).isVisible();
  }

  private void whole(String name, String verb) {
    sheet.page.getByLabel("What can be done with " + name, exactly()).click();
    sheet.page.getByRole(AriaRole.MENUITEM, named(verb)).click();
    assertThat(sheet.page.locator(".MuiMenu-root")).hasCount(0);
  }

  private static Page.GetByLabelOptions exactly() {
    return new Page.GetByLabelOptions().setExact(true);
  }

  private static Page.GetByRoleOptions named(String name) {
    return new Page.GetByRoleOptions().setName(name).setExact(true);
  }
}
