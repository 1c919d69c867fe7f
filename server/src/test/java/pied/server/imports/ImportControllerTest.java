package pied.server.imports;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.hamcrest.Matchers.containsString;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import pied.core.catalog.Catalog;
import pied.core.edit.Edits;
import pied.core.model.Arrival;
import pied.core.model.Composed;
import pied.core.model.Files;
import pied.core.model.ModelReader;
import pied.core.piece.Shapes;
import pied.core.space.Space;
import pied.core.units.LengthUnit;
import pied.server.Given;
import pied.server.http.Problems;
import pied.server.space.SpaceStore;
import pied.server.store.Missing;

/** How a model comes in over HTTP, is corrected, taken and given up. */
class ImportControllerTest {
  /** A box of 60 × 40 × 90, in centimetres as one will find. */
  private static final String BOX =
      "v 0 0 0\nv 60 0 0\nv 60 90 0\nv 0 90 0\nv 0 0 40\nv 60 0 40\nv 60 90 40\nv 0 90 40\n"
          + "f 1 4 3 2\nf 5 6 7 8\nf 1 2 6 5\nf 3 4 8 7\nf 1 5 8 4\nf 2 3 7 6\n";

  private static final ObjectMapper JSON = new ObjectMapper();

  private final ImportStore store = mock(ImportStore.class);
  private final SpaceStore spaces = mock(SpaceStore.class);
  private final MockMvc http =
      MockMvcBuilders.standaloneSetup(new ImportController(store, spaces))
          .setControllerAdvice(new Problems())
          .build();
  private Arrival arrival;

  @BeforeEach
  void aBoxHasComeIn() {
    Files files = new Files();
    files.add("crate.obj", BOX.getBytes(StandardCharsets.US_ASCII));
    arrival = Arrival.of(ModelReader.read(files), Catalog.shipped(), null);
    when(store.arrive(eq("inn"), any()))
        .thenReturn(new ImportStore.Arrived("one", arrival, null, 0));
    when(store.waiting("one")).thenReturn(arrival);
    when(store.waiting("none")).thenThrow(new Missing("That model is no longer waiting."));
  }

  private ObjectNode taken() {
    return JSON.valueToTree(arrival.guess());
  }

  private ResultActions sent(String path, JsonNode taken) throws Exception {
    return http.perform(
        post(path).contentType(MediaType.APPLICATION_JSON).content(taken.toString()));
  }

  private static JsonNode json(ResultActions answer) throws Exception {
    return JSON.readTree(answer.andReturn().getResponse().getContentAsByteArray());
  }

  @Test
  void whatItSeemsToBeIsSaidAndNothingIsTakenYet() throws Exception {
    MockMultipartFile file =
        new MockMultipartFile("file", "crate.obj", null, BOX.getBytes(StandardCharsets.US_ASCII));
    http.perform(multipart("/api/projects/inn/imports").file(file).param("unit", "cm"))
        .andExpect(status().isCreated())
        .andExpect(jsonPath("$.id").value("one"))
        .andExpect(jsonPath("$.triangles").value(12))
        .andExpect(jsonPath("$.said").isNotEmpty());
    verify(store, never()).accept(any(), any());
  }

  @Test
  void aMeasureThatIsKnownMakesTheUnitAgree() throws Exception {
    JsonNode before = json(sent("/api/imports/one/size", taken()));
    JsonNode after = json(sent("/api/imports/one/size?height=45&unit=cm", taken()));
    assertThat(after.at("/size/height").asDouble()).isCloseTo(0.45, within(1e-12));
    double factor = after.get("unit").asDouble() / before.get("unit").asDouble();
    for (String side : new String[] {"width", "depth", "height"}) {
      assertThat(after.at("/size/" + side).asDouble())
          .as("in proportion: " + side)
          .isCloseTo(factor * before.at("/size/" + side).asDouble(), within(1e-12));
    }
  }

