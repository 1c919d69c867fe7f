package pied.server.space;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasSize;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;
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
import pied.core.edit.Edits;
import pied.core.piece.Shapes;
import pied.core.register.Tools;
import pied.core.space.Space;
import pied.core.units.LengthUnit;
import pied.server.Given;
import pied.server.http.Problems;

/** What is proposed over HTTP, and what clicks, pulls and sentences make of it. */
class ProposalControllerTest {
  private final SpaceStore store = mock(SpaceStore.class);
  private final MockMvc http =
      MockMvcBuilders.standaloneSetup(new ProposalController(store))
          .setControllerAdvice(new Problems())
          .setMessageConverters(new MappingJackson2HttpMessageConverter(Tools.json()))
          .build();

  @BeforeEach
  void aRoomWithThreeBlocks() {
    Space bare = new Space(Given.shell(), List.of(), new Shapes(Catalog.shipped()));
    Space space =
        Edits.apply(
                bare,
                List.of(
                    Given.put("a", "block", 1, 2),
                    Given.put("b", "block", 2, 2),
                    Given.put("c", "block", 3.5, 2)),
                LengthUnit.M,
                () -> "x")
            .space();
    when(store.seen("room")).thenReturn(new OpenSpace.Seen("Room", space, 7, 1));
  }

  private ResultActions proposed(String body) throws Exception {
    return http.perform(
        post("/api/spaces/room/propose")
            .contentType(MediaType.APPLICATION_JSON)
            .content(body.replace('\'', '"')));
  }

  @Test
  void aPathIsAskedForPointByPoint() throws Exception {
    String floor = "'point':{'at':{'x':%s,'z':1},'near':0.1}";
    proposed("{'begin':'trail','pieces':['a']," + floor.formatted(1) + "}")
        .andExpect(jsonPath("$.wanting").value(true))
        .andExpect(jsonPath("$.refused").value("Click where the path goes on."))
        .andExpect(jsonPath("$.pointing.back").value(true))
        .andExpect(jsonPath("$.pointing.drawn.points", hasSize(1)));
    String path = "'edits':[{'do':'trail','pieces':['a'],'count':4,'path':[{'x':1,'z':1}]}]";
    proposed("{" + path + "," + floor.formatted(3) + "}")
        .andExpect(jsonPath("$.wanting").value(false))
        .andExpect(jsonPath("$.refused").doesNotExist())
        .andExpect(jsonPath("$.edits[0].path", hasSize(2)))
        .andExpect(jsonPath("$.changed", hasSize(4)));
    proposed("{" + path + ",'back':true}")
        .andExpect(jsonPath("$.edits[0].path", hasSize(0)))
        .andExpect(jsonPath("$.pointing.back").value(false));
  }

  @Test
  void whatIsPulledIsSaidInTheEdit() throws Exception {
    String even = "'edits':[{'do':'spaceOut','pieces':['a','b','c']}]";
    proposed("{" + even + "}")
        .andExpect(jsonPath("$.pointing.pulls").value(true))
        .andExpect(jsonPath("$.edits[0].how").doesNotExist());
    // blocks half a metre wide with even gaps of 0.75; the last by 0.2 over two gaps
    proposed("{" + even + ",'pull':{'piece':'c','by':{'x':0.2,'y':0,'z':0},'free':false}}")
        .andExpect(jsonPath("$.edits[0].by").value(0.85))
        .andExpect(jsonPath("$.edits[0].from").value("first"));
  }

  @Test
  void aSentenceIsUnderstoodAndWhatCannotBeDoneIsSaid() throws Exception {
    proposed("{'text':'900 along wall A','pieces':['a']}")
        .andExpect(jsonPath("$.edits", hasSize(1)))
        .andExpect(jsonPath("$.wanting").value(false))
        .andExpect(jsonPath("$.refused", containsString("room")));
  }

  @Test
  void whatIsInHandIsSaidAsItsCaptionAndKeepsNothing() throws Exception {
    proposed("{'inHand':true,'edits':[{'do':'place','article':'stool','at':{'x':1,'z':1}}]}")
        .andExpect(jsonPath("$.revision").value(7))
        .andExpect(jsonPath("$.changed[0].name").value("Stool"))
        .andExpect(jsonPath("$.words[0].text").value("Stool"))
        .andExpect(jsonPath("$.reach").isNotEmpty())
        .andExpect(jsonPath("$.ids", hasSize(1)))
        .andExpect(jsonPath("$.plan").doesNotExist());
    proposed("{'inHand':true,'edits':[{'do':'moveWall','wall':'B','by':0.5}]}")
        .andExpect(jsonPath("$.plan.inks").isNotEmpty())
        .andExpect(jsonPath("$.part").value("wall:B"));
    verify(store, never()).edit(any(), any());
  }

  @Test
  void aQuestionIsOfOneThing() throws Exception {
    proposed("{}").andExpect(jsonPath("$.detail", containsString("no edits")));
    proposed("{'text':'turn 30','begin':'row','pieces':['a']}").andExpect(status().is(422));
    proposed("{'edits':[null]}").andExpect(status().is(422));
  }
}
