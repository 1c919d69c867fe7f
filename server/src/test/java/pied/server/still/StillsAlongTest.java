package pied.server.still;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.client.TestRestTemplate;
import org.springframework.http.HttpEntity;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import pied.server.Given;
import pied.server.OneServer;
import pied.server.space.ProjectStore;
import pied.server.space.SpaceWire.ProjectView;
import pied.server.still.StillWire.StillView;
import pied.server.store.Json;

/** Stills go along with their space: into copies, archives, and what is handed over. */
@OneServer
class StillsAlongTest {
  @Autowired private TestRestTemplate http;
  @Autowired private ProjectStore projects;

  /** Where they were made, once: two, one of them out of date. */
  private static String first;

  private static String firstSpace;

  private StillClient client;
  private String project;
  private String space;
  private StillView old;
  private StillView now;

  @BeforeEach
  void aCopyOfAProjectWithTwo() throws InterruptedException {
    if (first == null) {
      first = projects.newProject("House " + System.nanoTime()).id();
      firstSpace = projects.newSpace(first, "Room", Given.shell()).id();
      StillClient made = new StillClient(http, firstSpace);
      made.edit("{'do':'place','article':'globe-pendant','at':{'x':3,'z':2}}");
      made.edit(
          "{'do':'keepViewpoint','name':'The door','stand':{'x':1,'z':3},'to':{'x':4,'z':1}}");
      made.made(made.ask("The door", "48 x 32", "draft").id());
      made.edit("{'do':'place','article':'dining-chair','at':{'x':3,'z':1}}");
      made.made(made.ask("The door", "60 x 40", "draft").id());
    }
    ProjectView copy = projects.copyProject(first);
    project = copy.id();
    space = copy.spaces().get(0).id();
    client = new StillClient(http, space);
    List<StillView> all = client.all();
    now = all.get(0);
    old = all.get(1);
  }

  private byte[] bytes(String address) {
    return http.getForObject(address, byte[].class);
  }

  private byte[] file(String still, String ending) {
    return bytes("/api/stills/" + still + "/picture." + ending);
  }

  private void same(List<StillView> copies) {
    assertThat(copies).extracting(StillView::name).containsExactly("The door 2", "The door");
    assertThat(copies).extracting(StillView::outdated).containsExactly(false, true);
    assertThat(copies).extracting(StillView::said).containsExactly(now.said(), old.said());
    assertThat(file(copies.get(0).id(), "png")).isEqualTo(file(now.id(), "png"));
    assertThat(file(copies.get(1).id(), "hdr")).isEqualTo(file(old.id(), "hdr"));
    assertThat(bytes("/api/stills/" + copies.get(1).id() + "/seen.jpg")).isNotEmpty();
  }

  @Test
  void aCopyOfASpaceHasThemAndKeepsThem() {
    List<StillView> made = new StillClient(http, firstSpace).all();
    assertThat(made).extracting(StillView::name).containsExactly("The door 2", "The door");
    assertThat(file(now.id(), "png")).isEqualTo(file(made.get(0).id(), "png"));
    StillClient copy = new StillClient(http, projects.copySpace(space).id());
    same(copy.all());
    byte[] png = file(now.id(), "png");
    http.delete("/api/stills/" + now.id());
    assertThat(file(copy.all().get(0).id(), "png")).isEqualTo(png);
    String inProject = projects.copyProject(project).spaces().get(0).id();
    assertThat(new StillClient(http, inProject).all()).hasSize(1);
  }

  private JsonNode taken(byte[] zip) {
    ByteArrayOutputStream body = new ByteArrayOutputStream();
    body.writeBytes(
        ("--edge\r\nContent-Disposition: form-data; name=\"file\"; filename=\"project.zip\"\r\n"
                + "Content-Type: application/zip\r\n\r\n")
            .getBytes(StandardCharsets.US_ASCII));
    body.writeBytes(zip);
    body.writeBytes("\r\n--edge--\r\n".getBytes(StandardCharsets.US_ASCII));
    HttpHeaders headers = new HttpHeaders();
    headers.setContentType(MediaType.parseMediaType("multipart/form-data; boundary=edge"));
    HttpEntity<byte[]> sent = new HttpEntity<>(body.toByteArray(), headers);
    return http.postForObject("/api/archives", sent, JsonNode.class);
  }

  private static String space(JsonNode taken) {
    return taken.path("project").path("spaces").get(0).path("id").asText();
  }

  @Test
  void anArchiveBringsThemBack() {
    JsonNode in = taken(bytes("/api/projects/" + project + "/archive.zip"));
    assertThat(in.path("said")).isEmpty();
    same(new StillClient(http, space(in)).all());
  }

  @Test
  void anotherArchiveIsHadOnceThereIsAnotherStill() throws InterruptedException {
    String address = "/api/projects/" + project + "/archive.zip";
    String tag = http.getForEntity(address, byte[].class).getHeaders().getETag();
    assertThat(http.getForEntity(address, byte[].class).getHeaders().getETag()).isEqualTo(tag);
    client.made(client.ask("The door", "40 x 30", "draft").id());
    assertThat(http.getForEntity(address, byte[].class).getHeaders().getETag()).isNotEqualTo(tag);
  }

