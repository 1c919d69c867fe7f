package pied.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import pied.server.space.SpaceStore;

/** What has gone wrong before, over HTTP: refused in words, nothing stored, nobody held up. */
@OneServer
class FaultsTest {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final HttpClient HTTP = HttpClient.newHttpClient();

  @LocalServerPort private int port;
  @Autowired private SpaceStore store;
  private String project;
  private String room;

  @BeforeEach
  void newRoom() throws Exception {
    project = json(post("/api/projects", "{'name':'Faults'}")).get("id").asText();
    room =
        json(post(
                "/api/projects/" + project + "/spaces",
                "{'name':'Room','width':6,'depth':4,'height':2.8}"))
            .get("id")
            .asText();
    ok(edit("{'do':'place','piece':'own','article':'stool','at':{'x':2,'z':2}}"));
  }

  private static JsonNode json(HttpResponse<String> r) throws IOException {
    return JSON.readTree(r.body());
  }

  private HttpResponse<String> post(String path, String body) throws Exception {
    return send(
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
            .header("content-type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString(body.replace('\'', '"'))));
  }

  private HttpResponse<String> get(String path, String... headers) throws Exception {
    HttpRequest.Builder r =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path)).GET();
    for (int i = 0; i < headers.length; i += 2) {
      r.header(headers[i], headers[i + 1]);
    }
    return send(r);
  }

  private static HttpResponse<String> send(HttpRequest.Builder r) throws Exception {
    return HTTP.send(
        r.timeout(Duration.ofMinutes(5)).build(), HttpResponse.BodyHandlers.ofString());
  }

  private HttpResponse<String> edit(String edits) throws Exception {
    return post("/api/spaces/" + room + "/edits", "{'edits':[" + edits + "]}");
  }

  private static void ok(HttpResponse<String> r) {
    assertThat(r.statusCode()).as(r.body()).isEqualTo(200);
  }

  /** Refused with a sentence that has these words, and the space is as it was. */
  private void refused(String words, HttpResponse<String> r) throws Exception {
    assertThat(r.statusCode()).as(r.body()).isBetween(400, 499);
    assertThat(json(r).get("detail").asText()).contains(words).hasSizeLessThan(400);
    assertThat(store.view(room).revision()).isEqualTo(seen);
  }

  private long seen = 1;

  // ---- nonsense

  @Test
  void whatIsLeftOutIsAskedFor() throws Exception {
    refused("Say to which step", post("/api/spaces/" + room + "/history/go", "{}"));
    refused("Say which file", post("/api/spaces/" + room + "/handover", "{}"));
    String item =
        "{'id':'x','name':'S','article':'stool','size':{'width':0.36,'depth':0.36,'height':0.46},"
            + "'at':{'x':4,'y':0,'z':2},'turn':0,'group':'g'}";
    String round = "[{'id':'g','name':'G','in':'h'},{'id':'h','name':'H','in':'g'}]";
    refused(
        "deep into one another",
        edit("{'do':'paste','pieces':[" + item + "],'groups':" + round + "}"));
    ok(edit("{'do':'paste','pieces':[" + item + "],'groups':[{'id':'g'}]}"));
  }

  @Test
  void signsOfPrivateUseAreLost() throws Exception {
    ok(edit("{'do':'rename','piece':'own','name':'St\\ue000l5\\ue001ool\\u202e'}"));
    assertThat(store.space(room).piece("own").name()).isEqualTo("Stl5ool");
    ok(get("/api/spaces/" + room + "/history"));
  }

  @Test
  void halfALetterIsRefusedWhereverItStands() throws Exception {
    refused("half a letter", edit("{'do':'rename','piece':'own','name':'a\\ud83d'}"));
    refused("half a letter", post("/api/projects", "{'name':'\\udc00b'}"));
    refused("is not a length", edit("{'do':'size','pieces':['own'],'size':{'height':'\\ud83d'}}"));
    // whole ones are welcome
    ok(edit("{'do':'rename','piece':'own','name':'\\ud83d\\ude00 stool'}"));
  }