  @Test
  void aMeasureOfNothingAndTextThatIsNoneAreRefused() throws Exception {
    for (String typed : new String[] {"0", "-3", "tall"}) {
      sent("/api/imports/one/size?width=" + typed, taken())
          .andExpect(status().isUnprocessableEntity());
    }
  }

  @Test
  void howItIsTakenMustBeSaidInFull() throws Exception {
    ObjectNode nameless = taken();
    nameless.remove("name");
    sent("/api/imports/one/accept", nameless)
        .andExpect(status().isUnprocessableEntity())
        .andExpect(jsonPath("$.detail", containsString("name and mounting")));
    verify(store, never()).accept(any(), any());
  }

  @Test
  void itIsTakenAsItWasCorrected() throws Exception {
    when(store.accept(eq("one"), any())).thenReturn(Catalog.shipped().article("stool"));
    ObjectNode corrected = taken();
    corrected.put("name", "Sea chest");
    corrected.put("turn", 90);
    sent("/api/imports/one/accept", corrected)
        .andExpect(status().isCreated())
        .andExpect(jsonPath("$.id").value("stool"));
    ArgumentCaptor<Arrival.Taken> as = ArgumentCaptor.forClass(Arrival.Taken.class);
    verify(store).accept(eq("one"), as.capture());
    assertThat(as.getValue().name()).isEqualTo("Sea chest");
    assertThat(as.getValue().turn()).isEqualTo(90);
  }

  @Test
  void oneThatNoLongerWaitsIsSaidToBeGone() throws Exception {
    sent("/api/imports/none/size", taken())
        .andExpect(status().isNotFound())
        .andExpect(jsonPath("$.detail").value("That model is no longer waiting."));
  }

  @Test
  void itIsGivenUpAndItsFullFormIsToBeHad() throws Exception {
    http.perform(delete("/api/imports/one")).andExpect(status().isNoContent());
    verify(store).giveUp("one");
    when(store.fullForm("own-1")).thenReturn(new byte[] {'g', 'l', 'T', 'F'});
    assertThat(
            http.perform(get("/api/shapes/own-1/full.glb"))
                .andReturn()
                .getResponse()
                .getContentAsByteArray())
        .startsWith('g', 'l', 'T', 'F');
  }

  @Test
  void piecesThatStandTogetherAreKeptAsAnArticle() throws Exception {
    Shapes shapes = new Shapes(Catalog.shipped());
    Space bare = new Space(Given.shell(), List.of(), shapes);
    Space room =
        Edits.apply(
                bare,
                List.of(Given.put("s", "stool", 2, 2), Given.put("t", "cafe-table", 3, 2)),
                LengthUnit.M,
                () -> "x")
            .space();
    when(spaces.space("room")).thenReturn(room);
    when(spaces.project("room")).thenReturn("project");
    when(store.keep(eq("project"), eq("Corner"), any()))
        .thenReturn(shapes.catalog().article("stool"));
    http.perform(
            post("/api/spaces/room/articles")
                .contentType(MediaType.APPLICATION_JSON)
                .content("{\"pieces\":[\"s\",\"t\"],\"name\":\"Corner\"}"))
        .andExpect(status().isCreated())
        .andExpect(jsonPath("$.name").value("Stool"));
    ArgumentCaptor<Composed> kept = ArgumentCaptor.forClass(Composed.class);
    verify(store).keep(eq("project"), eq("Corner"), kept.capture());
    assertThat(kept.getValue().mesh().box().size().x()).isEqualTo(1.53, within(1e-9));
    http.perform(
            post("/api/spaces/room/articles")
                .contentType(MediaType.APPLICATION_JSON)
                .content("{\"pieces\":[\"nobody\"],\"name\":\"Corner\"}"))
        .andExpect(status().isUnprocessableEntity())
        .andExpect(jsonPath("$.detail", containsString("“nobody”")));
  }
}
