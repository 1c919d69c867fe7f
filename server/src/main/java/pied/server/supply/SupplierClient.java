package pied.server.supply;

import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import pied.core.size.Size;

/** Talks to a supplier's service over HTTP. It keeps nothing. */
@Component
class SupplierClient {
  private static final Duration CONNECT = Duration.ofSeconds(3);
  private static final Duration ANSWER = Duration.ofSeconds(10);
  private static final ObjectMapper JSON =
      new ObjectMapper().disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES);

  private final HttpClient http =
      HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).connectTimeout(CONNECT).build();
  private final URI base;

  /**
   * @param base where it answers; empty for no supplier
   */
  SupplierClient(@Value("${pied.supplier.url}") String base) {
    this.base = base.isBlank() ? null : URI.create(base);
  }

  /** It does not answer, or not sensibly. */
  static final class Down extends RuntimeException {
    private static final long serialVersionUID = 1;

    Down(String why) {
      super(why);
    }
  }

  /** It turns a request down. */
  static final class TurnedDown extends RuntimeException {
    private static final long serialVersionUID = 1;
    final int status;

    TurnedDown(int status, String why) {
      super(why);
      this.status = status;
    }
  }

  /** One thing it has, as it describes it. */
  record Ware(
      String id,
      String name,
      String kind,
      Size size,
      String mounting,
      double weight,
      int price,
      long bytes,
      String sha256) {}

  /** A page of its library. */
  record LibraryPage(int found, int page, int pages, List<Ware> wares) {}

  /**
   * A model on its way.
   *
   * @param whether it goes on where it was cut off; else it begins anew
   * @param tag of this version of it, to go on later; may be null
   */
  record Flow(InputStream bytes, boolean resumed, String tag) {}

  /** What it says of itself. */
  JsonNode about() {
    return json(send(request("/", null).GET()));
  }

  /** Signs in; a token for later requests. */
  String signIn(String user, String password) {
    try {
      byte[] body = JSON.writeValueAsBytes(Map.of("user", user, "password", password));
      return json(send(
              request("/session", null)
                  .header("Content-Type", "application/json")
                  .POST(HttpRequest.BodyPublishers.ofByteArray(body))))
          .path("token")
          .asText();
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  LibraryPage page(String token, String text, int page) {
    String q = "?page=" + page + "&text=" + URLEncoder.encode(text, StandardCharsets.UTF_8);
    return value(send(request("/library" + q, token).GET()), LibraryPage.class);
  }

  Ware ware(String token, String id) {
    return value(send(request(path(id), token).GET()), Ware.class);
  }

  /**
   * Its model file.
   *
   * @param from how much of it is there already, bytes
   * @param tag of the version of which that is
   */
  Flow model(String token, String id, long from, String tag) {
    HttpRequest.Builder r = request(path(id) + "/model", token).GET();
    if (from > 0 && tag != null) {
      r.header("Range", "bytes=" + from + "-").header("If-Range", tag);
    }
    HttpResponse<InputStream> answer = raw(r, HttpResponse.BodyHandlers.ofInputStream());
    if (answer.statusCode() != 200 && answer.statusCode() != 206) {
      try (InputStream in = answer.body()) {
        throw down(answer.statusCode(), in.readNBytes(4096));
      } catch (IOException e) {
        throw new Down("The supplier broke off.");
      }
    }
    return new Flow(
        answer.body(),
        answer.statusCode() == 206,
        answer.headers().firstValue("ETag").orElse(null));
  }

  private static String path(String id) {
    return "/library/" + URLEncoder.encode(id, StandardCharsets.UTF_8);
  }

  private HttpRequest.Builder request(String path, String token) {
    if (base == null) {
      throw new Down("No supplier is set up. Start Pied with --supplier and the address of one.");
    }
    HttpRequest.Builder r = HttpRequest.newBuilder(base.resolve(path)).timeout(ANSWER);
    return token == null ? r : r.header("Authorization", "Bearer " + token);
  }

  private byte[] send(HttpRequest.Builder r) {
    HttpResponse<byte[]> answer = raw(r, HttpResponse.BodyHandlers.ofByteArray());
    if (answer.statusCode() != 200) {
      throw down(answer.statusCode(), answer.body());
    }
    return answer.body();
  }

  private static RuntimeException down(int status, byte[] body) {
    String why = "";
    try {
      why = JSON.readTree(body).path("why").asText("");
    } catch (IOException e) {
      // it said nothing that can be read
    }
    return status >= 500
        ? new Down(why.isEmpty() ? "The supplier has trouble (" + status + ")." : why)
        : new TurnedDown(status, why.isEmpty() ? "The supplier said no (" + status + ")." : why);
  }

  private <T> HttpResponse<T> raw(HttpRequest.Builder r, HttpResponse.BodyHandler<T> how) {
    try {
      return http.send(r.build(), how);
    } catch (IOException e) {
      throw new Down("The supplier does not answer.");
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new Down("Stopped.");
    }
  }

  private static JsonNode json(byte[] bytes) {
    return value(bytes, JsonNode.class);
  }

  private static <T> T value(byte[] bytes, Class<T> type) {
    try {
      return JSON.readValue(bytes, type);
    } catch (IOException e) {
      throw new Down("The supplier answered something that cannot be read.");
    }
  }
}
