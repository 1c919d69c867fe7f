package pied.server.space;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.client.TestRestTemplate;
import org.springframework.http.HttpEntity;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import pied.core.edit.Edit;
import pied.core.piece.Piece;
import pied.core.units.Refusal;
import pied.server.Given;
import pied.server.OneServer;
import pied.server.space.SpaceWire.By;
import pied.server.space.SpaceWire.Changed;
import pied.server.space.SpaceWire.EditRequest;
import pied.server.space.SpaceWire.StepRequest;

/**
 * What is proposed is done as it was shown, once; and what is cut in one space and put in another.
 */
@OneServer
class ProposalTest {
  private static final By ME = new By("mine", "Anne");
  private static final ObjectMapper JSON = new ObjectMapper();

  @Autowired private SpaceStore store;
  @Autowired private ProjectStore projects;
  @Autowired private TestRestTemplate http;
  private String room;

  @BeforeEach
  void aRoomWithAStool() {
    room = Given.room(projects);
    edit(room, Given.put("a", "stool", 1, 2));
  }

  private Changed edit(String space, Edit... edits) {
    return store.edit(space, new EditRequest(null, null, "m", ME, List.of(edits)));
  }

  private ResponseEntity<JsonNode> post(String path, Object body) {
    HttpHeaders type = new HttpHeaders();
    type.setContentType(MediaType.APPLICATION_JSON);
    return http.postForEntity(
        "/api/spaces/" + room + path, new HttpEntity<>(body.toString(), type), JsonNode.class);
  }

  private JsonNode asked(String question) {
    return post("/propose", question.replace('\'', '"')).getBody();
  }

  /** What does what was proposed, under an id. */
  private static ObjectNode letter(String id, JsonNode proposal) {
    ObjectNode letter = JSON.createObjectNode().put("id", id);
    List.of("edits", "ids", "shown").forEach(f -> letter.set(f, proposal.get(f)));
    return letter;
  }

  private int pieces(String space) {
    return store.space(space).pieces().size();
  }

  @Test
  void aSentenceIsDoneAsItWasShownAndOnceHoweverOftenItIsSent() {
    JsonNode shown = asked("{'text':'3 in a row, 0.2 apart then turn 30','pieces':['a']}");
    ObjectNode letter = letter("enter", shown);
    JsonNode done = post("/edits", letter).getBody();
    assertThat(done.get("changed")).isEqualTo(shown.get("changed"));
    assertThat(done.get("made")).hasSize(2);
    assertThat(pieces(room)).isEqualTo(3);
    // the answer was lost, and one says it again
    assertThat(post("/edits", letter).getBody().get("revision")).isEqualTo(done.get("revision"));
    store.letGo(0);
    assertThat(post("/edits", letter).getBody().get("revision")).isEqualTo(done.get("revision"));
    assertThat(pieces(room)).isEqualTo(3);
    // what is selected once it is done is there
    for (JsonNode id : shown.get("selected")) {
      assertThat(store.space(room).has(id.asText())).isTrue();
    }
  }

  @Test
  void whatIsNoLongerAsItWasShownIsShownAnewFirst() {
    JsonNode shown = asked("{'edits':[{'do':'moveBy','pieces':['a'],'by':{'x':1,'y':0,'z':0}}]}");
    edit(room, Given.put("far", "stool", 5, 3.5));
    // what changed has nothing to do with it
    assertThat(post("/edits", letter("one", shown)).getStatusCode().value()).isEqualTo(200);
    JsonNode next = asked("{'edits':[{'do':'moveBy','pieces':['a'],'by':{'x':1,'y':0,'z':0}}]}");
    edit(room, new pied.core.tool.turn.Turn(List.of("a"), pied.core.edit.Amount.of(45), null));
    ResponseEntity<JsonNode> refused = post("/edits", letter("two", next));
    assertThat(refused.getStatusCode().value()).isEqualTo(409);
    assertThat(refused.getBody().get("detail").asText()).contains("changed since it was shown");
    assertThat(store.space(room).piece("a").stance().at().x()).isEqualTo(2);
    JsonNode anew = asked("{'edits':[{'do':'moveBy','pieces':['a'],'by':{'x':1,'y':0,'z':0}}]}");
    assertThat(post("/edits", letter("two", anew)).getStatusCode().value()).isEqualTo(200);
    assertThat(store.space(room).piece("a").stance().at().x()).isEqualTo(3);
  }

