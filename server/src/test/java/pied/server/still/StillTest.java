package pied.server.still;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Predicate;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.test.web.client.TestRestTemplate;
import org.springframework.http.ResponseEntity;
import pied.server.Given;
import pied.server.OneServer;
import pied.server.space.ProjectStore;
import pied.server.still.StillRow.StillState;
import pied.server.still.StillWire.LuxLinesView;
import pied.server.still.StillWire.LuxView;
import pied.server.still.StillWire.StillView;

/** Stills as a space keeps them. */
@OneServer
class StillTest {
  @Autowired private TestRestTemplate http;
  @Autowired private ProjectStore projects;

  @Value("${pied.data}")
  private String data;

  private StillClient client;
  private String space;

  @BeforeEach
  void aRoomWithALamp() {
    space = Given.room(projects);
    client = new StillClient(http, space);
    edit("{'do':'place','article':'globe-pendant','at':{'x':3,'z':2}}");
    edit("{'do':'keepViewpoint','name':'The door','stand':{'x':1,'z':3},'to':{'x':4,'z':1}}");
    edit("{'do':'keepViewpoint','name':'The window','stand':{'x':5,'z':3},'to':{'x':2,'z':1}}");
  }

  private void edit(String edit) {
    client.edit(edit);
  }

  private StillView ask(String viewpoint, String size, String grade) {
    return client.ask(viewpoint, size, grade);
  }

  private StillView one(String id) {
    return client.one(id);
  }

  private List<StillView> all() {
    return client.all();
  }

  private StillView until(String id, Predicate<StillView> is) throws InterruptedException {
    return client.until(id, is);
  }

  private StillView made(String id) throws InterruptedException {
    return client.made(id);
  }

  @Test
  void oneIsAskedForGrowsAndIsHadInThreeForms() throws Exception {
    StillView asked = ask("The door", "90 x 60", "draft");
    assertThat(asked.said()).isEqualTo("from The door, 90 × 60, draft");
    StillView v = made(asked.id());
    assertThat(v.share()).isEqualTo(1);
    assertThat(v.outdated()).isFalse();
    byte[] png = http.getForObject("/api/stills/" + v.id() + "/picture.png", byte[].class);
    BufferedImage image = ImageIO.read(new ByteArrayInputStream(png));
    assertThat(image.getWidth()).isEqualTo(90);
    assertThat(image.getHeight()).isEqualTo(60);
    byte[] jpg = http.getForObject("/api/stills/" + v.id() + "/picture.jpg", byte[].class);
    assertThat(ImageIO.read(new ByteArrayInputStream(jpg)).getWidth()).isEqualTo(90);
    byte[] hdr = http.getForObject("/api/stills/" + v.id() + "/picture.hdr", byte[].class);
    assertThat(new String(hdr, 0, 10)).isEqualTo("#?RADIANCE");

    edit("{'do':'place','article':'dining-chair','at':{'x':3,'z':1}}");
    assertThat(one(v.id()).outdated()).isTrue();
    StillView again = http.postForObject("/api/stills/" + v.id() + "/anew", null, StillView.class);
    assertThat(made(again.id()).outdated()).isFalse();
    assertThat(all()).extracting(StillView::id).containsExactly(again.id(), v.id());
    http.delete("/api/stills/" + v.id());
    assertThat(all()).extracting(StillView::id).containsExactly(again.id());
    assertThat(Files.exists(Path.of(data, "stills", v.id() + ".png"))).isFalse();
  }

  @Test
  void oneOfInkAloneHasNoLight() throws Exception {
    StillView asked =
        http.postForObject(
            "/api/spaces/" + space + "/stills",
            StillClient.body("{'viewpoint':'The door','size':'90 x 60','ink':'alone'}"),
            StillView.class);
    assertThat(asked.said()).isEqualTo("from The door, 90 × 60, ink lines alone");
    assertThat(made(asked.id()).drawn()).isTrue();
    byte[] png = http.getForObject("/api/stills/" + asked.id() + "/picture.png", byte[].class);
    assertThat(ImageIO.read(new ByteArrayInputStream(png)).getHeight()).isEqualTo(60);
    ResponseEntity<String> hdr =
        http.getForEntity("/api/stills/" + asked.id() + "/picture.hdr", String.class);
    assertThat(hdr.getStatusCode().value()).isEqualTo(404);
  }

  @Test
  void severalWaitInOrderAndOneIsStoppedAndGoneOnWith() throws Exception {
    StillView long1 = ask("The door", "480 x 320", "good");
    StillView next = ask("The window", "40 x 30", "draft");
    until(long1.id(), v -> v.state() == StillState.working && v.share() > 0.1);
    assertThat(one(next.id()).before()).isEqualTo(1);
    byte[] seen = http.getForObject("/api/stills/" + long1.id() + "/seen.jpg", byte[].class);
    assertThat(ImageIO.read(new ByteArrayInputStream(seen))).isNotNull();
    http.postForObject("/api/stills/" + long1.id() + "/stop", null, StillView.class);
    until(long1.id(), v -> v.state() == StillState.stopped);
    made(next.id());
    http.postForObject("/api/stills/" + long1.id() + "/go", null, StillView.class);
    made(long1.id());
  }

