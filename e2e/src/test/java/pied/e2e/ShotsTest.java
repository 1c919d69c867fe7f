package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.URL;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import pied.e2e.Sheet.Studio;

/** Makes the pictures of docs/screenshots from the demo data. */
@Tag("shots")
class ShotsTest {
  private void shot(Sheet sheet, String name) {
    sheet.page.waitForFunction("() => document.fonts.status === 'loaded'");
    sheet.page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    sheet.page.waitForTimeout(1500); // the last frame of the set view has no event of its own
    sheet.page.screenshot(
        new Page.ScreenshotOptions().setPath(Path.of("../docs/screenshots/" + name + ".png")));
  }

  @Test
  void theMainViews() {
    String room = Studio.PIED.teaRoom();
    Sheet sheet = new Sheet(room, "plan", "set");
    sheet.page.getByLabel("Show the other drawings").click();
    // the small drawings are made by and by
    sheet.page.waitForFunction(
        "() => [...document.querySelectorAll(\"[aria-label^='Make large']\")]"
            + ".every(d => d.querySelector('svg path'))");
    shot(sheet, "sheet");

    sheet.page.getByLabel("Fold away the other drawings").click();
    sheet.page.getByLabel("Fold away catalog").click();
    sheet.button("Set view");
    looking(sheet, "Corner B–C");
    shot(sheet, "set-view");
    sheet.close();
  }

