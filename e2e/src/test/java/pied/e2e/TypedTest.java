package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/** What is typed stays, at any speed and however one leaves it; and each press does one thing. */
class TypedTest extends OnTheSheet {
  private static final Offset<Double> EXACT = within(1e-7);

  private void open(String name) {
    room = pied.newRoom(name);
    pied.place(room, "s", "sideboard", 2, 2);
    pied.place(room, "c", "crate", 4, 3);
    sheet = Sheet.planOf(room);
    sheet.page.waitForSelector("[data-testid=plan] [data-piece=s] path");
  }

  private double at(String id, String what) {
    return piece(id).at(what).asDouble();
  }

  private void until(String id, String what, double value) {
    sheet.page.waitForCondition(() -> Math.abs(at(id, what) - value) < 1e-6);
  }

  private Locator field(String label) {
    return sheet.caption().locator("[aria-label^='" + label + ": ']");
  }

  @Test
  void aNumberThatIsLeftIsDoneAndTheNextTakesTheDigits() {
    open("Left");
    click(4, 3);
    field("Height of the underside above the floor").click();
    sheet.page.keyboard().type("0.8");
    sheet.page.keyboard().press("Tab");
    until("c", "/at/y", 0.8);
    assertThat(sheet.caption()).containsText("held at 0.80");
    // the number that has the focus takes digits; none becomes a verb
    field("Height of the underside above the floor").focus();
    sheet.page.keyboard().type("0.65");
    assertThat(sheet.caption().getByRole(AriaRole.TEXTBOX)).hasValue("0.65");
    sheet.page.keyboard().press("Enter");
    until("c", "/at/y", 0.65);
    // left by a click on the drawing
    field("Width").click();
    sheet.page.keyboard().type("0.7");
    click(5.5, 0.7);
    until("c", "/size/width", 0.7);
    // Esc alone gives up
    click(4, 3);
    field("Width").click();
    sheet.page.keyboard().type("0.9");
    sheet.page.keyboard().press("Escape");
    assertThat(field("Width")).hasText("0.70");
    sheet.saved();
    assertThat(at("c", "/size/width")).isCloseTo(0.7, EXACT);
    sheet.caption().getByText("let it down").click();
    until("c", "/at/y", 0);
  }

  @Test
  void aNumberOnADrawingStaysWhileTheDrawingShowsWhatWouldBe() {
    open("Chain");
    Locator near = sheet.page.locator("[data-testid=plan] [data-label^='Length of wall A']");
    Locator far = sheet.page.locator("[data-testid=plan] [data-label^='Length of wall C']");
    Locator typed = near.getByRole(AriaRole.TEXTBOX);
    near.getByRole(AriaRole.BUTTON).click();
    sheet.page.keyboard().type("7");
    assertThat(far).hasText("7.00");
    assertThat(typed).hasValue("7");
    sheet.page.keyboard().type(".5");
    assertThat(far).hasText("7.50");
    assertThat(typed).hasValue("7.5");
    sheet.page.keyboard().press("Enter");
    sheet.page.waitForCondition(() -> Math.abs(across() - 7.5) < 1e-7);
    assertThat(near).hasText("7.50");
    // given up: as it was
    near.getByRole(AriaRole.BUTTON).click();
    sheet.page.keyboard().type("9");
    assertThat(far).hasText("9.00");
    sheet.page.keyboard().press("Escape");
    assertThat(far).hasText("7.50");
    // and left
    near.getByRole(AriaRole.BUTTON).click();
    sheet.page.keyboard().type("8");
    assertThat(far).hasText("8.00");
    sheet.page.keyboard().press("Tab");
    sheet.page.waitForCondition(() -> Math.abs(across() - 8) < 1e-7);
  }

  /** How wide the room is. */
  private double across() {
    return pied.space(room).at("/shell/outline").findValues("x").stream()
        .mapToDouble(JsonNode::asDouble)
        .max()
        .orElseThrow();
  }

  @Test
  void noDigitIsLostHoweverFastOneTypes() {
    open("Fast");
    for (double wide : new double[] {1.62, 1.35, 1.48}) {
      click(5.5, 0.7);
      click(2, 2);
      sheet.page.keyboard().type(String.valueOf(wide));
      sheet.page.keyboard().press("Enter");
      until("s", "/size/width", wide);
    }
    // a factor typed at the sheet is of the whole
    click(5.5, 0.7);
    click(4, 3);
    double high = at("c", "/size/height");
    double wide = at("c", "/size/width");
    sheet.page.keyboard().type("110%");
    sheet.page.keyboard().press("Enter");
    until("c", "/size/height", high * 1.1);
    assertThat(at("c", "/size/width")).isCloseTo(wide * 1.1, EXACT);
  }

