package pied.server.space;

import static org.hamcrest.Matchers.hasSize;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.http.converter.json.MappingJackson2HttpMessageConverter;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import pied.core.catalog.Catalog;
import pied.core.edit.Declined;
import pied.core.edit.Edits;
import pied.core.edit.Offer;
import pied.core.piece.Shapes;
import pied.core.register.Tools;
import pied.core.space.Space;
import pied.core.units.LengthUnit;
import pied.core.units.Message;
import pied.core.units.Refusal;
import pied.server.Given;
import pied.server.http.Problems;

/** Points, handles and yardsticks over HTTP, and what is offered beside a refusal. */
class MeasuringControllerTest {
  private final SpaceStore store = mock(SpaceStore.class);
  private final MockMvc http =
      MockMvcBuilders.standaloneSetup(new MeasuringController(store), new SpaceController(store))
          .setControllerAdvice(new Problems())
          .setMessageConverters(new MappingJackson2HttpMessageConverter(Tools.json()))
          .build();

  @BeforeEach
  void aRoomWithABlock() {
    Space bare = new Space(Given.shell(), List.of(), new Shapes(Catalog.shipped()));
    Space space =
        Edits.apply(bare, List.of(Given.put("b", "block", 2, 2)), LengthUnit.M, () -> "x").space();
    when(store.seen("room")).thenReturn(new OpenSpace.Seen("Room", space, 7, 1));
  }

  private ResultActions sent(String path, String body) throws Exception {
    return http.perform(
        post("/api/spaces/room" + path)
            .contentType(MediaType.APPLICATION_JSON)
            .content(body.replace('\'', '"')));
  }

  @Test
  void aPointIsMeasuredFromTheOneBefore() throws Exception {
    String ray = "'ray':{'from':{'x':2.24,'y':9,'z':1.76},'along':{'x':0,'y':-1,'z':0}},'near':0.1";
    sent("/point", "{'pieces':['b']," + ray + "}")
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.revision").value(7))
        .andExpect(jsonPath("$.at.x").value(2.25))
        .andExpect(jsonPath("$.words").value("the right back corner of its top"))
        .andExpect(jsonPath("$.text").value(""));
    sent("/point", "{'pieces':['b'],'from':{'x':1.75,'y':0.5,'z':1.75},'unit':'cm'," + ray + "}")
        .andExpect(jsonPath("$.length").value(0.5))
        .andExpect(jsonPath("$.text").value("50.0"))
        .andExpect(jsonPath("$.along").value("width"));
    sent("/point", "{'pieces':['b'],'near':0.1}")
        .andExpect(status().isUnprocessableEntity())
        .andExpect(jsonPath("$.detail").value("The edit lacks “ray”."));
  }

  @Test
  void handlesAndYardsticksComeInTheUnitChosen() throws Exception {
    http.perform(get("/api/spaces/room/pieces/b/handles?unit=mm&about=left under middle"))
        .andExpect(jsonPath("$.handles.marks", hasSize(27)))
        .andExpect(jsonPath("$.handles.tabs[0].text").value("500"))
        .andExpect(jsonPath("$.handles.dial.centre.x").value(1.75));
    http.perform(get("/api/spaces/room/yardstick?piece=b&what=person&size=150&unit=cm"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$.piece.name").value("A person, 150.0"));
    http.perform(get("/api/spaces/room/yardstick?piece=b&what=block&size=tall"))
        .andExpect(status().isUnprocessableEntity());
  }

  @Test
  void whatCanBeDoneInsteadComesWithTheRefusal() throws Exception {
    Offer offer = new Offer("Stretch it anyway", List.of(Given.put("c", "stool", 1, 1)));
    Declined no =
        new Declined(new Refusal("It comes in {} only.", Message.length(0.4)), List.of(offer));
    when(store.edit(org.mockito.ArgumentMatchers.any(), org.mockito.ArgumentMatchers.any()))
        .thenThrow(no);
    sent("/edits", "{'edits':[{'do':'settle','pieces':['b']}]}")
        .andExpect(status().isUnprocessableEntity())
        .andExpect(jsonPath("$.detail").value("It comes in 0.40 m only."))
        .andExpect(jsonPath("$.properties.code").value("It comes in {} only."))
        .andExpect(jsonPath("$.properties.arguments[0]").value("0.40 m"))
        .andExpect(jsonPath("$.properties.offers[0].words").value("Stretch it anyway"));
  }
}
