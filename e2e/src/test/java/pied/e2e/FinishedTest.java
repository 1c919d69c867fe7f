package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.options.BoundingBox;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** What parts are made of, given by hand, in no more actions than these. */
class FinishedTest extends Counting {
  private void leaf(String search) {
    sheet.leaf("Finishes");
    sheet.page.getByLabel("Search finishes").fill(search);
    // a card taken before the list answers is elsewhere a moment later
    assertThat(sheet.page.locator("[role=list][aria-label=Finishes]"))
        .hasAttribute("aria-busy", "false");
  }

  /** Drags a material to a point of the window. */
  private void drag(String material, double[] to) {
    Locator card = sheet.page.locator("[data-finish='" + material + "']");
    BoundingBox box = card.boundingBox();
    sheet.page.mouse().move(box.x + box.width / 2, box.y + 20);
    sheet.page.mouse().down();
    sheet.page.mouse().move(to[0] - 20, to[1] - 20, new Mouse.MoveOptions().setSteps(3));
    sheet.page.mouse().move(to[0], to[1]);
    // the part under the pointer is named before one lets go
    assertThat(sheet.page.getByTestId("finish-hand")).not().hasText("…");
    sheet.page.mouse().up();
    actions++;
  }

  /** Drops a file from outside at a point of the window. */
  private void drop(Path file, double[] at) throws IOException {
    sheet.page.evaluate(
        """
        ([x, y, name, text]) => {
          const bytes = Uint8Array.from(atob(text), (c) => c.charCodeAt(0));
          const dataTransfer = new DataTransfer();
          dataTransfer.items.add(new File([bytes], name, { type: "image/png" }));
          const under = document.elementFromPoint(x, y);
          for (const what of ["dragenter", "dragover", "drop"])
            under.dispatchEvent(new DragEvent(what,
              { bubbles: true, cancelable: true, dataTransfer, clientX: x, clientY: y }));
        }""",
        List.of(
            at[0],
            at[1],
            file.getFileName().toString(),
            Base64.getEncoder().encodeToString(Files.readAllBytes(file))));
    actions++;
  }

  private JsonNode finish(String piece, String part) {
    return piece(piece).at("/finishes/" + part);
  }

  private String material(String piece, String part) {
    return finish(piece, part).path("material").asText();
  }

  private JsonNode shell(String part) {
    return pied.space(room).at("/shell/finishes").path(part);
  }

  @Test
  void aSofasCoverByDraggingAndAllCushionsByOneMore() {
    room = pied.newRoom("Covers");
    pied.place(room, "s", "sofa", 2, 1);
    for (int i = 0; i < 3; i++) {
      pied.place(room, "c" + i, "dining-chair", 1.5 + i, 3);
    }
    open("s", "c0", "c1", "c2");
    leaf("velvet");
    drag("velvet", sheet.onPlan(2, 1.1));
    becomes(() -> material("s", "cover").equals("velvet"));
    assertThat(actions).isEqualTo(1);
    assertThat(sheet.caption()).containsText("Cover of");
    assertThat(sheet.caption()).containsText("velvet");

    actions = 0;
    leaf("felt");
    drag("felt", sheet.onPlan(1.5, 3.05));
    becomes(() -> material("c0", "seat").equals("felt"));
    click(sheet.caption().getByText("All of these too: 2"));
    becomes(() -> material("c1", "seat").equals("felt") && material("c2", "seat").equals("felt"));
    assertThat(actions).isEqualTo(2);
    // and the lists say so in words
    JsonNode row = pied.json("/api/spaces/" + room + "/schedule").at("/rows/1");
    assertThat(row.get("finish").asText()).contains("seat felt");
  }

  @Test
  void aFloorOfHerringboneTurnedAndOneWallPapered() {
    room = pied.newRoom("Floor");
    sheet = new Sheet(room, "plan", "wall:A");
    leaf("oak herringbone");
    drag("oak-herringbone", sheet.onPlan(3, 2));
    becomes(() -> shell("floor").path("material").asText().equals("oak-herringbone"));
    Locator turn = sheet.caption().getByLabel("Turned by");
    click(turn);
    type("45");
    becomes(() -> shell("floor").at("/laid/turn").asDouble() == 45);
    assertThat(actions).isLessThanOrEqualTo(3);

    actions = 0;
    leaf("sprig");
    drag("paper-sprig", sheet.onElevation(2, 1.5));
    becomes(() -> shell("wall:A").path("material").asText().equals("paper-sprig"));
    assertThat(shell("wall:B").isMissingNode()).isTrue();
    assertThat(actions).isEqualTo(1);
  }