  @Test
  void pickedUpByAKeyItStaysWhereOneHoldsItAndASecondNumberIsSeenToReplaceTheFirst() {
    open("Held");
    click(2, 2);
    double[] corner = sheet.onPlan(1.3, 2.1);
    sheet.page.mouse().move(corner[0], corner[1]);
    sheet.page.keyboard().press("Space");
    sheet.page.mouse().move(corner[0] + 2, corner[1]);
    Locator moved = sheet.page.getByTestId("carry").locator("[data-slot=moved]");
    assertThat(moved).isVisible();
    sheet.page.mouse().click(corner[0] + 2, corner[1]);
    sheet.saved();
    assertThat(at("s", "/at/x")).isBetween(2.0, 2.12);
    assertThat(at("s", "/at/z")).isCloseTo(2, within(0.03));

    sheet.page.keyboard().press("Space");
    sheet.page.mouse().move(corner[0] + 40, corner[1]);
    sheet.page.keyboard().type("0.85");
    assertThat(moved).hasText("0.85");
    assertThat(sheet.page.locator("[data-slot=moved][data-anew]")).hasText("0.85");
    sheet.page.keyboard().type("1.1");
    assertThat(moved).hasText("1.1");
    sheet.page.keyboard().press("Escape");
    sheet.page.keyboard().press("Escape");
  }

  @Test
  void escGivesUpAProposalAtOnceAndAClickIsForOneOfSeveral() {
    open("Given up");
    click(4, 3);
    sheet.page.keyboard().press("r");
    assertThat(sheet.page.getByTestId("proposal")).hasAttribute("data-ready", "true");
    sheet.page.keyboard().press("Escape");
    assertThat(sheet.page.getByTestId("proposal")).hasCount(0);
    double x = at("c", "/at/x");

    sheet.page.keyboard().press("Control+a");
    assertThat(sheet.caption()).containsText("2 pieces");
    click(2, 2);
    assertThat(sheet.caption()).containsText("Oak sideboard");
    assertThat(sheet.page.getByTestId("carry")).hasCount(0);
    assertThat(at("c", "/at/x")).isEqualTo(x);
  }

  @Test
  void whileItIsTurnedArrowsTurnAndTheTabTakesEveryPress() {
    open("Turned");
    click(4, 3);
    sheet.page.keyboard().press("y");
    Locator tab = sheet.page.getByTestId("dial-front");
    assertThat(tab).isVisible();
    Object covered =
        tab.evaluate(
            "e => { const b = e.getBoundingClientRect(); let n = 0;"
                + " for (let i = 1; i < 8; i++) for (let j = 1; j < 4; j++) {"
                + " const t = document.elementFromPoint(b.left + b.width * i / 8, b.top + b.height * j / 4);"
                + " if (t !== e) n++; } return n; }");
    assertThat(covered).as("points of the tab that something else would take").isEqualTo(0);
    sheet.page.keyboard().press("ArrowLeft");
    until("c", "/turn", 15);
    sheet.page.keyboard().press("ArrowRight");
    sheet.page.keyboard().press("ArrowRight");
    until("c", "/turn", 345);
    assertThat(at("c", "/at/x")).isCloseTo(4, EXACT);
  }

  @Test
  void whoeverLooksForAWordFindsIt() {
    open("Words");
    click(4, 3);
    for (String[] w :
        new String[][] {
          {"distribute", "Space out"}, {"rotate", "Turn"}, {"flip", "Mirror"}, {"delete", "Remove"}
        }) {
      sheet.page.keyboard().press(".");
      sheet.page.keyboard().type(w[0]);
      assertThat(sheet.page.locator("[role=option][data-verb='" + w[1] + "']")).isVisible();
      assertThat(sheet.page.locator("[data-verb='Say it']")).hasCount(0);
      sheet.page.getByLabel("Search the catalog").fill("");
      sheet.page.getByLabel("Search the catalog").blur();
    }
    sheet.page.keyboard().press(".");
    sheet.page.keyboard().type("render");
    assertThat(sheet.page.getByTestId("not-yet")).containsText("not there yet");
    sheet.page.getByLabel("Search the catalog").fill("!redo");
    assertThat(sheet.page.locator("[role=option][data-verb=Redo]"))
        .containsText("Not now: nothing was undone.");
  }

  @Test
  void whoWorksInARemovedSpaceIsToldAndBringsItBack() {
    open("Removed");
    pied.post("/api/spaces/" + room + "/remove", "{}");
    assertThat(sheet.page.getByTestId("removed")).containsText("was removed");
    click(4, 3);
    sheet.page.keyboard().press("s");
    assertThat(sheet.page.getByTestId("notice")).containsText("until it is brought back");
    sheet
        .page
        .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Bring it back"))
        .click();
    assertThat(sheet.page.getByTestId("removed")).hasCount(0);
    sheet.type("Width", "0.8");
    until("c", "/size/width", 0.8);
  }

  @Test
  void whatIsLockedIsNotToldToBeMovedAndWhatIsUnderstoodIsNotInTheColourOfRefusals() {
    open("Locked");
    click(4, 3);
    assertThat(sheet.page.getByTestId("also-here")).containsText("To move it, click once more");
    pied.edit(room, "{'do':'lock','pieces':['c'],'locked':true}");
    assertThat(sheet.page.getByTestId("also-here")).not().containsText("To move it");
    click(2, 2);
    sheet.page.keyboard().press(";");
    sheet.page.keyboard().type("turn 30");
    Locator understood = sheet.page.getByTestId("proposed");
    assertThat(understood).containsText("30");
    String colour = "e => getComputedStyle(e).color";
    Object good = understood.evaluate(colour);
    sheet.page.keyboard().type(" gibberish");
    Locator wrong = sheet.page.locator("[data-testid=proposal] [role=alert]");
    assertThat(wrong).isVisible();
    assertThat(wrong.evaluate(colour)).isNotEqualTo(good);
  }
}
