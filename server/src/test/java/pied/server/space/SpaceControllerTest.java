package pied.server.space;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.hasSize;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import org.springframework.http.MediaType;
import org.springframework.http.converter.json.MappingJackson2HttpMessageConverter;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import pied.core.catalog.Catalog;
import pied.core.edit.Edits;
import pied.core.edit.Offer;
import pied.core.piece.Shapes;
import pied.core.register.Tools;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.tool.move.MoveBy;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;
import pied.server.Given;
import pied.server.http.Problems;
import pied.server.space.SpaceWire.By;
import pied.server.space.SpaceWire.Changed;
import pied.server.space.SpaceWire.EditRequest;
import pied.server.space.SpaceWire.GoRequest;
import pied.server.space.SpaceWire.StepRequest;
import pied.server.store.Missing;

/** How a space is spoken with over HTTP: what is understood, and how every refusal reads. */
class SpaceControllerTest {
  private static final Shapes SHAPES = new Shapes(Catalog.shipped());

  private final SpaceStore store = mock(SpaceStore.class);
  private final ProjectStore projects = mock(ProjectStore.class);
  private final MockMvc http =
      MockMvcBuilders.standaloneSetup(new SpaceController(store), new ProjectController(projects))
          .setControllerAdvice(new Problems())
          // as the application has it: what has no meaning is refused
          .setMessageConverters(new MappingJackson2HttpMessageConverter(Tools.json()))
          .build();

  @BeforeEach
  void aRoomWithAStoolAndATable() {
    Space bare = new Space(Given.shell(), List.of(), SHAPES);
    Space space =
        Edits.apply(
                bare,
                List.of(Given.put("s", "stool", 2, 2), Given.put("t", "cafe-table", 4, 2)),
                LengthUnit.M,
                () -> "x")
            .space();
    when(store.seen("room")).thenReturn(new OpenSpace.Seen("Room", space, 7, 1));
    Missing none = missing();
    when(store.seen("none")).thenThrow(none);
  }

  private static Missing missing() {
    Missing e = mock(Missing.class);
    when(e.getMessage()).thenReturn("There is no such space.");
    return e;
  }

  private static MockHttpServletRequestBuilder sent(String path, String body) {
    return post(path).contentType(MediaType.APPLICATION_JSON).content(body.replace('\'', '"'));
  }

  private ResultActions edited(String body) throws Exception {
    return http.perform(sent("/api/spaces/room/edits", body));
  }

  private ResultActions refusedWith(Throwable e) throws Exception {
    when(store.edit(any(), any())).thenThrow(e);
    return edited("{'edits':[{'do':'settle','pieces':['s']}]}");
  }

  // ---- edits

  @Test
  void editsAreReadWithTextsAndNumbers() throws Exception {
    Changed changed =
        new Changed(
            8,
            List.of(),
            List.of(),
            List.of(),
            List.of("Said."),
            List.of(),
            false,
            null,
            null,
            null,
            null,
            true,
            false);
    when(store.edit(eq("room"), any())).thenReturn(changed);
    edited(
            "{'id':'r1','revision':7,'unit':'cm','edits':[{'do':'moveBy','pieces':['s'],"
                + "'by':{'x':'12 in','z':0.5}}]}")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.revision").value(8))
        .andExpect(jsonPath("$.said[0]").value("Said."));
    ArgumentCaptor<EditRequest> read = ArgumentCaptor.forClass(EditRequest.class);
    verify(store).edit(eq("room"), read.capture());
    assertThat(read.getValue().id()).isEqualTo("r1");
    assertThat(read.getValue().revision()).isEqualTo(7);
    MoveBy move = (MoveBy) read.getValue().edits().get(0);
    assertThat(move.by().x().text()).isEqualTo("12 in");
    assertThat(move.by().z().metres(LengthUnit.CM)).isEqualTo(0.5);
  }

