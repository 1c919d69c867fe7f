package pied.server.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.time.Duration;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.autoconfigure.web.servlet.AutoConfigureMockMvc;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.http.MediaType;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import pied.core.catalog.Article;
import pied.core.piece.Shapes;
import pied.server.space.ProjectStore;
import pied.server.space.SpaceStore;
import pied.supplier.Supplier;
import pied.supplier.Trouble;

/** Pied and the supplier's service, over HTTP, on good days and bad ones. */
@SpringBootTest(
    webEnvironment = SpringBootTest.WebEnvironment.MOCK,
    properties = {
      "spring.datasource.url=jdbc:h2:mem:supply",
      "pied.supplier.pause=5",
      "pied.body.seconds=0"
    })
@AutoConfigureMockMvc(
    print = org.springframework.boot.test.autoconfigure.web.servlet.MockMvcPrint.NONE)
class SupplyTest {
  private static final Supplier SUPPLIER = start(0);
  private static final ObjectMapper JSON = new ObjectMapper();

  private static Supplier start(int port) {
    try {
      return new Supplier(port);
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  @DynamicPropertySource
  static void where(DynamicPropertyRegistry r) {
    r.add("pied.supplier.url", SUPPLIER::url);
  }

  @Autowired private MockMvc web;
  @Autowired private SpaceStore store;
  @Autowired private ProjectStore projects;
  @Autowired private Shapes shapes;
  private String project;

  @BeforeEach
  void newProject() throws Exception {
    trouble(0, 0, 0, false);
    project = projects.newProject("Tea room").id();
    signIn("lantern").andExpect(status().isOk());
  }

  @AfterEach
  void signOut() throws Exception {
    ask(delete("/api/supplier/session"));
  }

  private static void trouble(int cuts, int fails, int damaged, boolean closed) {
    SUPPLIER.trouble(new Trouble(0, cuts, fails, damaged, closed));
  }

  private org.springframework.test.web.servlet.ResultActions ask(MockHttpServletRequestBuilder r)
      throws Exception {
    return web.perform(r.header("Host", "127.0.0.1"));
  }

  private org.springframework.test.web.servlet.ResultActions signIn(String password)
      throws Exception {
    return ask(
        post("/api/supplier/session")
            .contentType(MediaType.APPLICATION_JSON)
            .content("{\"user\":\"saltmarsh\",\"password\":\"" + password + "\"}"));
  }

  private org.springframework.test.web.servlet.ResultActions fetch(String ware) throws Exception {
    return ask(
        post("/api/projects/" + project + "/fetches")
            .contentType(MediaType.APPLICATION_JSON)
            .content("{\"ware\":\"" + ware + "\"}"));
  }

  /** How a fetch stands once it is over. */
  private JsonNode over(String ware) throws Exception {
    return await()
        .atMost(Duration.ofMinutes(3))
        .until(() -> state(ware), f -> f.get("state").asText().matches("done|failed|stopped"));
  }

  private JsonNode state(String ware) throws Exception {
    String body =
        ask(get("/api/projects/" + project + "/fetches"))
            .andReturn()
            .getResponse()
            .getContentAsString();
    JsonNode f = JSON.readTree(body).get(0);
    assertThat(f.get("ware").asText()).isEqualTo(ware);
    return f;
  }

  private Article fetched(String ware) throws Exception {
    fetch(ware).andExpect(status().isAccepted());
    JsonNode f = over(ware);
    assertThat(f.get("state").asText()).as(f.toString()).isEqualTo("done");
    assertThat(f.get("received").asLong()).isEqualTo(f.get("total").asLong());
    return shapes.catalog().article(f.get("article").asText());
  }

  @Test
  void whatIsFetchedIsAnArticleAsTheSupplierDescribesIt() throws Exception {
    Article chair = fetched("HL-1001");
    assertThat(chair.name()).isEqualTo("Slipway armchair");
    assertThat(chair.kind()).isEqualTo("seating/easy");
    assertThat(chair.project()).isEqualTo(project);
    assertThat(chair.about()).isEqualTo("From Harbour Lane Stores, HL-1001.");
    assertThat(chair.size().width()).isCloseTo(0.78, org.assertj.core.api.Assertions.within(1e-4));
    assertThat(chair.recipe().build(chair.size()).isClosed()).isTrue();
    assertThat(shapes.catalog().all().iterator().next()).isEqualTo(chair);
    ask(get("/api/supplier/wares?text=slipway armchair&project=" + project))
        .andExpect(jsonPath("$.found").value(1))
        .andExpect(jsonPath("$.wares[0].article").value(chair.id()));
  }

  @Test
  void picturesComeAlong() throws Exception {
    Article rug = fetched("HL-5001");
    assertThat(rug.recipe().pictures()).isNotEmpty();
    assertThat(rug.recipe().build(rug.size()).uv()).isNotNull();
  }

  @Test
  void aCutLineGoesOnAndTroubleIsTriedAgain() throws Exception {
    trouble(2, 1, 0, false);
    assertThat(fetched("HL-2001").name()).isEqualTo("Driftwood long table");
    trouble(0, 0, 1, false);
    assertThat(fetched("HL-2002").name()).isEqualTo("Driftwood low table");
  }

  @Test
  void whatStaysCutOrDamagedIsSaidAndComesAtTheNextTry() throws Exception {
    trouble(9, 0, 0, false);
    fetch("HL-2003").andExpect(status().isAccepted());
    JsonNode f = over("HL-2003");
    assertThat(f.get("state").asText()).isEqualTo("failed");
    assertThat(f.get("said").asText()).isEqualTo("The line was cut.");
    trouble(0, 0, 9, false);
    fetch("HL-2003");
    assertThat(over("HL-2003").get("said").asText()).isEqualTo("It arrived damaged.");
    trouble(0, 0, 0, false);
    fetched("HL-2003");
  }

  @Test
  void aWrongPasswordIsSaidAndNothingIsShown() throws Exception {
    ask(delete("/api/supplier/session"));
    signIn("candle")
        .andExpect(status().isForbidden())
        .andExpect(jsonPath("$.detail").value(containsString("do not belong together")));
    ask(get("/api/supplier/wares")).andExpect(status().isForbidden());
    fetch("HL-1001").andExpect(status().isForbidden());
  }

  @Test
  void aSupplierWhoIsAwayBlocksNothing() throws Exception {
    Article chair = fetched("HL-1007");
    trouble(0, 0, 0, true);
    ask(get("/api/supplier"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.answers").value(false))
        .andExpect(jsonPath("$.said").value("We are closed."));
    ask(get("/api/supplier/wares")).andExpect(status().isBadGateway());
    ask(get("/api/catalog?text=netmender&project=" + project))
        .andExpect(jsonPath("$.articles[0].id").value(chair.id()));
    ask(get("/api/shapes/" + chair.id() + "/mesh.glb")
            .param("width", "" + chair.size().width())
            .param("depth", "" + chair.size().depth())
            .param("height", "" + chair.size().height()))
        .andExpect(status().isOk());
  }

  @Test
  void theLibraryComesInPages() throws Exception {
    ask(get("/api/supplier/wares?page=3"))
        .andExpect(jsonPath("$.pages").value(3))
        .andExpect(jsonPath("$.found").value(36))
        .andExpect(jsonPath("$.wares.length()").value(12));
    ask(get("/api/supplier/wares?text=no such ware")).andExpect(jsonPath("$.found").value(0));
  }
}
