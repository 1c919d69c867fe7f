package pied.server.still;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.function.Predicate;
import org.springframework.boot.test.web.client.TestRestTemplate;
import org.springframework.http.HttpEntity;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import pied.server.still.StillRow.StillState;
import pied.server.still.StillWire.StillView;

/** Asks for stills of a space, and waits for them. */
record StillClient(TestRestTemplate http, String space) {
  /** So long one is waited for at most, milliseconds. */
  private static final long LONG = 60_000;

  static HttpEntity<String> body(String json) {
    HttpHeaders headers = new HttpHeaders();
    headers.setContentType(MediaType.APPLICATION_JSON);
    return new HttpEntity<>(json.replace('\'', '"'), headers);
  }

  void edit(String edit) {
    String all = "{'id':'" + UUID.randomUUID() + "','edits':[" + edit + "]}";
    ResponseEntity<String> r =
        http.postForEntity("/api/spaces/" + space + "/edits", body(all), String.class);
    assertThat(r.getStatusCode().is2xxSuccessful()).as(r.getBody()).isTrue();
  }

  StillView ask(String viewpoint, String size, String grade) {
    return http.postForObject(
        "/api/spaces/" + space + "/stills",
        body("{'viewpoint':'%s','size':'%s','grade':'%s'}".formatted(viewpoint, size, grade)),
        StillView.class);
  }

  StillView one(String id) {
    return http.getForObject("/api/stills/" + id, StillView.class);
  }

  List<StillView> all() {
    return Arrays.asList(http.getForObject("/api/spaces/" + space + "/stills", StillView[].class));
  }

  StillView until(String id, Predicate<StillView> is) throws InterruptedException {
    long end = System.currentTimeMillis() + LONG;
    StillView v = one(id);
    while (!is.test(v)) {
      assertThat(System.currentTimeMillis()).as("%s", v).isLessThan(end);
      Thread.sleep(30);
      v = one(id);
    }
    return v;
  }

  StillView made(String id) throws InterruptedException {
    return until(id, v -> v.state() == StillState.made);
  }
}
