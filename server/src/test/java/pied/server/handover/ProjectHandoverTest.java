package pied.server.handover;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.client.TestRestTemplate;
import org.springframework.http.ResponseEntity;
import pied.core.edit.Edit;
import pied.core.tool.shell.SetOpeningBuilder;
import pied.server.Given;
import pied.server.OneServer;
import pied.server.space.ProjectStore;
import pied.server.space.SpaceStore;
import pied.server.space.SpaceWire.EditRequest;

/** What leaves of all spaces of a project together. */
@OneServer
class ProjectHandoverTest {
  @Autowired private SpaceStore store;
  @Autowired private ProjectStore projects;
  @Autowired private TestRestTemplate http;
  private String project;

  @BeforeEach
  void aFlat() {
    project = projects.newProject("Flat " + System.nanoTime()).id();
    String bedroom = projects.newSpace(project, "Bedroom", Given.shell()).id();
    String living = projects.newSpace(project, "Living room", Given.shell()).id();
    Edit door =
        SetOpeningBuilder.builder()
            .kind(pied.core.space.Opening.OpeningKind.door)
            .wall("C")
            .build();
    store.edit(
        bedroom, new EditRequest(null, null, "m", List.of(door, Given.put("b", "stool", 1, 1))));
    store.edit(
        living,
        new EditRequest(
            null,
            null,
            "m",
            List.of(Given.put("c", "crate", 1, 1), Given.put("d", "crate", 3, 2))));
  }

  private String path(String file) {
    return "/api/projects/" + project + "/handover/" + file;
  }

  @Test
  void theScheduleIsOfAllSpacesEachLineWithItsOwn() {
    String[] lines = http.getForObject(path("schedule.csv"), String.class).split("\r\n");
    assertThat(lines[0]).startsWith("Space,Name,Article");
    assertThat(lines).hasSize(4);
    assertThat(lines[1]).startsWith("Bedroom,Stool,");
    assertThat(lines[3]).startsWith("Living room,Crate 2,");
    String doors = http.getForObject(path("schedule.csv?by=opening"), String.class);
    assertThat(doors).contains("Bedroom,D1,Door 1,door,wall C,").contains(",left,inward,");
  }

  @Test
  void thePlansAreOnOneSheetSideBySide() {
    String svg = http.getForObject(path("plans.svg?paper=A3&scale=50"), String.class);
    assertThat(svg).contains("Bedroom").contains("Living room").contains("1 of 1");
    ResponseEntity<byte[]> pdf = http.getForEntity(path("plans.pdf"), byte[].class);
    assertThat(pdf.getHeaders().getContentDisposition().getFilename()).endsWith(" plans.pdf");
  }

  @Test
  void thePackHasListsAndDrawingsUnderNamesOfTheirOwn() throws Exception {
    byte[] zip = http.getForObject(path("pack.zip"), byte[].class);
    List<String> names = new ArrayList<>();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (var e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        names.add(e.getName());
        assertThat(in.readAllBytes()).as(e.getName()).isNotEmpty();
      }
    }
    assertThat(names)
        .containsExactly(
            "schedule.csv",
            "articles.csv",
            "doors and windows.csv",
            "built in.csv",
            "lamps and looks.csv",
            "plans.pdf",
            "drawings/01 Bedroom.pdf",
            "drawings/02 Living room.pdf");
  }

  @Test
  void howItIsHandedOverIsKeptWithTheProject() {
    String address = "/api/projects/" + project + "/handover";
    assertThat(http.getForObject(address, String.class)).isEqualTo("{}");
    ResponseEntity<String> kept =
        http.exchange(
            org.springframework.http.RequestEntity.put(address)
                .contentType(org.springframework.http.MediaType.APPLICATION_JSON)
                .body("{\"scale\":\"50\",\"paper\":\"A2\"}"),
            String.class);
    assertThat(kept.getStatusCode().value()).as(kept.getBody()).isEqualTo(204);
    assertThat(http.getForObject(address, String.class))
        .contains("\"paper\":\"A2\"")
        .contains("\"scale\":\"50\"");
  }

  @Test
  void whatIsNoneOrOfNobodyIsSaid() {
    assertThat(http.getForObject(path("space.glb"), String.class)).contains("plans.pdf");
    assertThat(
            http.getForEntity("/api/projects/none/handover/plans.pdf", String.class)
                .getStatusCode()
                .value())
        .isEqualTo(404);
  }
}