  private static void looking(Sheet sheet, String from) {
    sheet.page.getByText("look from").click();
    sheet.page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName(from)).click();
    refined(sheet);
  }

  /** Waits until the set view is as fine as it gets. */
  private static void refined(Sheet sheet) {
    sheet.page.waitForTimeout(1000);
    sheet.page.waitForSelector("[data-testid=set] canvas[data-refined=yes]");
  }

  @Test
  void theFinishes() throws IOException {
    String room = Studio.PIED.teaRoom();
    Studio.PIED.edit(
        room,
        "{'do':'exchange','pieces':%s,'article':'framed-print'}",
        quoted(ids(room, "picture-frame").subList(0, 1)));
    Sheet sheet = new Sheet(room, "wall:B", "set");
    sheet.leaf("Finishes");
    sheet.page.getByLabel("Picture files").setInputFiles(drawn());
    assertThat(sheet.caption()).containsText("in hand");
    JsonNode print = Studio.PIED.piece(room, "framed-print").get("at");
    // beside the lamp that stands before it
    double[] at =
        sheet.onElevation(print.get("z").asDouble() - 0.36, print.get("y").asDouble() + 0.1);
    sheet.page.mouse().click(at[0], at[1]);
    assertThat(sheet.caption()).containsText("picture “Two sails”");
    sheet.page.keyboard().press("Escape");
    looking(sheet, "Corner D–A");
    shot(sheet, "finishes");
    sheet.close();
    Studio.PIED.post("/api/spaces/" + room + "/undo", "{}");
    Studio.PIED.post("/api/spaces/" + room + "/undo", "{}");
  }

  /** A picture of somebody's own: two sails on the sea. */
  private static Path drawn() throws IOException {
    BufferedImage image = new BufferedImage(900, 640, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setPaint(new GradientPaint(0, 0, new Color(0xF0C79A), 0, 400, new Color(0x7FA3B8)));
    g.fillRect(0, 0, 900, 400);
    g.setColor(new Color(0x2F5D6B));
    g.fillRect(0, 400, 900, 240);
    g.setColor(new Color(0xFBF3E2));
    g.fillPolygon(new int[] {260, 260, 380}, new int[] {180, 430, 430}, 3);
    g.setColor(new Color(0xB4532F));
    g.fillPolygon(new int[] {600, 600, 680}, new int[] {300, 440, 440}, 3);
    g.dispose();
    Path file = Files.createTempDirectory("pied").resolve("Two sails.png");
    ImageIO.write(image, "png", file.toFile());
    return file;
  }

  @Test
  void theStage() {
    String stage = Studio.PIED.json("/api/projects").at("/1/spaces/0/id").asText();
    Sheet sheet = new Sheet(stage, "plan", "section");
    sheet.leaf("Shell");
    sheet.clickPlan(3.2, -4.2);
    assertThat(sheet.caption()).containsText("Platform 2");
    sheet.page.getByLabel("Show the other drawings").click();
    shot(sheet, "stage-plan");
    sheet.page.getByLabel("Fold away the other drawings").click();
    sheet.page.keyboard().press("Escape");
    sheet.close();
  }

  /** Made as anybody makes them, and kept as they come. */
  @Test
  void theStills() throws Exception {
    String room = Studio.PIED.teaRoom();
    String stage = Studio.PIED.json("/api/projects").get(1).get("spaces").get(0).get("id").asText();
    made(stage, "Row 5, middle", "Dusk", "still-stage");
    String evening = made(room, "From the door", "By its lamps", "still-evening");
    made(room, "From the reading corner", "Morning", "still-morning");
    Sheet sheet = new Sheet(room, "set");
    sheet.page.waitForSelector("[data-testid=set] canvas[data-view]");
    sheet.button("still…");
    sheet.page.locator("[data-still='" + evening + "']").click();
    sheet.page.waitForSelector("[data-testid=still-seen]");
    shot(sheet, "stills");
    sheet.close();
  }

  private static String made(String space, String from, String look, String name) throws Exception {
    String asked =
        "{\"viewpoint\":\"%s\",\"look\":\"%s\",\"size\":\"1920 x 1080\",\"grade\":\"good\"}"
            .formatted(from, look);
    String id =
        PiedProcess.parse(Studio.PIED.post("/api/spaces/" + space + "/stills", asked).body())
            .get("id")
            .asText();
    while (!Studio.PIED.json("/api/stills/" + id).get("state").asText().equals("made")) {
      Thread.sleep(500);
    }
    java.net.URI file =
        java.net.URI.create(Studio.PIED.url() + "/api/stills/" + id + "/picture.jpg");
    try (java.io.InputStream in = file.toURL().openStream()) {
      java.nio.file.Files.copy(
          in,
          Path.of("../docs/screenshots/" + name + ".jpg"),
          java.nio.file.StandardCopyOption.REPLACE_EXISTING);
    }
    return id;
  }

  @Test
  void theStart() {
    Sheet sheet = Sheet.atStart();
    assertThat(sheet.page.getByTestId("card").first()).isVisible();
    shot(sheet, "start");
    sheet.close();
  }

  @Test
  void theCarrying() {
    PiedProcess pied = Studio.PIED;
    String room = pied.teaRoom();
    Sheet sheet = new Sheet(room, "plan");
    sheet.page.keyboard().press("j");
    JsonNode chair = pied.piece(room, "dining-chair");
    sheet.schedule(chair.get("name").asText());
    double x = chair.at("/at/x").asDouble();
    double z = chair.at("/at/z").asDouble();
    double[] from = sheet.onPlan(x, z);
    sheet.page.mouse().click(from[0], from[1]);
    assertThat(sheet.page.getByTestId("carry")).isVisible();
    // over the floor, until something holds it there
    String caption = "";
    for (int i = 0; i < 60 && !(caption.contains("moved") && caption.contains("in line")); i++) {
      double[] to = sheet.onPlan(4.6 + 0.03 * i, 4.6 + 0.02 * i);
      sheet.page.mouse().move(to[0], to[1]);
      sheet.page.waitForTimeout(150);
      caption = sheet.page.getByTestId("carry").textContent();
    }
    shot(sheet, "carrying");
    sheet.page.keyboard().press("Escape");
    sheet.close();
  }

  @Test
  void theSizing() {
    Sheet sheet = new Sheet(Studio.PIED.teaRoom(), "plan", "set");
    sheet.schedule("Service counter");
    sheet.leaf("Catalog");
    sheet.page.keyboard().press("f");
    sheet.page.waitForTimeout(1500);
    sheet.page.keyboard().press("z");
    assertThat(sheet.page.getByTestId("tab-right").first()).isVisible();
    sheet.page.getByLabel("What stays where it is while it is sized").click();
    assertThat(sheet.page.getByTestId("box-figure")).isVisible();
    shot(sheet, "sizing");
    sheet.close();
  }

  /** The tea room in order: layers, a group at each table, and a little done in another window. */
  private String inOrder() {
    String room = Studio.PIED.teaRoom();
    List<String> chairs = ids(room, "dining-chair");
    Studio.PIED.edit(room, "{'do':'toLayer','pieces':%s,'named':'Chairs'}", quoted(chairs));
    Studio.PIED.edit(
        room, "{'do':'toLayer','pieces':%s,'named':'Lights'}", quoted(ids(room, "pendant-lamp")));
    Studio.PIED.edit(room, "{'do':'layer','layer':'%s','colour':'#2F6690'}", layer(room, "Chairs"));
    List<String> window = new ArrayList<>(ids(room, "cafe-table").subList(0, 1));
    window.addAll(chairs.subList(0, 2));
    Studio.PIED.edit(
        room, "{'do':'group','pieces':%s,'id':'window','name':'Window table'}", quoted(window));
    Studio.PIED.edit(
        room, "{'do':'nameSelection','name':'To be reupholstered','pieces':%s}", quoted(chairs));
    Studio.PIED.post(
        "/api/spaces/" + room + "/edits",
        "{\"by\":{\"window\":\"elsewhere\",\"who\":\"Isolde\"},\"edits\":"
            + "[{\"do\":\"moveBy\",\"pieces\":[\""
            + ids(room, "armchair").get(0)
            + "\"],\"by\":{\"x\":-0.15}}]}");
    Studio.PIED.edit(
        room, "{'do':'remark','pieces':%s,'remark':'reupholster'}", quoted(chairs.subList(0, 4)));
    return room;
  }

  private static String layer(String room, String name) {
    for (JsonNode l : Studio.PIED.space(room).at("/filing/layers")) {
      if (l.get("name").asText().equals(name)) {
        return l.get("id").asText();
      }
    }
    throw new AssertionError(name);
  }

  private static List<String> ids(String room, String article) {
    List<String> all = new ArrayList<>();
    for (JsonNode p : Studio.PIED.space(room).get("pieces")) {
      if (p.get("article").asText().equals(article)) {
        all.add(p.get("id").asText());
      }
    }
    return all;
  }

  private static String quoted(List<String> ids) {
    return ids.stream().map(id -> '"' + id + '"').collect(Collectors.joining(",", "[", "]"));
  }

  @Test
  void theOrder() {
    String room = inOrder();
    Sheet sheet = new Sheet(room, "plan", "set");
    sheet.leaf("Layers");
    sheet.page.locator("[data-named='To be reupholstered']").getByText("To be").click();
    assertThat(sheet.caption()).containsText("11 pieces");
    shot(sheet, "layers");
    sheet.page.locator("[data-named='Window table']").getByText("Window table").click();
    assertThat(sheet.caption()).containsText("a group of 3 pieces");
    sheet.page.keyboard().press("Shift+O");
    assertThat(sheet.page.getByTestId("in-group")).isVisible();
    double[] chair = chair(sheet, room);
    sheet.page.mouse().click(chair[0], chair[1]);
    sheet.reads("Name", "Dining chair");
    sheet.page.keyboard().press("Escape");
    assertThat(sheet.caption()).containsText("a group of 3 pieces");
    sheet.page.keyboard().press("Escape");
    assertThat(sheet.caption()).containsText("Tea room");

    sheet.page.getByLabel("Fold away layers").click();
    sheet.page.keyboard().press("Shift+W");
    sheet.page.getByLabel("Open Dining chair").first().click();
    shot(sheet, "schedule");
    sheet.button("fold away");
    sheet.page.keyboard().press("Escape");
    sheet.button("History");
    assertThat(sheet.page.getByTestId("history")).containsText("Isolde");
    shot(sheet, "history");
    sheet.close();
    Studio.PIED.post("/api/spaces/" + room + "/history/go", "{\"to\":0}");
  }

  /** Where the first of the dining chairs is on the plan. */
  private static double[] chair(Sheet sheet, String room) {
    JsonNode at = Studio.PIED.piece(room, "dining-chair").get("at");
    return sheet.onPlan(at.get("x").asDouble(), at.get("z").asDouble());
  }

  @Test
  void theHandover() throws IOException {
    String room = Studio.PIED.teaRoom();
    Sheet sheet = new Sheet(room, "plan");
    sheet.button("Hand over");
    sheet.button("The plan");
    Locator preview = sheet.page.locator("[data-testid=handover-preview][data-ready]");
    assertThat(preview.getByRole(AriaRole.IMG)).isVisible();
    shot(sheet, "hand-over");
    sheet.close();
    picture(room, "plan.pdf?scale=50&paper=A3&drawnBy=Isolde", "plan-on-paper");
    picture(room, "elevation.pdf?wall=B&scale=50&paper=A3&drawnBy=Isolde", "elevation-on-paper");
  }

  /** A page of a PDF as it would be printed. */
  private static void picture(String room, String file, String name) throws IOException {
    URL at = URI.create(Studio.PIED.url() + "/api/spaces/" + room + "/handover/" + file).toURL();
    try (InputStream in = at.openStream();
        PDDocument doc = Loader.loadPDF(in.readAllBytes())) {
      ImageIO.write(
          new PDFRenderer(doc).renderImageWithDPI(0, 100),
          "png",
          Path.of("../docs/screenshots/" + name + ".png").toFile());
    }
  }

  @Test
  void theCatalog() {
    Sheet sheet = Sheet.atStart();
    sheet.page.navigate(Studio.PIED.url() + "/#/articles");
    int all = Studio.PIED.json("/api/catalog").get("articles").size();
    sheet.page.waitForSelector(
        "[data-testid=contact-sheet][data-drawn='" + all + "']",
        new Page.WaitForSelectorOptions().setTimeout(180_000));
    shot(sheet, "catalog");
    sheet.close();
  }

  @Test
  void theMany() {
    PiedProcess pied = Studio.PIED;
    String room = pied.newRoom("Breakfast room", 8, 5, 2.8);
    pied.place(room, "table", "oval-table", 3, 3);
    pied.place(room, "chair", "dining-chair", 5.4, 4);
    for (int i = 0; i < 3; i++) {
      pied.place(room, "shelf" + i, "open-shelf", 5.2 + i, 0.3);
      pied.place(room, "frame" + i, "picture-frame", 1 + 1.3 * i, 0.05);
      pied.edit(
          room,
          "{'do':'moveBy','pieces':['frame%s'],'by':{'y':%s}}",
          i,
          new double[] {0, 0.2, -0.1}[i]);
    }
    pied.place(room, "book", "books", 5.2, 1.1);
    pied.edit(room, "{'do':'size','pieces':['book'],'size':{'width':0.2}}");
    pied.place(room, "cup", "cup-and-saucer", 6, 1.1);

    Sheet sheet = new Sheet(room, "plan", "set");
    sheet.page.waitForSelector("[data-testid=plan] [data-piece=chair] path");
    sheet.clickPlan(5.4, 4);
    sheet.reads("Name", "Dining chair");
    sheet.page.keyboard().press("Shift+R");
    sheet.clickPlan(3, 3.2);
    proposed(sheet);
    sheet.page.keyboard().type("8");
    sheet.page.mouse().move(640, 780);
    sheet.page.waitForTimeout(1000);
    proposed(sheet);
    sheet.page.keyboard().press("Enter");
    assertThat(sheet.caption()).containsText("a group of 8 pieces");
    sheet.page.keyboard().press("Escape");
    banded(sheet, 4.6, 0.02, 7.7, 1.5);
    assertThat(sheet.caption()).containsText("5 pieces, the lead");
    sheet.page.keyboard().press("Shift+F");
    proposed(sheet);
    sheet.page.keyboard().type("40");
    sheet.page.waitForTimeout(1500);
    proposed(sheet);
    sheet.page.keyboard().press("Enter");
    assertThat(sheet.caption()).containsText("a group of 40 pieces");
    sheet.page.keyboard().press("Escape");
    sheet.page.keyboard().press("h");
    sheet.close();

    sheet = new Sheet(room, "wall:A", "plan");
    sheet.page.waitForSelector("[data-testid=plan] [data-piece=frame1] path");
    banded(sheet, 0.4, -0.1, 4.4, 0.4);
    assertThat(sheet.caption()).containsText("3 pieces, the lead");
    sheet.page.keyboard().press("Shift+I");
    proposed(sheet);
    sheet.page.keyboard().press("Escape");
    sheet.page.keyboard().press("Escape");
    sheet.close();

    sheet = new Sheet(room, "plan", "set");
    sheet.page.waitForSelector("[data-testid=plan] [data-piece=chair] path");
    sheet.page.keyboard().press(";");
    sheet.page.keyboard().type("6 square planters along walls D and C, 0.05 off");
    proposed(sheet);
    shot(sheet, "say");
    sheet.close();
    pied.post("/api/spaces/" + room + "/remove", "{}");
  }

  private static void proposed(Sheet sheet) {
    sheet.page.waitForSelector("[data-testid=proposal][data-ready][data-fresh]");
  }

  private static void banded(Sheet sheet, double x, double z, double toX, double toZ) {
    sheet.page.keyboard().down("Shift");
    sheet.dragPlan(x, z, toX, toZ);
    sheet.page.keyboard().up("Shift");
  }
}
