package pied.server.space;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import pied.core.catalog.Catalog;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.piece.Shapes;
import pied.core.register.Tools;
import pied.core.space.Space;
import pied.core.units.LengthUnit;
import pied.server.Given;
import pied.server.http.Problems;

/** Drawings of a space and questions about its shell, over HTTP. */
class ShellControllerTest {
  private static final Shapes SHAPES = new Shapes(Catalog.shipped());
  private static final ObjectMapper JSON = Tools.json();

  private final SpaceStore store = mock(SpaceStore.class);
  private final MockMvc http =
      MockMvcBuilders.standaloneSetup(new ShellController(store), new SpaceController(store))
          .setControllerAdvice(new Problems())
          .build();

  @BeforeEach
  void aRoomWithAWindowAndTwoStools() throws Exception {
    Edit window =
        JSON.readValue("{\"do\":\"opening\",\"kind\":\"window\",\"wall\":\"B\"}", Edit.class);
    List<Edit> edits =
        List.of(window, Given.put("s", "stool", 2, 2), Given.put("t", "stool", 4, 3));
    Space bare = new Space(Given.shell(), List.of(), SHAPES);
    Space space = Edits.apply(bare, edits, LengthUnit.M, () -> "x").space();
    when(store.seen("room")).thenReturn(new OpenSpace.Seen("Room", space, 7, 3));
  }

  private ResultActions asked(String path) throws Exception {
    return http.perform(get("/api/spaces/room" + path));
  }

  private static JsonNode json(ResultActions answer) throws Exception {
    return JSON.readTree(answer.andReturn().getResponse().getContentAsByteArray());
  }

  @Test
  void thePlanIsInTheUnitAskedForAndSaysOfWhichRevisionItIs() throws Exception {
    JsonNode plan = json(asked("/plan?unit=cm").andExpect(jsonPath("$.revision").value(7)));
    List<String> texts = plan.at("/plan/dimensions").findValuesAsText("text");
    assertThat(texts).contains("600.0", "400.0");
  }

  @Test
  void whatCanBeTypedOnADrawingSaysWhichEditItMakes() throws Exception {
    List<String> slots = new ArrayList<>();
    for (JsonNode d : json(asked("/plan")).at("/plan/dimensions")) {
      if (d.has("blank") && !d.get("blank").isNull()) {
        Edit edit = JSON.treeToValue(d.at("/blank/edit"), Edit.class);
        JsonNode again = JSON.valueToTree(edit);
        slots.add(again.path("do").asText() + "." + d.at("/blank/slot").asText());
      }
    }
    assertThat(slots).contains("wallLength.length", "opening.from", "opening.width");
  }

  @Test
  void aSectionSaysWhereItCutsAndWhichWaysItMayLook() throws Exception {
    asked("/elevation?way=left&at=1.5")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.elevation.cut.at").value("1.50"))
        .andExpect(jsonPath("$.elevation.cut.direction").value("across"))
        .andExpect(jsonPath("$.elevation.cut.ways.length()").value(4))
        .andExpect(jsonPath("$.elevation.cut.ways[?(@.way=='right')].same").value(true))
        .andExpect(jsonPath("$.elevation.cut.ways[?(@.way=='back')].same").value(false));
    asked("/elevation?way=wall&wall=A")
        .andExpect(jsonPath("$.elevation.cut").isEmpty())
        .andExpect(jsonPath("$.elevation.from").value(0.0));
    asked("/elevation?way=wall&wall=Z")
        .andExpect(status().isUnprocessableEntity())
        .andExpect(jsonPath("$.detail", containsString("“Z”")));
    asked("/elevation?way=left&at=9")
        .andExpect(status().isUnprocessableEntity())
        .andExpect(jsonPath("$.detail", containsString("from 0.00 to 6.00 across")));
    asked("/elevation?way=askew").andExpect(status().isBadRequest());
  }

  @Test
  void theFloorHasAHeightWithinAndNoneOutside() throws Exception {
    asked("/floor?x=1&z=1").andExpect(jsonPath("$.y").value(0.0));
    asked("/floor?x=-1&z=1").andExpect(jsonPath("$.y").isEmpty());
  }

  @Test
  void theCaptionOfAPartIsWordsAndBlanks() throws Exception {
    JsonNode phrases = json(asked("/caption?part=opening:window 1")).get("phrases");
    assertThat(phrases.findValuesAsText("kind")).contains("text", "field", "word", "action");
    assertThat(phrases.get(0).get("text").asText()).isEqualTo("Window");
    asked("/caption?part=opening:nowhere")
        .andExpect(status().isUnprocessableEntity())
        .andExpect(jsonPath("$.detail").value("There is no “nowhere” in this space."));
    asked("/caption?part=what").andExpect(status().isUnprocessableEntity());
  }

  @Test
  void aDraftIsAnsweredWithoutBeingStored() throws Exception {
    String ask =
        "{\"question\":{\"corners\":[{\"x\":1,\"z\":1}],\"pointer\":{\"x\":3.004,\"z\":1.1}}}";
    http.perform(
            post("/api/spaces/room/draft").contentType(MediaType.APPLICATION_JSON).content(ask))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.answer.next.x").value(3.0))
        .andExpect(jsonPath("$.answer.next.z").value(1.0));
    http.perform(
            post("/api/spaces/room/draft").contentType(MediaType.APPLICATION_JSON).content("{}"))
        .andExpect(status().isUnprocessableEntity());
  }
}