  @Test
  void aFinishTakenUpAndGivenToThreeOthersInFour() {
    room = pied.newRoom("Taken");
    for (int i = 0; i < 4; i++) {
      pied.place(room, "c" + i, "dining-chair", 1 + i, 2);
    }
    pied.edit(
        room,
        "{'do':'finish','pieces':['c0'],'part':'seat',"
            + "'finish':{'material':'velvet','colour':'#223344'}}");
    open("c0", "c1", "c2", "c3");
    double[] from = sheet.onPlan(1, 2.05);
    sheet.page.mouse().move(from[0], from[1]);
    key(",");
    assertThat(sheet.caption()).containsText("in hand");
    for (int i = 1; i < 4; i++) {
      int n = i;
      clickPlan(1 + i, 2.05);
      becomes(() -> material("c" + n, "seat").equals("velvet"));
      assertThat(finish("c" + n, "seat").path("colour").asText()).isEqualTo("#223344");
    }
    assertThat(actions).isLessThanOrEqualTo(4);
    key("Escape");
    assertThat(sheet.page.getByTestId("finish-hand")).not().isVisible();
  }

  @Test
  void aPictureOfOnesOwnOnAFrameAndHowWideItIs() throws IOException {
    room = pied.newRoom("Print");
    pied.place(room, "p", "framed-print", 2, 0.1);
    sheet = new Sheet(room, "plan", "wall:A");
    BufferedImage sea = new BufferedImage(300, 200, BufferedImage.TYPE_INT_RGB);
    Path file = Files.createTempDirectory("pied").resolve("North shore.png");
    ImageIO.write(sea, "png", file.toFile());
    double y = piece("p").at("/at/y").asDouble() + 0.4;
    drop(file, sheet.onElevation(2, y));
    // it fills the print
    becomes(() -> material("p", "picture").endsWith("-300x200_North-shore"));
    assertThat(finish("p", "picture").at("/laid/width").asDouble()).isCloseTo(1.146, within(1e-3));
    click(sheet.caption().getByLabel("Width of one"));
    type("0.4");
    becomes(() -> finish("p", "picture").at("/laid/width").asDouble() == 0.4);
    assertThat(actions).isLessThanOrEqualTo(3);
    sheet.caption().getByText("Make it seamless").click();
    becomes(() -> material("p", "picture").endsWith("-300x200-seamless_North-shore"));
  }

  @Test
  void boardsOfThreeMetresAndOfThirtyCentimetresShowTheSameSize() throws IOException {
    room = pied.newRoom("Boards");
    String striped =
        "'finishes':{'block':{'material':'paper-stripe','colour':'#FFFFFF',"
            + "'laid':{'width':0.1,'second':'#000000'}}}}";
    for (String one :
        List.of(
            "'at':{'x':1.9,'z':2},'size':{'width':3", "'at':{'x':4.6,'z':2},'size':{'width':0.3")) {
      pied.edit(
          room,
          "{'do':'place','article':'block'," + one + ",'depth':0.05,'height':0.5}," + striped);
    }
    sheet = new Sheet(room, "set");
    sheet.page.getByText("look from").click();
    sheet.page.getByText("From the front").click();
    double[] periods = new double[2];
    sheet.page.waitForCondition(
        () -> {
          BufferedImage picture = picture();
          periods[0] = period(picture, 0.4, 3.4);
          periods[1] = period(picture, 4.45, 4.75);
          return periods[0] > 0 && periods[1] > 0;
        });
    double tenth = sheet.onSet(2, 0.25, 2.025)[0] - sheet.onSet(1.9, 0.25, 2.025)[0];
    assertThat(periods[0]).isCloseTo(tenth, within(0.02 * tenth));
    assertThat(periods[1]).isCloseTo(periods[0], within(0.06 * tenth));
  }

  private BufferedImage picture() {
    try {
      return ImageIO.read(new ByteArrayInputStream(sheet.page.screenshot()));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** From stripe to stripe in a picture, dots, between two places across the room; 0 for none. */
  private double period(BufferedImage picture, double from, double to) {
    int y = (int) sheet.onSet(from, 0.25, 2.025)[1];
    int left = (int) sheet.onSet(from, 0.25, 2.025)[0] + 2;
    int right = (int) sheet.onSet(to, 0.25, 2.025)[0] - 2;
    List<Integer> edges = new ArrayList<>();
    for (int x = left + 1; x < right; x++) {
      if (light(picture, x - 1, y) < 90 && light(picture, x, y) >= 90) {
        edges.add(x);
      }
    }
    int n = edges.size();
    return n < 2 ? 0 : (double) (edges.get(n - 1) - edges.get(0)) / (n - 1);
  }

  private static int light(BufferedImage picture, int x, int y) {
    return picture.getRGB(x, y) >> 8 & 255;
  }
}
