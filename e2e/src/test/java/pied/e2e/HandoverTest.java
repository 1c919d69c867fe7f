package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What leaves the house, by the sheet and at its addresses. */
class HandoverTest extends OnTheSheet {
  @TempDir Path folder;

  private Path fetched(String path, String name) throws IOException, InterruptedException {
    HttpRequest request = HttpRequest.newBuilder(URI.create(pied.url() + path)).build();
    Path file = folder.resolve(name);
    assertThat(HttpClient.newHttpClient().send(request, BodyHandlers.ofFile(file)).statusCode())
        .isEqualTo(200);
    return file;
  }

  @Test
  void theOfficialValidatorFindsNoFaultInTheModelsOfBothDemos()
      throws IOException, InterruptedException {
    List<String> command = new ArrayList<>(List.of("node", "../web/tools/gltf.mjs"));
    for (String name : List.of("Saltmarsh", "The Paper Lighthouse")) {
      for (JsonNode p : pied.json("/api/projects")) {
        if (p.get("name").asText().equals(name)) {
          String id = p.at("/spaces/0/id").asText();
          command.add(fetched("/api/spaces/" + id + "/handover/space.glb", id).toString());
        }
      }
    }
    assertThat(command).hasSize(4);
    Process node = new ProcessBuilder(command).redirectErrorStream(true).start();
    List<String> said = new String(node.getInputStream().readAllBytes()).lines().toList();
    assertThat(node.waitFor()).as(String.join("\n", said)).isZero();
    assertThat(said).hasSize(2);
    for (String line : said) {
      JsonNode report = new ObjectMapper().readTree(line);
      assertThat(report.get("errors").asInt()).as(line).isZero();
      assertThat(report.get("warnings").asInt()).as(line).isZero();
    }
  }

  @Test
  void aDrawingMeasuresRightInABrowser() {
    room = pied.newRoom("Measured"); // 6 × 4 within walls of 0.20
    sheet = Sheet.planOf(room);
    Page page = sheet.page;
    page.navigate(
        pied.url() + "/api/spaces/" + room + "/handover/plan.svg?scale=25&paper=A2&numbers=false");
    // a browser has 96 pixels to the inch, which is 25.4 mm
    double wide =
        ((Number)
                page.evaluate(
                    "() => Math.max(...[...document.querySelectorAll('path[stroke-width=\"0.5\"]')]"
                        + ".map(p => p.getBoundingClientRect().width))"))
            .doubleValue();
    // the outer faces of the walls, with the width of the pen
    double pixels = (6400 / 25.0) * 96 / 25.4;
    double pen = 0.5 * 96 / 25.4;
    assertThat(wide).isBetween(pixels - 0.5, pixels + pen + 0.5);
  }

  @Test
  void aDrawingIsChosenLookedAtAndSaved() throws IOException {
    room = pied.newRoom("Handed over");
    pied.place(room, "s", "stool", 2, 2);
    sheet = Sheet.planOf(room);
    sheet.page.waitForSelector("[data-testid=plan] [data-piece=s] path");
    sheet.button("Hand over");
    Locator preview = sheet.page.locator("[data-testid=handover-preview][data-ready]");
    assertThat(preview).containsText("Stool");
    Download csv = sheet.page.waitForDownload(() -> sheet.button("Save the file"));
    assertThat(csv.suggestedFilename()).isEqualTo("Handed over schedule.csv");
    assertThat(Files.readString(csv.path())).startsWith("Name,Article,").contains("\r\nStool,");
    sheet.button("The plan");
    assertThat(preview.getByRole(AriaRole.IMG)).isVisible();
    sheet
        .page
        .getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Scale").setExact(true))
        .click();
    sheet
        .page
        .getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("at 1:10").setExact(true))
        .click();
    assertThat(preview).containsText("sheet 1 of 6");
    assertThat(sheet.page.getByTestId("handover-address")).containsText("plan.pdf?");
    assertThat(sheet.page.getByTestId("handover-address")).containsText("scale=10");
    Download pdf = sheet.page.waitForDownload(() -> sheet.button("Save the file"));
    assertThat(pdf.suggestedFilename()).isEqualTo("Handed over plan.pdf");
    assertThat(Files.readAllBytes(pdf.path())).startsWith("%PDF-".getBytes());
    sheet.page.keyboard().press("Escape");
    assertThat(sheet.page.getByLabel("Hand-over")).hasCount(0);
  }

  @Test
  void anArchiveIsTakenInWholeAndADamagedOneSaysWhatIsMissing() throws Exception {
    String project = pied.json("/api/projects").at("/1/id").asText();
    Path archive = fetched("/api/projects/" + project + "/archive.zip", "lighthouse.zip");
    sheet = Sheet.atStart();
    Locator input = sheet.page.getByLabel("Archive of a project");
    input.setInputFiles(archive);
    Locator said = sheet.page.getByTestId("take-in");
    assertThat(said).containsText(" is here, whole.");
    byte[] whole = Files.readAllBytes(archive);
    Path part = folder.resolve("part.zip");
    Files.write(part, java.util.Arrays.copyOf(whole, whole.length / 8));
    input.setInputFiles(part);
    assertThat(said).containsText("cut off");
    // what came back opens like any other
    List<String> pieces = new ArrayList<>();
    for (JsonNode p : pied.json("/api/projects")) {
      if (p.get("name").asText().startsWith("The Paper Lighthouse")) {
        pieces.add(pied.space(p.at("/spaces/0/id").asText()).get("pieces").toString());
      }
    }
    assertThat(pieces).hasSizeGreaterThanOrEqualTo(2);
    assertThat(pieces.get(1)).isEqualTo(pieces.get(0));
  }
}
