package pied.e2e;

import com.microsoft.playwright.Page;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

class ScratchTest extends Counting {
  void shot(String n) {
    sheet.page.waitForTimeout(900);
    sheet.page.screenshot(new Page.ScreenshotOptions().setPath(Path.of("/tmp/s-" + n + ".png")));
  }

  @Test
  void look() {
    room = pied.newStage("Parts");
    pied.edit(room, "{'do':'platform','at':{'x':-3,'z':-4},'width':2,'depth':1.6,'height':0.6}");
    pied.edit(room, "{'do':'flight','platform':'platform 1'}");
    pied.edit(room, "{'do':'opening','kind':'door','wall':'B'}");
    pied.place(room, "t", "cafe-table", -3, -4);
    sheet = new Sheet(room, "plan", "set");
    band(-4.3, -5, -1.7, -2);
    shot("1");
    key("Shift+M");
    proposed();
    shot("2");
    enter();
    sheet.page.waitForTimeout(800);
    shot("3");
    key("Escape");
    clickPlan(-3.7, -4.6);
    shot("4");
    key("Shift+L");
    sheet.page.waitForTimeout(600);
    key("t");
    shot("5");
    sheet
        .page
        .getByRole(
            com.microsoft.playwright.options.AriaRole.TAB,
            new Page.GetByRoleOptions().setName("Schedule"))
        .click();
    shot("6");
    key("Shift+W");
    shot("7");
  }
}
