package pied.e2e;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/** Pied running as a process of its own, and its API as a script would use it. */
final class PiedProcess implements AutoCloseable {
  private static final ObjectMapper JSON = new ObjectMapper();

  private final HttpClient http = HttpClient.newHttpClient();
  private final Path data;
  private final int port;
  private final List<String> more;
  private Process process;

  /**
   * @param more arguments
   */
  PiedProcess(String... more) {
    this(true, more);
  }

  /**
   * @param start whether it is started
   */
  PiedProcess(boolean start, String... more) {
    this.more = List.of(more);
    try {
      data = Files.createTempDirectory("pied-e2e");
      try (ServerSocket free = new ServerSocket(0)) {
        port = free.getLocalPort();
      }
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
    if (start) {
      start();
    }
  }

  /** Starts it on the data of before; waits until it answers. */
  void start() {
    launch();
    try {
      long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(120);
      while (!answers()) {
        if (!process.isAlive() || System.nanoTime() > end) {
          throw new IllegalStateException(
              "Pied did not start: " + Files.readString(data.resolve("log")));
        }
        Thread.sleep(150);
      }
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Starts it, and waits for nothing. */
  void launch() {
    // it lives for a minute or two, beside a browser: compiling thoroughly would not pay
    List<String> command =
        new ArrayList<>(
            List.of(
                System.getProperty("java.home") + "/bin/java",
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1"));
    Path app = Path.of("../.pied/app");
    Path jar = Path.of("../server/target/pied.jar");
    if (Files.exists(app.resolve("pied.jsa"))
        && app.resolve("pied.jsa").toFile().lastModified() > jar.toFile().lastModified()) {
      command.addAll(List.of("-XX:SharedArchiveFile=" + app.resolve("pied.jsa"), "-Xlog:disable"));
      jar = app.resolve("pied.jar");
    }
    command.addAll(
        List.of(
            "-jar",
            jar.toString(),
            "--server.port=" + port,
            "--pied.demo=true",
            "--pied.cards.after=-1",
            "--pied.data=" + data));
    command.addAll(more);
    try {
      process =
          new ProcessBuilder(command)
              .redirectErrorStream(true)
              .redirectOutput(ProcessBuilder.Redirect.appendTo(data.resolve("log").toFile()))
              .start();
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  private boolean answers() throws InterruptedException {
    try {
      return get("/api/health/readiness").statusCode() == 200;
    } catch (IllegalStateException e) {
      return false;
    }
  }

  /** SIGKILL. */
  void kill() {
    process.destroyForcibly();
    try {
      process.waitFor();
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /** SIGTERM: it ends in order, in its own time. */
  void end() {
    process.destroy();
  }

  String url() {
    return "http://127.0.0.1:" + port;
  }

  HttpResponse<String> get(String path) {
    return send(HttpRequest.newBuilder(URI.create(url() + path)).GET());
  }

  HttpResponse<String> post(String path, String body) {
    return send(
        HttpRequest.newBuilder(URI.create(url() + path))
            .header("content-type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString(body)));
  }

  HttpResponse<String> send(HttpRequest.Builder request) {
    try {
      return http.send(
          request.timeout(Duration.ofSeconds(30)).build(), HttpResponse.BodyHandlers.ofString());
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  JsonNode json(String path) {
    return parse(get(path).body());
  }

  static JsonNode parse(String text) {
    try {
      return JSON.readTree(text);
    } catch (IOException e) {
      throw new IllegalStateException(text, e);
    }
  }

  /** The demo's tea room. */
  String teaRoom() {
    return json("/api/projects").at("/0/spaces/0/id").asText();
  }

  /** A new empty room of its own, 6 × 4 × 2.80. */
  String newRoom(String name) {
    return newRoom(name, 6, 4, 2.8);
  }

  String newRoom(String name, double width, double depth, double height) {
    String project = json("/api/projects").at("/0/id").asText();
    String room =
        String.format(
            Locale.ROOT,
            "{\"name\":\"%s\",\"width\":%s,\"depth\":%s,\"height\":%s}",
            name,
            width,
            depth,
            height);
    return parse(post("/api/projects/" + project + "/spaces", room).body()).get("id").asText();
  }

  /** A new empty stage of its own, 10 × 8, the grid at 6.00. */
  String newStage(String name) {
    String project = json("/api/projects").at("/0/id").asText();
    String stage = "{\"name\":\"" + name + "\",\"width\":10,\"depth\":8,\"height\":6,\"stage\":{}}";
    return parse(post("/api/projects/" + project + "/spaces", stage).body()).get("id").asText();
  }

  /**
   * Does edits in a space.
   *
   * @param edit as JSON in which ' stands for " and numbers are filled in
   */
  void edit(String space, String edit, Object... values) {
    String one = String.format(Locale.ROOT, edit.replace('\'', '"'), values);
    HttpResponse<String> answer =
        post("/api/spaces/" + space + "/edits", "{\"edits\":[" + one + "]}");
    if (answer.statusCode() != 200) {
      throw new IllegalStateException(one + ": " + answer.body());
    }
  }

  /** Places an article at a point of the floor. */
  void place(String space, String piece, String article, double x, double z) {
    edit(
        space,
        "{'do':'place','piece':'%s','article':'%s','at':{'x':%s,'z':%s}}",
        piece,
        article,
        x,
        z);
  }

  JsonNode space(String id) {
    return json("/api/spaces/" + id);
  }

  /** The first piece of a space made from an article. */
  JsonNode piece(String space, String article) {
    for (JsonNode p : space(space).get("pieces")) {
      if (p.get("article").asText().equals(article)) {
        return p;
      }
    }
    throw new IllegalStateException("There is no " + article);
  }

  double reach(String space, String piece, String side) {
    for (JsonNode r : json("/api/spaces/" + space + "/pieces/" + piece + "/reach").get("reach")) {
      if (r.get("side").asText().equals(side)) {
        return r.get("distance").asDouble();
      }
    }
    return Double.POSITIVE_INFINITY;
  }

  @Override
  public void close() {
    kill();
    try (Stream<Path> all = Files.walk(data)) {
      for (Path p : all.sorted(Comparator.reverseOrder()).toList()) {
        Files.delete(p);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
