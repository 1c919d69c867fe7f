package pied.server.handover;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;

import com.lowagie.text.pdf.PRTokeniser;
import com.lowagie.text.pdf.PdfReader;
import com.lowagie.text.pdf.parser.PdfTextExtractor;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.client.TestRestTemplate;
import org.springframework.http.HttpEntity;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import pied.core.edit.Edit;
import pied.core.tool.keep.Remark;
import pied.core.units.Deadline;
import pied.core.units.Refusal;
import pied.server.Given;
import pied.server.OneServer;
import pied.server.space.ProjectStore;
import pied.server.space.SpaceStore;
import pied.server.space.SpaceWire.EditRequest;

/** What leaves, read by others than those who wrote it. */
@OneServer
class HandoverTest {
  /** Points of PDF in a millimetre. */
  private static final double POINTS = 72 / 25.4;

  @Autowired private SpaceStore store;
  @Autowired private ProjectStore projects;
  @Autowired private Handover handover;
  @Autowired private TestRestTemplate http;
  private String room;

  @BeforeEach
  void aRoom() {
    room = Given.room(projects);
    edit(
        Given.put("b", "block", 2, 1.5),
        Given.put("c", "block", 4.25, 3),
        Given.put("s", "stool", 1, 3));
  }

  private void edit(Edit... edits) {
    store.edit(room, new EditRequest(null, null, "m", List.of(edits)));
  }