  @Test
  void idsThatAreGivenAreNoOthers() {
    JsonNode shown = asked("{'edits':[{'do':'place','article':'stool','at':{'x':4,'z':1}}]}");
    ObjectNode taken = letter("taken", shown);
    taken.putArray("ids").add("a");
    assertThat(post("/edits", taken).getStatusCode().value()).isEqualTo(422);
    ObjectNode twice = letter("twice", shown);
    twice.putArray("ids").add("n").add("n");
    assertThat(post("/edits", twice).getStatusCode().value()).isEqualTo(422);
    ObjectNode signs = letter("signs", shown);
    signs.putArray("ids").add("\u0007");
    assertThat(post("/edits", signs).getStatusCode().value()).isEqualTo(422);
    assertThat(pieces(room)).isEqualTo(1);
  }

  // ---- cut here, pasted there

  private EditRequest pasted(String id, String from, String... cut) {
    return new EditRequest(
        id,
        null,
        "m",
        null,
        ME,
        List.of(Given.put("p", "stool", 3, 3)),
        null,
        null,
        new SpaceWire.CutElsewhere(from, List.of(cut)));
  }

  @Test
  void whatIsCutGoesWhereItIsPastedInOneActAndComesBackInOne() {
    String other = Given.room(projects);
    List<Piece> before = List.copyOf(store.space(room).pieces());
    Changed done = store.edit(other, pasted("once", room, "a", "gone long ago"));
    assertThat(pieces(room)).isZero();
    assertThat(pieces(other)).isEqualTo(1);
    assertThat(store.edit(other, pasted("once", room, "a")).revision()).isEqualTo(done.revision());
    // undone where it was pasted
    store.letGo(0); // read anew it is known which goes with which
    Changed undone = store.undo(other, new StepRequest(null, ME, null));
    assertThat(undone.said()).containsExactly("In “Room” as well.");
    assertThat(List.copyOf(store.space(room).pieces())).isEqualTo(before);
    assertThat(pieces(other)).isZero();
    // done again, and undone where it was cut
    store.redo(other, new StepRequest(null, ME, null));
    assertThat(pieces(room)).isZero();
    store.undo(room, new StepRequest(null, ME, null));
    assertThat(pieces(room)).isEqualTo(1);
    assertThat(pieces(other)).isZero();
  }

  @Test
  void ifOneOfBothCannotBeNeitherIs() {
    String other = Given.room(projects);
    edit(room, new pied.core.tool.keep.Lock(List.of("a"), true, null));
    assertThatThrownBy(() -> store.edit(other, pasted(null, room, "a")))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("In “Room”: ");
    assertThat(pieces(other)).isZero();
    assertThat(pieces(room)).isEqualTo(1);
    // where it was cut it is changed since: then neither is undone, unless one says so
    edit(room, new pied.core.tool.keep.Lock(List.of("a"), false, null));
    edit(room, Given.put("b", "stool", 3, 2));
    store.edit(other, pasted(null, room, "a"));
    store.edit(
        room,
        new EditRequest(
            null, null, "m", new By("theirs", ""), List.of(Given.put("a", "stool", 5, 1))));
    assertThatThrownBy(() -> store.undo(other, new StepRequest(null, ME, null)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("In “Room”: ");
    assertThat(pieces(other)).isEqualTo(1);
  }

  @Test
  void twoWhoCutFromEachOtherWaitForNobodyForEver() throws Exception {
    String other = Given.room(projects);
    edit(other, Given.put("c", "stool", 1, 1));
    Thread one = new Thread(() -> each(other, room));
    Thread two = new Thread(() -> each(room, other));
    one.start();
    two.start();
    one.join(180_000);
    two.join(180_000);
    assertThat(one.isAlive() || two.isAlive()).isFalse();
    assertThat(pieces(room)).isEqualTo(21);
    assertThat(pieces(other)).isEqualTo(21);
  }

  private void each(String to, String from) {
    for (int i = 0; i < 20; i++) {
      store.edit(
          to,
          new EditRequest(
              null,
              null,
              "m",
              null,
              ME,
              List.of(Given.put(from + i, "stool", 0.5 + 0.2 * i, 3)),
              null,
              null,
              new SpaceWire.CutElsewhere(from, List.of("nothing of this name"))));
    }
  }
}