  private interface Alteration {
    void on(ObjectNode list, Map<String, byte[]> files) throws IOException;
  }

  private byte[] archive(Alteration how) throws IOException {
    Map<String, byte[]> files = new LinkedHashMap<>();
    try (ZipInputStream in =
        new ZipInputStream(
            new ByteArrayInputStream(bytes("/api/projects/" + project + "/archive.zip")))) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        files.put(e.getName(), in.readAllBytes());
      }
    }
    ObjectNode list = (ObjectNode) Json.MAPPER.readTree(files.get("pied.json"));
    how.on(list, files);
    files.put("pied.json", Json.MAPPER.writeValueAsBytes(list));
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      for (Map.Entry<String, byte[]> e : files.entrySet()) {
        zip.putNextEntry(new ZipEntry(e.getKey()));
        zip.write(e.getValue());
      }
    }
    return out.toByteArray();
  }

  private static ObjectNode still(ObjectNode list, int i) {
    return (ObjectNode) list.path("stills").get(i);
  }

  /** What of one is not whole is said, and the rest is taken in. */
  @Test
  void damagedOnesAreLeftOutAndSaid() throws IOException {
    Map<String, Alteration> all = new LinkedHashMap<>();
    all.put("it is damaged", (l, f) -> f.put("stills/001.png", new byte[] {1, 2, 3}));
    all.put("not in the archive", (l, f) -> f.remove("stills/001.png"));
    all.put(
        "not of the size",
        (l, f) -> {
          ByteArrayOutputStream png = new ByteArrayOutputStream();
          ImageIO.write(new BufferedImage(9, 9, BufferedImage.TYPE_INT_RGB), "png", png);
          f.put("stills/001.png", png.toByteArray());
        });
    all.put(
        "dots wide and high",
        (l, f) -> ((ObjectNode) still(l, 0).path("told")).put("width", 99999));
    all.put("lens", (l, f) -> ((ObjectNode) still(l, 0).path("told")).put("lens", -3));
    all.put("cannot be read", (l, f) -> still(l, 0).put("told", "nothing"));
    all.put("leaves out", (l, f) -> ((ObjectNode) still(l, 0).path("told")).putNull("hidden"));
    all.put(
        "its light",
        (l, f) ->
            f.put(
                "stills/001.hdr", "#?RADIANCE\n\n-Y 1 +X 1\n".getBytes(StandardCharsets.US_ASCII)));
    for (Map.Entry<String, Alteration> e : all.entrySet()) {
      JsonNode in = taken(archive(e.getValue()));
      assertThat(in.path("said").toString()).as("%s", in).contains(e.getKey());
      assertThat(new StillClient(http, space(in)).all())
          .extracting(StillView::name)
          .containsExactly("The door");
    }
  }

  @Test
  void whatIsLeftOutOfAnArchiveIsSaidAndPicturesComeWithoutTheirLight() throws IOException {
    JsonNode in =
        taken(
            archive(
                (l, f) -> {
                  l.put("stillsLeft", 3);
                  still(l, 0).remove("light");
                }));
    assertThat(in.path("said").toString()).contains("3 more stills").contains("too large");
    StillView first = new StillClient(http, space(in)).all().get(0);
    ResponseEntity<String> hdr =
        http.getForEntity("/api/stills/" + first.id() + "/picture.hdr", String.class);
    assertThat(hdr.getStatusCode()).isEqualTo(HttpStatus.NOT_FOUND);
    assertThat(hdr.getBody()).contains("came without");
    assertThat(file(first.id(), "png")).isEqualTo(file(now.id(), "png"));
  }

  @Test
  void theAddressOfAViewpointsStillAlwaysHasTheLatest() throws Exception {
    JsonNode sheet =
        http.getForObject("/api/spaces/" + space + "/handover", JsonNode.class).path("stills");
    assertThat(sheet).hasSize(1);
    assertThat(sheet.get(0).path("words").asText()).isEqualTo("The still from The door");
    String from = sheet.get(0).path("said").path("viewpoint").asText();
    String address = "/api/spaces/" + space + "/handover/still.png?viewpoint=" + from;
    ResponseEntity<byte[]> first = http.getForEntity(address, byte[].class);
    assertThat(first.getHeaders().getContentType()).hasToString("image/png");
    assertThat(first.getBody()).isEqualTo(file(now.id(), "png"));
    StillView next = client.made(client.ask("The door", "40 x 30", "draft").id());
    ResponseEntity<byte[]> second = http.getForEntity(address, byte[].class);
    assertThat(second.getBody()).isEqualTo(file(next.id(), "png"));
    assertThat(second.getHeaders().getETag()).isNotEqualTo(first.getHeaders().getETag());
    JsonNode looked =
        http.getForObject(
            "/api/spaces/" + space + "/handover/still.png/preview?viewpoint=" + from,
            JsonNode.class);
    assertThat(looked.path("still").asText()).isEqualTo(next.id());
    ResponseEntity<String> none =
        http.getForEntity("/api/spaces/" + space + "/handover/still.png", String.class);
    assertThat(none.getStatusCode().value()).isEqualTo(422);
    assertThat(none.getBody()).contains("No still from there is made yet");
    assertThat(none.getHeaders().getFirst(HttpHeaders.ETAG)).isNull();
  }
}
