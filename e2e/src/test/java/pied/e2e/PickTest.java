package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Mouse;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What one clicks on a drawing is what one gets. */
class PickTest extends OnTheSheet {

  private static final String SELECTED =
      "() => document.querySelector('[data-testid=plan] [data-selected]')?.dataset.piece ?? ''";

  private static final String UNDER =
      "points => points.map(([x, y]) => [...new Set(document.elementsFromPoint(x, y)"
          + ".map(e => e.getAttribute('data-footprint')).filter(id => id !== null))])";

  /** Clicks after one another in one place, each too late to be the second of a double click. */
  private void clickInPlace(double x, double z) {
    double[] p = sheet.onPlan(x, z);
    sheet.page.waitForTimeout(450);
    sheet.page.mouse().click(p[0], p[1], new Mouse.ClickOptions().setDelay(20));
  }

  @Test
  void whatHangsAndWhatIsOpenTakesClicksInItsWholeFootprintAndTheNextClickTakesTheNext() {
    room = pied.newRoom("Stacked");
    pied.place(room, "table", "long-table", 3, 2);
    pied.place(room, "chandelier", "chandelier", 3, 2);
    pied.place(room, "cup", "cup-and-saucer", 3.3, 2);
    sheet = Sheet.planOf(room);
    // where there is nothing but air between its arms
    click(2.8, 1.9);
    assertThat(sheet.caption()).containsText("Chandelier — ");
    assertThat(sheet.caption()).containsText("Here also: Long table (one more click).");
    clickInPlace(2.8, 1.9);
    assertThat(sheet.caption()).containsText("Long table — ");
    assertThat(sheet.caption()).containsText("Here also: Chandelier (one more click).");
    clickInPlace(2.8, 1.9);
    assertThat(sheet.caption()).containsText("Chandelier — ");
    assertThat(sheet.page.getByTestId("carry")).not().isVisible();
    // and selected it is picked up anywhere in its footprint
    click(3.15, 2.15);
    assertThat(sheet.page.getByTestId("carry")).containsText("Chandelier");
    sheet.page.keyboard().press("Escape");
    sheet.page.keyboard().press("Escape");
    // what stands on the table is what is meant, and the table is no farther than its name
    click(3.32, 2.02);
    assertThat(sheet.caption()).containsText("Cup and saucer — ");
    sheet.caption().getByText("Long table").last().click();
    assertThat(sheet.caption()).containsText("Long table — ");
  }

  @Test
  void everyArticleIsHitInItsBox() {
    room = pied.newRoom("Everything there is", 40, 16, 6);
    JsonNode catalog = pied.json("/api/catalog?limit=1000").get("articles");
    double x = 1;
    double z = 1.5;
    double row = 0;
    double opening = 2;
    double wall = 1;
    for (JsonNode a : catalog) {
      String id = a.get("id").asText();
      double w = a.at("/size/width").asDouble() + 0.5;
      double d = a.at("/size/depth").asDouble() + 0.5;
      switch (a.get("mounting").asText()) {
        case "opening" -> {
          pied.edit(room, "{'do':'opening','kind':'opening','at':{'x':%s,'z':16}}", opening);
          pied.place(room, id, id, opening, 16);
          opening += 3;
        }
        case "wall" -> {
          pied.place(room, id, id, wall + w / 2, 0);
          wall += w;
        }
        default -> {
          if (x + w > 39) {
            x = 1;
            z += row;
            row = 0;
          }
          pied.place(room, id, id, x + w / 2, z + d / 2);
          x += w;
          row = Math.max(row, d);
        }
      }
    }
    sheet = Sheet.planOf(room);
    sheet.page.getByLabel("Fold away catalog").click();
    sheet.onPlan(0, 0); // when it is still
    JsonNode pieces = pied.space(room).get("pieces");
    double[] origin = sheet.onPlan(0, 0);
    double scale = sheet.onPlan(1, 0)[0] - origin[0];
    // as far toward two corners as 95 % of it reach; what is between is within the same rectangle
    double edge = Math.sqrt(0.95) / 2;
    List<String> ids = new ArrayList<>();
    List<List<Double>> points = new ArrayList<>();
    for (JsonNode p : pieces) {
      for (double g : new double[] {-edge, edge}) {
        double across = g * p.at("/size/width").asDouble();
        double deep = g * p.at("/size/depth").asDouble();
        double turn = Math.toRadians(p.get("onSheet").asDouble());
        double px = p.at("/at/x").asDouble() + across * Math.cos(turn) - deep * Math.sin(turn);
        double pz = p.at("/at/z").asDouble() + across * Math.sin(turn) + deep * Math.cos(turn);
        ids.add(p.get("id").asText());
        points.add(List.of(origin[0] + px * scale, origin[1] + pz * scale));
      }
    }
    // the footprints that lie under each of these points
    List<?> under = (List<?>) sheet.page.evaluate(UNDER, points);
    List<String> missed = new ArrayList<>();
    for (int i = 0; i < ids.size(); i++) {
      if (!under.get(i).equals(List.of(ids.get(i)))) {
        missed.add(ids.get(i) + " at " + i % 2 + ": " + under.get(i));
      }
    }
    // and a click takes what lies there
    for (int i = 0; i < ids.size(); i += 15) {
      sheet.page.mouse().click(points.get(i).get(0), points.get(i).get(1));
      Object taken = sheet.page.evaluate(SELECTED);
      if (!taken.equals(ids.get(i))) {
        missed.add(ids.get(i) + " clicked: " + taken);
      }
      sheet.page.keyboard().press("Escape");
    }
    assertThat(pieces.size()).isEqualTo(catalog.size());
    assertThat(missed).isEmpty();
  }
}