  private byte[] made(String file, String... said) throws IOException {
    Map<String, String> all = new java.util.TreeMap<>();
    for (int i = 0; i < said.length; i += 2) {
      all.put(said[i], said[i + 1]);
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    handover.write(handover.job(room, new Wanted(file, all)), out, Deadline.NONE);
    return out.toByteArray();
  }

  /**
   * Least and greatest x and y of what is drawn with a pen of a width, in the units of the page.
   */
  private static double[] drawn(byte[] content, double width) throws IOException {
    double[] box = {1e9, 1e9, -1e9, -1e9};
    PRTokeniser in = new PRTokeniser(content);
    List<Double> numbers = new ArrayList<>();
    double pen = 0;
    while (in.nextToken()) {
      if (in.getTokenType() == PRTokeniser.TK_NUMBER) {
        numbers.add(Double.valueOf(in.getStringValue()));
      } else if (in.getTokenType() == PRTokeniser.TK_OTHER) {
        String operator = in.getStringValue();
        if (operator.equals("w")) {
          pen = numbers.get(0);
        } else if ((operator.equals("m") || operator.equals("l")) && Math.abs(pen - width) < 1e-3) {
          box[0] = Math.min(box[0], numbers.get(0));
          box[1] = Math.min(box[1], numbers.get(1));
          box[2] = Math.max(box[2], numbers.get(0));
          box[3] = Math.max(box[3], numbers.get(1));
        }
        numbers.clear();
      }
    }
    return box;
  }

  @Test
  void anotherLibraryReadsTextAndLengthsOfThePdf() throws IOException {
    PdfReader pdf =
        new PdfReader(made("plan.pdf", "scale", "50", "paper", "A3", "numbers", "true"));
    assertThat(pdf.getNumberOfPages()).isEqualTo(1);
    assertThat(pdf.getPageSize(1).getWidth()).isEqualTo((float) (420 * POINTS), within(0.01f));
    String text = new PdfTextExtractor(pdf).getTextFromPage(1);
    assertThat(text).contains("Plan", "1:50 on A3", "Room", "6.00", "4.00", "Stool", "2 ×");
    // what is cut is drawn with the pen of half a millimetre: 6 × 4 within walls of 0.2
    double[] cut = drawn(pdf.getPageContent(1), 0.5 * POINTS);
    double metre = 1000 / 50.0 * POINTS;
    assertThat((cut[2] - cut[0]) / metre).isEqualTo(6.4, within(1e-4));
    assertThat((cut[3] - cut[1]) / metre).isEqualTo(4.4, within(1e-4));
  }

  @Test
  void aStrictReaderReadsTheSchedule() throws IOException {
    edit(new Remark(List.of("s"), "=SUM(1), \"quoted\" and on"));
    for (boolean comma : new boolean[] {false, true}) {
      String csv =
          new String(
              made("schedule.csv", "decimal", comma ? "comma" : "point"), StandardCharsets.UTF_8);
      CSVFormat strict =
          CSVFormat.RFC4180
              .builder()
              .setDelimiter(comma ? ';' : ',')
              .setHeader()
              .setSkipHeaderRecord(true)
              .setAllowMissingColumnNames(false)
              .get();
      List<CSVRecord> rows = strict.parse(new StringReader(csv)).getRecords();
      assertThat(rows).hasSize(3).allMatch(CSVRecord::isConsistent);
      CSVRecord stool =
          rows.stream().filter(r -> r.get("Name").equals("Stool")).findFirst().orElseThrow();
      assertThat(stool.get("Remark")).startsWith("'=SUM(1), \"quoted\"");
      assertThat(stool.get("Height (m)")).isEqualTo(comma ? "0,46" : "0.46");
    }
  }

  @Test
  void theSvgIsWellFormedAndMeasuresRight() throws Exception {
    byte[] svg = made("plan.svg", "scale", "20", "paper", "A2", "numbers", "false");
    DocumentBuilderFactory strict = DocumentBuilderFactory.newInstance();
    strict.setNamespaceAware(true);
    Document doc = strict.newDocumentBuilder().parse(new ByteArrayInputStream(svg));
    assertThat(doc.getDocumentElement().getAttribute("width")).isEqualTo("594mm");
    double most = 0;
    var paths = doc.getElementsByTagNameNS("*", "path");
    for (int i = 0; i < paths.getLength(); i++) {
      Element path = (Element) paths.item(i);
      if (path.getAttribute("stroke-width").equals("0.5")) {
        double lo = 1e9;
        double hi = -1e9;
        for (String p : path.getAttribute("d").split("[MLZ]")) {
          if (!p.isBlank()) {
            double x = Double.parseDouble(p.strip().split(" ")[0]);
            lo = Math.min(lo, x);
            hi = Math.max(hi, x);
          }
        }
        most = Math.max(most, hi - lo);
      }
    }
    assertThat(most * 0.02).isEqualTo(6.4, within(1e-4));
  }

  @Test
  void theSameRevisionIsTheSameBytesAndAnotherIsAnother() throws Exception {
    for (String file : Wanted.FILES) {
      if (file.startsWith("still.")) {
        continue; // none is made here
      }
      assertThat(made(file)).as(file).isEqualTo(made(file));
    }
    String at = "/api/spaces/" + room + "/handover/space.glb";
    ResponseEntity<byte[]> first = http.getForEntity(at, byte[].class);
    String tag = first.getHeaders().getETag();
    HttpHeaders had = new HttpHeaders();
    had.setIfNoneMatch(tag);
    assertThat(get(at, had).getStatusCode().value()).isEqualTo(304);
    edit(Given.put("d", "stool", 5, 1));
    ResponseEntity<byte[]> next = get(at, had);
    assertThat(next.getStatusCode().value()).isEqualTo(200);
    assertThat(next.getHeaders().getETag()).isNotEqualTo(tag);
    assertThat(next.getHeaders().getContentDisposition().getFilename()).isEqualTo("Room.glb");
  }

  private ResponseEntity<byte[]> get(String at, HttpHeaders headers) {
    return http.exchange(at, HttpMethod.GET, new HttpEntity<>(headers), byte[].class);
  }

  @Test
  void whatIsNotThereOrHasNoMeaningIsRefusedInWords() {
    assertThatThrownBy(() -> made("plan.dwg"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("plan.pdf");
    assertThatThrownBy(() -> made("plan.pdf", "scale", "much")).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> made("plan.pdf", "color", "red")).hasMessageContaining("no meaning");
    assertThatThrownBy(() -> made("elevation.pdf", "wall", "Q")).hasMessageContaining("no wall");
    assertThatThrownBy(() -> made("plan.svg", "sheet", "9")).hasMessageContaining("sheet");
    assertThatThrownBy(() -> made("section.pdf", "way", "up")).isInstanceOf(Refusal.class);
  }

  @Test
  void aFileIsMadeBesideComesOnAndCanBeStopped() throws Exception {
    String at = "/api/spaces/" + room + "/handover";
    HttpHeaders json = new HttpHeaders();
    json.setContentType(MediaType.APPLICATION_JSON);
    String asked = "{\"file\":\"drawings.pdf\",\"said\":{\"scale\":\"fit\"}}";
    Map<?, ?> begun = http.postForObject(at, new HttpEntity<>(asked, json), Map.class);
    assertThat(begun.get("name")).as(begun.toString()).isEqualTo("Room drawings.pdf");
    String job = "/api/handovers/" + begun.get("id");
    Map<?, ?> now =
        await()
            .atMost(Duration.ofMinutes(3))
            .until(
                () -> http.getForObject(job, Map.class),
                m -> m.get("ready") == Boolean.TRUE || m.get("failed") != null);
    assertThat(now.get("failed")).isNull();
    assertThat(((Number) now.get("share")).doubleValue()).isEqualTo(1);
    byte[] file = http.getForObject(job + "/file", byte[].class);
    assertThat(new PdfReader(file).getNumberOfPages()).isGreaterThanOrEqualTo(6);
    http.delete(job);
    assertThat(http.getForEntity(job, Map.class).getStatusCode().value()).isEqualTo(404);
  }

  @Test
  void lettersThatTheTypeHasNotComeFromAnotherOrAreAsked() {
    assertThat(Runs.of("aЖb☃", c -> c < 128, c -> c < 0x500)).containsExactly("a", "Ж", "b?");
    assertThat(Runs.of("Ж", c -> c < 128, c -> c < 0x500)).containsExactly("", "Ж");
    assertThat(Runs.of("", c -> true, c -> true)).containsExactly("");
  }
}