  @Test
  void whatIsNoEditIsRefusedBeforeAnythingIsAsked() throws Exception {
    edited("{'edits':[{'do':'conjure'}]}")
        .andExpect(status().isUnprocessableEntity())
        .andExpect(jsonPath("$.detail").value("“conjure” is not an edit Pied knows."));
    edited("{'edits':[{'do':'settle','pieces':['s'],'height':3}]}")
        .andExpect(status().isUnprocessableEntity())
        .andExpect(jsonPath("$.detail").value("“height” has no meaning here."));
    edited("{'edits':[{'do':'moveTo','pieces':['s'],'to':{'x':[1]}}]}")
        .andExpect(status().isUnprocessableEntity())
        .andExpect(jsonPath("$.title").value("Refused"));
    edited("{'edits':[{'do':'settle','pieces':{'a':1}}]}")
        .andExpect(status().isBadRequest())
        .andExpect(
            jsonPath("$.detail").value("The request has something unreadable at edits/0/pieces."));
    edited("{'edits':[")
        .andExpect(status().isBadRequest())
        .andExpect(jsonPath("$.detail").value("The request is not well-formed JSON."));
    http.perform(post("/api/spaces/room/edits").contentType(MediaType.TEXT_PLAIN).content("move"))
        .andExpect(status().isUnsupportedMediaType());
    verify(store, org.mockito.Mockito.never()).edit(any(), any());
  }

  @Test
  void aRefusalIsSaidInItsWords() throws Exception {
    refusedWith(new Refusal("The stool does not fit there."))
        .andExpect(status().isUnprocessableEntity())
        .andExpect(jsonPath("$.title").value("Refused"))
        .andExpect(jsonPath("$.detail").value("The stool does not fit there."));
  }

  @Test
  void whoHasSeenAnOlderOneIsToldSo() throws Exception {
    SpaceStore.Stale e = mock(SpaceStore.Stale.class);
    when(e.getMessage()).thenReturn("The space has changed.");
    refusedWith(e)
        .andExpect(status().isConflict())
        .andExpect(jsonPath("$.detail").value("The space has changed."));
  }

  @Test
  void whoComesWhileOthersAreAtWorkMayComeAgain() throws Exception {
    SpaceStore.Busy e = mock(SpaceStore.Busy.class);
    when(e.getMessage()).thenReturn("Something large is being done.");
    refusedWith(e)
        .andExpect(status().isServiceUnavailable())
        .andExpect(header().string("Retry-After", "1"));
  }

  @Test
  void whatIsPiedsFaultIsNotShown() throws Exception {
    refusedWith(new IllegalStateException("inside"))
        .andExpect(status().isInternalServerError())
        .andExpect(
            jsonPath("$.detail").value(org.hamcrest.Matchers.containsString("nothing was changed")))
        .andExpect(jsonPath("$.detail").value(org.hamcrest.Matchers.not("inside")));
  }

  @Test
  void undoAndRedoNeedNoBody() throws Exception {
    http.perform(post("/api/spaces/room/undo")).andExpect(status().isOk());
    verify(store).undo("room", null);
    http.perform(sent("/api/spaces/room/redo", "{'id':'r'}")).andExpect(status().isOk());
    verify(store).redo("room", new StepRequest("r"));
    http.perform(
            sent(
                "/api/spaces/room/undo", "{'by':{'window':'w','who':'Anne'},'how':'undoPossible'}"))
        .andExpect(status().isOk());
    verify(store)
        .undo("room", new StepRequest(null, new By("w", "Anne"), Offer.OfferStep.undoPossible));
    http.perform(sent("/api/spaces/room/history/go", "{'to':3}")).andExpect(status().isOk());
    verify(store).go("room", new GoRequest(null, null, 3L, null));
  }

  // ---- what is meant

  private ResultActions selected(String meant) throws Exception {
    return http.perform(sent("/api/spaces/room/select", "{'meant':" + meant + "}"));
  }

  @Test
  void whatIsMeantIsFound() throws Exception {
    selected("{'by':'article','value':'stool'}")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.revision").value(7))
        .andExpect(jsonPath("$.pieces[0]").value("s"))
        .andExpect(jsonPath("$.pieces.length()").value(1));
    selected("{'by':'figure','figure':[{'x':1,'z':1},{'x':3,'z':3}]}")
        .andExpect(jsonPath("$.pieces[0]").value("s"));
    selected(
            "{'by':'figure','figure':[{'x':0,'z':-3},{'x':6,'z':0.2}],'touched':true,"
                + "'drawing':{'look':{'way':'wall','wall':'A','at':3},'view':null}}")
        .andExpect(jsonPath("$.pieces.length()").value(2));
    selected("{'by':'named','value':'Tea'}")
        .andExpect(status().isUnprocessableEntity())
        .andExpect(jsonPath("$.detail").value("There is no selection of the name “Tea”."));
    selected("{'by':'chance'}").andExpect(status().isBadRequest());
    selected("null")
        .andExpect(status().isUnprocessableEntity())
        .andExpect(jsonPath("$.detail").value("Say by what they are selected."));
  }

