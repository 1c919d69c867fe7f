package pied.server.catalog;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.everyItem;
import static org.hamcrest.Matchers.is;
import static org.hamcrest.Matchers.startsWith;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import pied.core.catalog.Article;
import pied.core.catalog.Catalog;
import pied.core.drawing.Eye;
import pied.core.drawing.LineDrawing;
import pied.core.piece.Form;
import pied.core.piece.Shapes;
import pied.core.size.Size;
import pied.server.http.Problems;

/** How the catalog is asked over HTTP, and how what makes no sense is answered. */
class CatalogControllerTest {
  private static final Shapes SHAPES = new Shapes(Catalog.shipped());
  private static final int ALL = SHAPES.catalog().all().size();

  private final Drawings drawings = mock(Drawings.class);
  private final MockMvc http =
      MockMvcBuilders.standaloneSetup(new CatalogController(SHAPES, drawings))
          .setControllerAdvice(new Problems())
          .build();

  private ResultActions asked(String path, String... parameters) throws Exception {
    var request = get("/api" + path);
    for (int i = 0; i < parameters.length; i += 2) {
      request.param(parameters[i], parameters[i + 1]);
    }
    return http.perform(request);
  }

  private static JsonNode json(ResultActions answer) throws Exception {
    return new ObjectMapper().readTree(answer.andReturn().getResponse().getContentAsByteArray());
  }

  @Test
  void allOfItIsFoundAndCountedByKind() throws Exception {
    JsonNode page = json(asked("/catalog").andExpect(status().isOk()));
    assertThat(page.get("found").asInt()).isEqualTo(ALL);
    assertThat(page.get("articles")).hasSize(ALL);
    int general = 0;
    for (JsonNode k : page.get("kinds")) {
      general += k.get("kind").asText().contains("/") ? 0 : k.get("count").asInt();
    }
    assertThat(general).as("each is of one kind").isEqualTo(ALL);
  }

  @Test
  void aKindHasOnlyItsOwnAndTheCountsStayThoseOfAll() throws Exception {
    asked("/catalog", "kind", "seating")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.articles[*].kind", everyItem(startsWith("seating"))))
        .andExpect(jsonPath("$.kinds[?(@.kind == 'lamps')].count").isNotEmpty());
    JsonNode half = json(asked("/catalog", "kind", "seat"));
    assertThat(half.get("found").asInt()).as("a kind is a whole word").isZero();
  }

  @Test
  void limitsAreReadInTheUnitChosen() throws Exception {
    JsonNode low = json(asked("/catalog", "height", "50", "unit", "cm"));
    JsonNode metres = json(asked("/catalog", "height", "0.5"));
    assertThat(low.get("found")).isEqualTo(metres.get("found"));
    assertThat(low.get("found").asInt()).isBetween(1, ALL - 1);
    for (JsonNode a : low.get("articles")) {
      assertThat(a.at("/size/height").asDouble()).isLessThanOrEqualTo(0.5 + 1e-9);
    }
    asked("/catalog", "width", "wide")
        .andExpect(status().isUnprocessableEntity())
        .andExpect(jsonPath("$.detail", containsString("wide")));
    asked("/catalog", "unit", "cubits").andExpect(status().isUnprocessableEntity());
    asked("/catalog", "mounting", "FLOATS").andExpect(status().isBadRequest());
  }

  @Test
  void aCardSaysHowHighItIsShown() throws Exception {
    for (Article a : SHAPES.catalog().all()) {
      double at = a.shownAt();
      assertThat(at).as(a.id()).isBetween(0.0, 2.4);
      boolean raised = a.mounting() == pied.core.catalog.Mounting.HANGS;
      assertThat(at + a.size().height() > 2.4 - 1e-9 || !raised).as(a.id()).isTrue();
    }
    asked("/catalog/stool", "unit", "cm")
        .andExpect(jsonPath("$.shownAt", is(0.0)))
        .andExpect(jsonPath("$.sizeText", containsString("46")));
  }

  @Test
  void anArticleThatIsNotThereIsSaidInWords() throws Exception {
    for (String path :
        List.of("/catalog/throne", "/shapes/throne/lines?width=1&depth=1&height=1")) {
      asked(path)
          .andExpect(status().isUnprocessableEntity())
          .andExpect(jsonPath("$.detail", containsString("throne")));
    }
  }

  @Test
  void aShapeIsBuiltInTheSizeAskedForOrRefused() throws Exception {
    byte[] glb =
        asked("/shapes/stool/mesh.glb", "width", "0.4", "depth", "0.4", "height", "0.5")
            .andExpect(status().isOk())
            .andExpect(header().string("Cache-Control", containsString("max-age=600")))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    assertThat(new String(glb, 0, 4, java.nio.charset.StandardCharsets.US_ASCII)).isEqualTo("glTF");
    asked("/shapes/stool/mesh.glb", "width", "0.4", "depth", "0.4", "height", "900")
        .andExpect(status().isUnprocessableEntity());
    asked("/shapes/stool/mesh.glb", "width", "0.4", "depth", "0.4")
        .andExpect(status().isBadRequest());
  }

  @Test
  void linesAreDrawnFromAboveOrFromAnAngle() throws Exception {
    when(drawings.lines(any(), any())).thenReturn(new LineDrawing(List.of(), List.of()));
    String[] size = {"width", "0.36", "depth", "0.36", "height", "0.46", "turn", "90"};
    asked("/shapes/stool/lines", size).andExpect(status().isOk());
    String[] level = {
      "width", "0.36", "depth", "0.36", "height", "0.46", "turn", "90", "from", "90"
    };
    asked("/shapes/stool/lines", level).andExpect(status().isOk());
    ArgumentCaptor<Eye> eyes = ArgumentCaptor.forClass(Eye.class);
    Form stool = new Form("stool", new Size(0.36, 0.36, 0.46));
    verify(drawings, org.mockito.Mockito.times(2)).lines(eq(stool), eyes.capture());
    assertThat(eyes.getAllValues().get(0).toEye())
        .as("its turn does not count")
        .isEqualTo(Eye.PLAN.toEye());
    // it is turned toward the eye: its front is seen
    assertThat(eyes.getAllValues().get(1).toEye().z())
        .isCloseTo(1, org.assertj.core.api.Assertions.within(1e-12));
  }

  @Test
  void whereOneLooksFromMustMakeSense() throws Exception {
    asked(
            "/shapes/stool/lines",
            "width",
            "0.36",
            "depth",
            "0.36",
            "height",
            "0.46",
            "from",
            "behind")
        .andExpect(status().isUnprocessableEntity())
        .andExpect(jsonPath("$.detail", containsString("behind")));
    verifyNoInteractions(drawings);
  }
}