  @Test
  void allViewpointsAtOnceAndAllInOneFile() throws Exception {
    StillView[] asked =
        http.postForObject(
            "/api/spaces/" + space + "/stills/all",
            StillClient.body("{'size':'48 × 32','grade':'draft'}"),
            StillView[].class);
    assertThat(asked).extracting(StillView::name).containsExactly("The door", "The window");
    for (StillView v : asked) {
      made(v.id());
    }
    byte[] zip = http.getForObject("/api/spaces/" + space + "/stills.zip", byte[].class);
    int n = 0;
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      while (in.getNextEntry() != null) {
        assertThat(ImageIO.read(new ByteArrayInputStream(in.readAllBytes())).getWidth())
            .isEqualTo(48);
        n++;
      }
    }
    assertThat(n).isEqualTo(2);
    // one more of a viewpoint is told apart
    assertThat(ask("The door", "48 × 32", "draft").name()).isEqualTo("The door 2");
  }

  /** Where its folder cannot be written the picture is not lost: it is written later. */
  @Test
  void whatCannotBeWrittenIsSaidAndNotLost() throws Exception {
    Path folder = Path.of(data, "stills");
    Path aside = Path.of(data, "stills-aside");
    boolean there = Files.exists(folder);
    if (there) {
      Files.move(folder, aside);
    }
    Files.writeString(folder, "in the way");
    StillView v;
    try {
      StillView asked = ask("The door", "60 x 40", "draft");
      v = until(asked.id(), x -> x.state() == StillState.stopped);
      assertThat(v.trouble()).contains("could not be written").contains("disk");
    } finally {
      Files.delete(folder);
      if (there) {
        Files.move(aside, folder);
      }
    }
    http.postForObject("/api/stills/" + v.id() + "/go", null, StillView.class);
    assertThat(made(v.id()).trouble()).isNull();
  }

  @Test
  void whatCannotBeMadeIsRefusedInWords() {
    for (String wrong :
        List.of(
            "'viewpoint':'Nowhere','size':'90 x 60'",
            "'viewpoint':'The door','size':'large'",
            "'viewpoint':'The door','size':'90000 x 10'",
            "'viewpoint':'The door','size':'90 x 60','limit':'soon'",
            "'viewpoint':'The door','size':'90 x 60','look':'None'",
            "'size':'90 x 60'")) {
      ResponseEntity<String> r =
          http.postForEntity(
              "/api/spaces/" + space + "/stills",
              StillClient.body("{" + wrong + "}"),
              String.class);
      assertThat(r.getStatusCode().value()).as("%s", wrong).isEqualTo(422);
    }
    assertThat(all()).isEmpty();
  }

  @Test
  void howBrightItIs() throws IOException {
    edit("{'do':'day','hour':'0','date':'2026-01-05'}");
    LuxView v = http.getForObject("/api/spaces/" + space + "/lux?x=3&y=0.75&z=2", LuxView.class);
    assertThat(v.lux()).isBetween(10.0, 300.0);
    assertThat(v.off()).isLessThan(0.02 * v.lux());
    assertThat(v.said()).contains("lx");
    edit("{'do':'place','piece':'t','article':'cafe-table','at':{'x':3,'z':2}}");
    LuxView top = http.getForObject("/api/spaces/" + space + "/pieces/t/lux", LuxView.class);
    assertThat(top.least()).isBetween(1.0, top.lux());
    assertThat(top.said()).contains("in the mean").contains("at least");
  }

  @Test
  void linesOfEqualLuxAreDrawnAtAHeightInTheRoom() {
    String lines = "/api/spaces/" + space + "/lux/lines?unit=cm&height=";
    LuxLinesView v = http.getForObject(lines + "80", LuxLinesView.class);
    assertThat(v.height()).isCloseTo(0.8, within(1e-9));
    assertThat(v.text()).isEqualTo("80.0");
    assertThat(v.said()).startsWith("80.0 cm high it is").contains("lx bright in the mean");
    assertThat(v.lines()).isNotEmpty();
    assertThat(v.lines().stream().flatMap(l -> l.runs().stream()).flatMap(List::stream))
        .allSatisfy(
            p -> {
              assertThat(p.x()).isBetween(0.0, 6.0);
              assertThat(p.z()).isBetween(0.0, 4.0);
            });
    ResponseEntity<String> high = http.getForEntity(lines + "900", String.class);
    assertThat(high.getStatusCode().value()).isEqualTo(422);
    assertThat(high.getBody()).contains("A height in the room is 0 to");
  }
}
