package pied.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pied.e2e.Sheet.Studio;

/** Whatever is sent, the answer is a sentence and nothing has changed. */
class BadInputTest {
  private final PiedProcess pied = Studio.PIED;
  private String room;
  private String stranger;

  @BeforeEach
  void rooms() {
    room = pied.newRoom("Bad input");
    stranger = pied.newRoom("Another");
    place(room, "own");
    place(stranger, "foreign");
  }

  private void place(String space, String id) {
    HttpResponse<String> r =
        pied.post(
            "/api/spaces/" + space + "/edits",
            "{\"edits\":[{\"do\":\"place\",\"piece\":\""
                + id
                + "\",\"article\":\"stool\",\"at\":{\"x\":2,\"z\":2}}]}");
    assertThat(r.statusCode()).isEqualTo(200);
  }

  private void refused(int status, String words, String body) {
    JsonNode before = pied.space(room);
    HttpResponse<String> r = pied.post("/api/spaces/" + room + "/edits", body);
    assertThat(r.statusCode()).as(r.body()).isEqualTo(status);
    assertThat(r.headers().firstValue("content-type").orElse(""))
        .startsWith("application/problem+json");
    assertThat(PiedProcess.parse(r.body()).get("detail").asText()).contains(words);
    assertThat(r.body().length()).isLessThan(600);
    assertThat(pied.space(room)).isEqualTo(before);
  }

  private static String edits(String edit) {
    return "{\"edits\":[" + edit + "]}";
  }

  @Test
  void eachIsRefusedInWordsAndNothingChanges() {
    String size = "{\"do\":\"size\",\"pieces\":[\"own\"],\"size\":{\"height\":%s}}";
    refused(422, "is not a size", edits(size.formatted("\"tall\"")));
    refused(422, "is not a length", edits(size.formatted("\"a lot\"")));
    refused(422, "more than zero", edits(size.formatted("-0.5")));
    refused(422, "more than zero", edits(size.formatted("0")));
    refused(422, "out of all measure", edits(size.formatted("1e300")));
    refused(422, "A measure is a number", edits(size.formatted("[1]")));
    refused(
        422,
        "no article “throne”",
        edits("{\"do\":\"place\",\"article\":\"throne\",\"at\":{\"x\":1,\"z\":1}}"));
    refused(422, "no piece “foreign”", edits("{\"do\":\"remove\",\"pieces\":[\"foreign\"]}"));
    refused(
        422,
        "up to 120 letters; this one has 1048576",
        edits("{\"do\":\"rename\",\"piece\":\"own\",\"name\":\"" + "x".repeat(1 << 20) + "\"}"));
    refused(
        413,
        "larger than 4 MB",
        edits("{\"do\":\"rename\",\"piece\":\"own\",\"name\":\"" + "x".repeat(5 << 20) + "\"}"));
    refused(
        409,
        "has changed since you looked",
        "{\"revision\":0,\"edits\":[{\"do\":\"settle\",\"pieces\":[\"own\"]}]}");
    refused(400, "not well-formed JSON", "{\"edits\":[{\"do\":");
    refused(400, "unreadable at", edits("{\"do\":\"settle\",\"pieces\":7}"));
    refused(422, "“levitate” is not an edit", edits("{\"do\":\"levitate\"}"));
    refused(
        422,
        "“colour” has no meaning here",
        edits("{\"do\":\"rename\",\"piece\":\"own\",\"name\":\"A\",\"colour\":1}"));
    refused(422, "no edit in this request", "{\"edits\":[]}");
    refused(422, "has no edits", "{}");
    refused(
        422,
        "is not a unit",
        "{\"unit\":\"cubit\",\"edits\":[{\"do\":\"settle\",\"pieces\":[\"own\"]}]}");
    refused(
        422,
        "Edit 2",
        edits(
            "{\"do\":\"rename\",\"piece\":\"own\",\"name\":\"A\"},{\"do\":\"settle\",\"pieces\":[\"nobody\"]}"));
    refused(
        422,
        "inside the room",
        edits("{\"do\":\"place\",\"article\":\"stool\",\"at\":{\"x\":99,\"z\":1}}"));
  }

  @Test
  void unknownSpacesAndStrangersAreTurnedAway() throws IOException {
    assertThat(pied.get("/api/spaces/nowhere").statusCode()).isEqualTo(404);
    assertThat(
            pied.post("/api/spaces/nowhere/edits", edits("{\"do\":\"settle\",\"pieces\":[\"a\"]}"))
                .statusCode())
        .isEqualTo(404);
    URI home = URI.create(pied.url() + "/api/projects");
    assertThat(
            pied.send(HttpRequest.newBuilder(home).header("Origin", "http://elsewhere.example"))
                .statusCode())
        .isEqualTo(403);
    assertThat(pied.send(HttpRequest.newBuilder(home).header("Origin", pied.url())).statusCode())
        .isEqualTo(200);
    assertThat(
            raw(
                "GET /api/projects HTTP/1.1\r\nHost: elsewhere.example\r\nConnection: close\r\n\r\n"))
        .startsWith("HTTP/1.1 421");
    assertThat(
            raw(
                "GET /api/live/"
                    + room
                    + " HTTP/1.1\r\nHost: 127.0.0.1:"
                    + home.getPort()
                    + "\r\nOrigin: http://elsewhere.example\r\nUpgrade: websocket\r\nConnection: Upgrade\r\n"
                    + "Sec-WebSocket-Version: 13\r\nSec-WebSocket-Key: AAAAAAAAAAAAAAAAAAAAAA==\r\n\r\n"))
        .startsWith("HTTP/1.1 403");
  }

  private String raw(String request) throws IOException {
    URI home = URI.create(pied.url());
    try (Socket socket = new Socket(home.getHost(), home.getPort())) {
      socket.setSoTimeout(10_000);
      socket.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
      InputStream in = socket.getInputStream();
      return new String(in.readNBytes(20), StandardCharsets.US_ASCII);
    }
  }

  @Test
  void theSameRequestSentTwiceIsDoneOnce() {
    String body =
        "{\"id\":\"once\",\"edits\":[{\"do\":\"moveBy\",\"pieces\":[\"own\"],\"by\":{\"x\":\"10cm\"}}]}";
    String first = pied.post("/api/spaces/" + room + "/edits", body).body();
    String second = pied.post("/api/spaces/" + room + "/edits", body).body();
    assertThat(second).isEqualTo(first);
    assertThat(pied.piece(room, "stool").at("/at/x").asDouble()).isEqualTo(2.1);
  }

  @Test
  void theApiIsDescribed() {
    JsonNode openApi = pied.json("/api/openapi");
    assertThat(openApi.get("paths").has("/api/spaces/{id}/edits")).isTrue();
    assertThat(pied.get("/api/docs").statusCode()).isIn(200, 302);
    assertThat(pied.json("/api/health").get("status").asText()).isEqualTo("UP");
  }
}
