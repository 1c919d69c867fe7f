package pied.server.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.WebSocket;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import pied.core.edit.Edit;
import pied.core.tool.keep.Remark;
import pied.server.Given;
import pied.server.OneServer;
import pied.server.space.ProjectStore;
import pied.server.space.SpaceStore;
import pied.server.space.SpaceWire.EditRequest;

/** The conversation while carrying, over a real line. */
@OneServer
class LiveChannelTest {
  private static final ObjectMapper JSON = new ObjectMapper();

  @Autowired private SpaceStore store;
  @Autowired private ProjectStore projects;
  @Autowired private LiveChannel channel;
  @LocalServerPort private int port;
  private String room;
  private Line own;

  /** One end of the channel. */
  private final class Line implements WebSocket.Listener {
    final BlockingQueue<JsonNode> heard = new LinkedBlockingQueue<>();
    final java.util.concurrent.CompletableFuture<Integer> closed =
        new java.util.concurrent.CompletableFuture<>();
    private final StringBuilder text = new StringBuilder();
    final WebSocket socket;

    Line() {
      socket =
          HttpClient.newHttpClient()
              .newWebSocketBuilder()
              .buildAsync(URI.create("ws://127.0.0.1:" + port + "/api/live/" + room), this)
              .join();
    }

    @Override
    public CompletionStage<?> onText(WebSocket s, CharSequence data, boolean last) {
      text.append(data);
      if (last) {
        try {
          heard.add(JSON.readTree(text.toString()));
        } catch (java.io.IOException e) {
          throw new IllegalStateException(e);
        }
        text.setLength(0);
      }
      s.request(1);
      return null;
    }

    @Override
    public CompletionStage<?> onClose(WebSocket s, int code, String reason) {
      closed.complete(code);
      return null;
    }

    void say(String message) {
      socket.sendText(message.replace('\'', '"'), true).join();
    }

    /** The next message that has this field. */
    JsonNode next(String field) throws InterruptedException {
      while (true) {
        JsonNode n = heard.poll(20, TimeUnit.SECONDS);
        assertThat(n).as("a message with " + field).isNotNull();
        if (n.has(field)) {
          return n;
        }
      }
    }
  }

  @BeforeEach
  void furnish() {
    room = Given.room(projects);
    store.edit(room, new EditRequest(null, null, "m", List.of(Given.put("s", "stool", 2, 2))));
    own = new Line();
  }

  @AfterEach
  void hangUp() {
    own.socket.abort();
  }

  private static String carry(long number, double x, double z) {
    return "{'ask':"
        + number
        + ",'unit':'cm','carry':{'pieces':['s'],'at':{'x':"
        + x
        + ",'z':"
        + z
        + "}}}";
  }

  @Test
  void eachQuestionIsAnsweredByItsNumberAndNothingIsStored() throws InterruptedException {
    own.say(carry(1, 3, 1));
    assertThat(own.next("answer").get("answer").asLong()).isEqualTo(1);
    own.say(carry(2, 4.5, 3));
    JsonNode second = own.next("answer");
    assertThat(second.get("answer").asLong()).isEqualTo(2);
    assertThat(second.at("/carry/pieces/0/at/x").asDouble()).isCloseTo(4.5, within(1e-9));
    assertThat(second.at("/carry/measures/0/slot").asText()).isEqualTo("moved");
    assertThat(second.at("/carry/measures/0/text").asText()).isEqualTo("250.0");
    assertThat(store.space(room).piece("s").at().x()).isEqualTo(2);
    assertThat(store.view(room).revision()).isEqualTo(1);
  }

  @Test
  void othersSeeWhatIsCarriedUntilItIsPutDown() throws InterruptedException {
    Line other = new Line();
    other.next("revision");
    own.say(carry(1, 4, 3));
    JsonNode seen = other.next("carrier");
    assertThat(seen.at("/carried/0/at/z").asDouble()).isCloseTo(3, within(1e-9));
    own.say("{'ask':0}");
    assertThat(other.next("carrier").get("carried")).isEmpty();
    // and when the line of the one who carries is cut
    own.say(carry(2, 4, 2));
    assertThat(other.next("carrier").get("carried")).hasSize(1);
    own.socket.abort();
    assertThat(other.next("carrier").get("carried")).isEmpty();
    other.socket.abort();
  }

  @Test
  void ofManyQuestionsOnlyTheNewestCount() throws InterruptedException {
    int n = 400;
    for (int i = 1; i <= n; i++) {
      own.say(carry(i, 1 + 4.0 * i / n, 2));
    }
    int answers = 0;
    long last = 0;
    while (last < n) {
      long next = own.next("answer").get("answer").asLong();
      assertThat(next).isGreaterThan(last);
      last = next;
      answers++;
    }
    assertThat(answers).isLessThan(n);
  }