  @Test
  void whatIsHeldReadyComesWholeOrWithAReason() throws Exception {
    http.perform(sent("/api/spaces/room/clip", "{'pieces':['s']}"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.revision").value(7))
        .andExpect(jsonPath("$.pieces[0].article").value("stool"))
        .andExpect(jsonPath("$.groups").isEmpty());
    http.perform(sent("/api/spaces/room/clip", "{'pieces':['gone']}"))
        .andExpect(status().isUnprocessableEntity());
    http.perform(sent("/api/spaces/room/clip", "{}")).andExpect(status().isUnprocessableEntity());
  }

  // ---- questions

  @Test
  void everyAnswerSaysOfWhichRevisionItIs() throws Exception {
    for (String path :
        List.of("schedule", "snags", "finishes", "caption?pieces=s", "pieces/s/reach")) {
      http.perform(get("/api/spaces/room/" + path))
          .andExpect(status().isOk())
          .andExpect(jsonPath("$.revision").value(7));
      http.perform(get("/api/spaces/none/" + path))
          .andExpect(status().isNotFound())
          .andExpect(jsonPath("$.detail").value("There is no such space."));
    }
  }

  @Test
  void theScheduleIsInTheUnitAskedFor() throws Exception {
    http.perform(get("/api/spaces/room/schedule?unit=cm"))
        .andExpect(jsonPath("$.rows", hasSize(2)))
        .andExpect(jsonPath("$.rows[1].name").value("Stool"))
        .andExpect(jsonPath("$.rows[1].size").value("36.0 × 36.0 × 46.0"));
    http.perform(get("/api/spaces/room/schedule?unit=furlong"))
        .andExpect(status().isUnprocessableEntity());
  }

  @Test
  void theReachIsInNumbersAndInWords() throws Exception {
    http.perform(get("/api/spaces/room/pieces/s/reach?unit=cm"))
        .andExpect(jsonPath("$.reach[?(@.side=='left')].distance").value(hasSize(1)))
        .andExpect(jsonPath("$.reach[?(@.side=='left')].text").value("182.0"))
        .andExpect(jsonPath("$.reach[?(@.side=='left')].toName").value("wall D"));
    http.perform(get("/api/spaces/room/pieces/nobody/reach"))
        .andExpect(status().isUnprocessableEntity());
  }

  @Test
  void aCaptionOfManyIsAskedForInABody() throws Exception {
    http.perform(sent("/api/spaces/room/caption", "{'pieces':['s','t'],'unit':'mm'}"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.phrases").isNotEmpty());
    http.perform(sent("/api/spaces/room/caption", "{}")).andExpect(status().isOk());
  }

  @Test
  void aNewSpaceIsMadeInTheUnitGiven() throws Exception {
    when(projects.newSpace(any(), any(), any()))
        .thenReturn(new pied.server.space.SpaceWire.SpaceName("id", "Snug", 0, ""));
    http.perform(
            sent(
                "/api/projects/p/spaces",
                "{'name':'Snug','unit':'cm','width':4.2,'depth':'3.6 m','height':'250'}"))
        .andExpect(status().isCreated());
    ArgumentCaptor<Shell> shell = ArgumentCaptor.forClass(Shell.class);
    verify(projects).newSpace(eq("p"), eq("Snug"), shell.capture());
    assertThat(shell.getValue().height()).isEqualTo(2.5);
    http.perform(sent("/api/projects/p/spaces", "{'name':'Snug','width':4,'depth':3}"))
        .andExpect(status().isUnprocessableEntity())
        .andExpect(jsonPath("$.detail").value("A new space needs a height."));
  }
}