  @ParameterizedTest
  @CsvSource({"floor", "ceiling", "wall:A", "'a,b'", "'a\\u0007b'", "' '", "-x"})
  void idsThatMeanSomethingElseAreRefused(String id) throws Exception {
    refused(
        "An id for a piece",
        edit("{'do':'place','piece':'" + id + "','article':'stool','at':{'x':4,'z':2}}"));
    refused(
        "An id for a piece",
        edit(
            "{'do':'putDown','piece':'"
                + id
                + "','carry':{'article':'stool','at':{'x':4,'z':2}}}"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{'do':'moveTo','pieces':['own'],'to':{'x':-99999}} | too far",
        "{'do':'moveBy','pieces':['own'],'by':{'y':5000}} | too far",
        "{'do':'copy','pieces':['own'],'by':{'x':90000}} | too far",
        "{'do':'place','article':'stool','ray':{'from':{'x':1e150,'y':1,'z':1},"
            + "'along':{'x':-1,'y':0,'z':0}}} | line of sight points nowhere",
        "{'do':'putDown','carry':{'article':'stool','ray':{'from':{'x':1e150,'y':1,'z':1},"
            + "'along':{'x':-1,'y':0,'z':0}}}} | line of sight points nowhere",
        "{'do':'putDown','carry':{'pieces':['own'],'at':{'x':2,'z':2},"
            + "'typed':{'slot':'underside','text':'99999999999'}}} | too far",
        "{'do':'putDown','carry':{'article':'stool','at':{'x':2,'z':2},"
            + "'finishes':{'wings':'#112233'}}} | has no part “wings”",
        "{'do':'putDown','carry':{'article':'stool','at':{'x':2,'z':2},"
            + "'finishes':{'seat':null}}} | written as #RRGGBB",
        "{'do':'putDown','carry':{'pieces':['own'],'at':{'x':2,'z':2},'typed':{}}} | what was typed",
        "{'do':'putDown','carry':{'pieces':[null],'at':{'x':2,'z':2}}} | has no id",
        "{'do':'putDown','carry':null} | lacks “carry”",
        "{'do':'place','article':'stool','at':{'x':4,'z':2},'finishes':{'seat':null}} | #RRGGBB",
        "{'do':'opening','kind':'niche','wall':'A','depth':-5} | deep",
        "{'do':'moveWall','wall':'B','by':-8} | ",
        "{'do':'shift','part':'corner:1','by':{'x':-6,'z':0}} | ",
        "{'do':'datum','to':{'x':99999}} | far",
        "{'do':'row','of':[null],'count':3,'at':{'x':1,'z':1}} | gap in the list",
        "{'do':'ring','of':[null],'count':3,'at':{'x':1,'z':1}} | gap in the list",
        "{'do':'trail','of':[null],'along':['wall:A']} | gap in the list",
        "{'do':'scatter','of':[null],'count':3} | gap in the list",
        "{'do':'trail','pieces':['own'],'path':[null,{'x':1,'z':1}]} | gap in the list",
        "{'do':'scatter','pieces':['own'],'outline':[null]} | gap in the list",
        "{'do':'outline','corners':[null]} | ",
        "{'do':'paste','pieces':[null]} | gap in the list",
      })
  void nonsenseIsRefusedInWords(String edit, String words) throws Exception {
    refused(words == null ? "" : words, edit(edit));
  }

  @Test
  void theDoorOfAnotherWallDoesNotBringDownAMoveThatCannotBe() throws Exception {
    ok(edit("{'do':'opening','kind':'door','wall':'A'}"));
    seen = store.view(room).revision();
    refused("", edit("{'do':'moveWall','wall':'B','by':-8}"));
    refused("", edit("{'do':'moveWall','wall':'B','by':-6}"));
    refused("", edit("{'do':'shift','part':'corner:1','by':{'x':-6,'z':0}}"));
    refused("", edit("{'do':'shift','part':'corner:1','by':{'x':-6,'z':0},'free':true}"));
  }

  @Test
  void northIsAnAngleAndADraftHasNumbers() throws Exception {
    ok(edit("{'do':'build','north':-99999}"));
    assertThat(store.space(room).shell().north()).isBetween(-360.0, 360.0);
    seen = store.view(room).revision();
    String draft = "/api/spaces/" + room + "/draft";
    refused(
        "", post(draft, "{'question':{'corners':[{'x':1e300,'z':0}],'pointer':{'x':0,'z':1}}}"));
    refused(
        "", post(draft, "{'question':{'corners':[{'x':'NaN','z':0}],'pointer':{'x':0,'z':1}}}"));
    refused(
        "",
        post(
            draft,
            "{'question':{'corners':[{'x':0,'z':0}],'pointer':{'x':0,'z':1},'typed':'1e99'}}"));
  }

  @Test
  void whatIsNotARequestIsSaidToBeNone() throws Exception {
    refused("well-formed", post("/api/projects", "{'name':'a'} more"));
    refused("well-formed", post("/api/projects", "{'name':'a','name':'b'}"));
    HttpResponse<String> none = post("/api/projects/" + project + "/imports", "{}");
    assertThat(none.statusCode()).isBetween(400, 499);
    HttpResponse<String> any =
        send(
            HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/api/projects"))
                .header("content-type", "*/*")
                .POST(HttpRequest.BodyPublishers.ofString("{}")));
    assertThat(any.statusCode()).isBetween(400, 499);
    assertThat(json(any).get("detail").asText()).isNotBlank();
    HttpResponse<String> error = get("/error");
    assertThat(error.statusCode()).isEqualTo(404);
    assertThat(json(error).get("detail").asText()).contains("nothing under this address");
    assertThat(json(get("/api/nowhere")).get("detail").asText()).contains("nothing under this");
  }

  @Test
  void tooManyEditsAtOnceAreRefusedBeforeAnyIsMade() throws Exception {
    StringBuilder many = new StringBuilder();
    for (int i = 0; i <= 5000; i++) {
      many.append(i == 0 ? "" : ",").append("{'do':'settle','pieces':['own']}");
    }
    refused("up to 5000 edits", edit(many.toString()));
  }

  @Test
  void theInterfaceSaysWhatADraftAsks() throws Exception {
    JsonNode api = json(get("/api/openapi"));
    String ref =
        api.at(
                "/components/schemas/pied.server.space.SpaceWire.DraftRequest/properties/question/$ref")
            .asText();
    assertThat(ref).endsWith("pied.core.tool.shell.Drafting.DraftQuestion");
  }

  // ---- large selections, and answers of a revision

  @Test
  void aLargeSelectionHasACaption() throws Exception {
    List<String> edits = new ArrayList<>();
    List<String> ids = new ArrayList<>();
    for (int i = 0; i < 300; i++) {
      String id = "piece-with-a-long-id-as-the-sheet-makes-them-" + i;
      ids.add("'" + id + "'");
      edits.add(
          "{'do':'place','piece':'"
              + id
              + "','article':'bottle','at':{'x':"
              + (0.2 + 0.25 * (i % 20))
              + ",'z':"
              + (0.2 + 0.22 * (i / 20))
              + "}}");
    }
    ok(edit(String.join(",", edits)));
    HttpResponse<String> r =
        post(
            "/api/spaces/" + room + "/caption",
            "{'pieces':[" + String.join(",", ids) + "],'unit':'cm'}");
    ok(r);
    assertThat(json(r).get("revision").asLong()).isEqualTo(store.view(room).revision());
    assertThat(r.body()).contains("300");
  }

  @Test
  void everyAnswerSaysOfWhichRevisionItIs() throws Exception {
    ok(edit("{'do':'turn','pieces':['own'],'by':30}"));
    for (String path :
        List.of(
            "",
            "/plan",
            "/snags",
            "/schedule",
            "/caption",
            "/shell",
            "/finishes",
            "/pieces/own/reach",
            "/floor?x=1&z=1",
            "/elevation?way=wall&wall=A")) {
      HttpResponse<String> r = get("/api/spaces/" + room + path);
      ok(r);
      assertThat(json(r).path("revision").asLong()).as(path).isEqualTo(2);
    }
    String trial = "{'edits':[{'do':'turn','pieces':['own'],'by':1}]}";
    HttpResponse<String> r = post("/api/spaces/" + room + "/propose", trial);
    assertThat(json(r).get("revision").asLong()).isEqualTo(2);
  }

  @Test
  void finishesAreThoseOfTheSpaceHoweverManyArticlesThereAre() throws Exception {
    JsonNode all = json(get("/api/spaces/" + room + "/finishes")).get("finishes");
    assertThat(all.at("/stool/seat/appearance/colour").asText()).startsWith("#");
    assertThat(json(get("/api/catalog/stool")).get("name").asText()).isEqualTo("Stool");
    assertThat(get("/api/catalog/throne").statusCode()).isEqualTo(422);
  }

  // ---- nobody in

  @Test
  void thePageLetsNothingInFromElsewhereAndIsShownInNoFrame() throws Exception {
    HttpResponse<String> page = get("/");
    String policy = page.headers().firstValue("Content-Security-Policy").orElse("");
    assertThat(policy)
        .contains("default-src 'self'", "frame-ancestors 'none'", "object-src 'none'")
        .doesNotContain("unsafe", "*");
    for (String path : List.of("/", "/api/projects", "/api/nowhere")) {
      var h = get(path).headers();
      assertThat(h.firstValue("X-Content-Type-Options")).as(path).hasValue("nosniff");
      assertThat(h.firstValue("X-Frame-Options")).hasValue("DENY");
      assertThat(h.firstValue("Cross-Origin-Resource-Policy")).hasValue("same-origin");
      assertThat(h.firstValue("Cross-Origin-Opener-Policy")).hasValue("same-origin");
    }
    assertThat(get("/").headers().firstValue("Content-Security-Policy"))
        .as("another word each time")
        .isNotEqualTo(page.headers().firstValue("Content-Security-Policy"));
  }

  @Test
  void whatTheBrowserSaysComesFromAnotherSiteIsTurnedAway() throws Exception {
    String site = "Sec-Fetch-Site";
    assertThat(get("/api/projects", site, "cross-site").statusCode()).isEqualTo(403);
    assertThat(get("/api/projects", site, "same-site").statusCode()).isEqualTo(403);
    assertThat(get("/assets/x.js", site, "cross-site").statusCode()).isEqualTo(403);
    assertThat(get("/api/projects", site, "same-origin").statusCode()).isEqualTo(200);
    assertThat(get("/api/projects", site, "none").statusCode()).isEqualTo(200);
    assertThat(
            get("/", site, "cross-site", "Sec-Fetch-Mode", "navigate", "Sec-Fetch-Dest", "document")
                .statusCode())
        .as("a link to the page")
        .isEqualTo(200);
    assertThat(
            get("/", site, "cross-site", "Sec-Fetch-Mode", "navigate", "Sec-Fetch-Dest", "iframe")
                .statusCode())
        .isEqualTo(403);
  }

  @Test
  void theLiveChannelIsNotCompressed() throws Exception {
    try (Socket s = new Socket("127.0.0.1", port)) {
      s.setSoTimeout(180_000);
      String ask = "Sec-WebSocket-Extensions: permessage-deflate; client_max_window_bits\r\n";
      s.getOutputStream().write(Given.handshake(port, room, ask));
      ByteArrayOutputStream head = new ByteArrayOutputStream();
      InputStream in = s.getInputStream();
      while (!head.toString(StandardCharsets.US_ASCII).contains("\r\n\r\n")) {
        head.write(in.read());
      }
      assertThat(head.toString(StandardCharsets.US_ASCII))
          .startsWith("HTTP/1.1 101")
          .doesNotContainIgnoringCase("permessage-deflate");
    }
  }

  // ---- nobody held up

  @Test
  @Tag("thorough") // they are told after 15 s
  void bodiesHalfSentHoldUpNobody() throws Exception {
    List<Socket> half = new ArrayList<>();
    try {
      for (int i = 0; i < 150; i++) { // more than there are threads
        Socket s = new Socket("127.0.0.1", port);
        s.setSoTimeout(180_000);
        s.getOutputStream()
            .write(
                ("POST /api/spaces/"
                        + room
                        + "/edits HTTP/1.1\r\nHost: 127.0.0.1:"
                        + port
                        + "\r\nContent-Type: application/json\r\nContent-Length: 200\r\n\r\n{\"ed")
                    .getBytes(StandardCharsets.US_ASCII));
        half.add(s);
      }
      ok(get("/api/projects"));
      ok(edit("{'do':'turn','pieces':['own'],'by':10}"));
      // and they are told in the end
      byte[] said = half.get(0).getInputStream().readNBytes(12);
      assertThat(new String(said, StandardCharsets.US_ASCII)).isEqualTo("HTTP/1.1 408");
    } finally {
      for (Socket s : half) {
        s.close();
      }
    }
  }
}