  @Test
  void whatWasAskedBeforeOnePutDownIsStillAnswered() throws InterruptedException {
    for (int i = 1; i <= 60; i++) {
      own.say(carry(i, 3, 1));
      own.say("{'ask':0}");
      assertThat(own.next("answer").get("answer").asLong()).isEqualTo(i);
    }
  }

  @Test
  void aHandFullOfPiecesIsAnswered() throws InterruptedException {
    List<Edit> many = new java.util.ArrayList<>();
    StringBuilder ids = new StringBuilder();
    for (int i = 0; i < 400; i++) {
      String id = "piece-with-an-id-as-long-as-those-made-here-" + i;
      many.add(Given.put(id, "bottle", 0.2 + 0.25 * (i % 20), 0.15 + 0.18 * (i / 20)));
      ids.append(i == 0 ? "'" : ",'").append(id).append("'");
    }
    store.edit(room, new EditRequest(null, null, "m", many));
    own.say("{'ask':1,'carry':{'pieces':[" + ids + "],'at':{'x':3,'z':2},'free':true}}");
    assertThat(own.next("answer").at("/carry/pieces")).hasSize(400);
    // what is too much for any space is refused in words, and the line lives
    own.say("{'ask':2,'carry':{'pieces':['" + "x".repeat(2 << 20) + "']}}");
    JsonNode refused = own.next("answer");
    assertThat(refused.get("answer").asLong()).isEqualTo(2);
    assertThat(refused.get("refused").asText()).contains("too much for one question");
    own.say(carry(3, 3, 1));
    assertThat(own.next("answer").at("/carry/refused").asText()).isEmpty();
  }

  @Test
  void oneWhoDoesNotReadHoldsUpNobodyAndIsSentAway() throws Exception {
    List<Edit> many = new java.util.ArrayList<>();
    List<String> ids = new java.util.ArrayList<>();
    for (int i = 0; i < 300; i++) {
      ids.add("b" + i);
      many.add(Given.put("b" + i, "bottle", 0.2 + 0.25 * (i % 20), 0.2 + 0.22 * (i / 20)));
    }
    store.edit(room, new EditRequest(null, null, "m", many));
    try (java.net.Socket deaf = new java.net.Socket()) {
      deaf.setReceiveBufferSize(2048);
      deaf.connect(new java.net.InetSocketAddress("127.0.0.1", port));
      deaf.getOutputStream().write(Given.handshake(port, room, ""));
      await().atMost(Duration.ofMinutes(3)).until(() -> channel.company()[1] == 2);
      // each of these tells some 250 KB; he is sent away once 16 MB wait for him
      String remark = "n".repeat(Remark.LONGEST - 10);
      int edits = 0;
      while (channel.company()[1] > 1 || edits < 5) {
        Edit all = new Remark(ids, remark + edits++);
        store.edit(room, new EditRequest(null, null, "m", List.of(all)));
        assertThat(edits).as("edits until he is sent away").isLessThan(300);
      }
      // who listens has heard of every one
      long revision = store.view(room).revision();
      while (own.next("changed").at("/changed/revision").asLong() < revision) {
        // the next
      }
    }
  }

  @Test
  void whoAsksForWhatIsNotThereLeavesNothingBehind() throws Exception {
    own.say(carry(1, 3, 1));
    own.next("answer"); // now the server knows of its own line
    int before = channel.company()[0];
    String there = room;
    for (int i = 0; i < 5; i++) {
      room = "not-there-" + i;
      Line lost = new Line();
      assertThat(lost.closed.get(180, TimeUnit.SECONDS)).isEqualTo(1008);
    }
    room = there;
    // who was sent away hears of it before the server has put it all away
    await().atMost(Duration.ofMinutes(3)).until(() -> channel.company()[0] == before);
  }

  @Test
  void whatCannotBeAnsweredIsRefusedInWordsAndTheLineLives() throws InterruptedException {
    own.say("{'ask':9,'carry':null}");
    own.say("{'ask':1,'carry':{'pieces':['nobody'],'at':{'x':1,'z':1}}}");
    assertThat(own.next("answer").get("refused").asText()).contains("no piece “nobody”");
    own.say("{'ask':2,'carry':{'pieces':['s']}}");
    assertThat(own.next("answer").get("refused").asText()).contains("what the pointer points at");
    own.say("{'ask':3,'carry':{'pieces':['s'],'at':{'x':'far','z':1}}}");
    assertThat(own.next("answer").get("refused").asText()).isNotEmpty();
    own.say("no question at all");
    assertThat(own.next("answer").get("refused").asText())
        .isEqualTo("The question cannot be read.");
    own.say(carry(5, 3, 1));
    assertThat(own.next("answer").at("/carry/refused").asText()).isEmpty();
  }
}
