package pied.bench;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicBoolean;

/**
 * Takes the figures of the hand-over: {@code HandoverFigures URL [N]} makes every file of a space
 * of N pieces (1,000) of sixty articles, the first time and again, and carries a piece elsewhere
 * alone and while files are made all the time.
 */
public final class HandoverFigures {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final HttpClient HTTP = HttpClient.newHttpClient();
  private static final int ARTICLES = 60;
  private static final double PITCH = 1.6;
  private static final List<String> FILES =
      List.of(
          "schedule.csv",
          "plan.svg?scale=50&paper=A0",
          "plan.pdf?scale=50&paper=A0",
          "ceiling.pdf?scale=50&paper=A0",
          "elevation.pdf?wall=A&scale=50&paper=A0",
          "section.pdf?way=back&scale=50&paper=A0",
          "space.glb",
          "space.obj.zip",
          "space.stl?scale=25");

  private HandoverFigures() {}

  public static void main(String[] args) throws Exception {
    String api = args[0] + "/api";
    int n = args.length > 1 ? Integer.parseInt(args[1]) : 1000;
    String project = post(api + "/projects", "{\"name\":\"Handed over\"}").get("id").asText();
    String space = furnished(api, project, n);
    String at = api + "/spaces/" + space + "/handover/";
    for (String file : FILES) {
      String bench = "handover-" + n + ": " + file.replaceAll("\\?.*", "");
      long size = 0;
      for (String when : new String[] {"first", "again"}) {
        long began = System.nanoTime();
        size = read(at + file);
        Figures.figure(bench, when, "ms", (System.nanoTime() - began) / 1e6);
      }
      Figures.figure(bench, "size", "kB", size / 1024.0);
    }
    long began = System.nanoTime();
    read(api + "/projects/" + project + "/archive.zip");
    Figures.figure("handover-" + n + ": archive", "first", "ms", (System.nanoTime() - began) / 1e6);
    String room = LiveFigures.space(args[0], project);
    carried(args[0], room, "alone");
    AtomicBoolean over = new AtomicBoolean();
    Thread maker =
        new Thread(
            () -> {
              for (int i = 0; !over.get(); i++) {
                try {
                  read(at + FILES.get(i % FILES.size()));
                } catch (IOException | InterruptedException e) {
                  throw new IllegalStateException(e);
                }
              }
            });
    maker.start();
    carried(args[0], room, "while files are made");
    over.set(true);
    maker.join();
    LiveFigures.stop();
  }

  private static void carried(String url, String room, String when) throws InterruptedException {
    double[] ms = LiveFigures.carried(url, room);
    Arrays.sort(ms);
    Figures.figure("carry " + when, "p50", "ms", ms[ms.length / 2]);
    Figures.figure("carry " + when, "p99", "ms", ms[(int) (ms.length * 0.99)]);
  }

  static String furnished(String api, String project, int n) throws Exception {
    List<String> articles = new ArrayList<>();
    for (JsonNode a : get(api + "/catalog?mounting=STANDS").get("articles")) {
      if (articles.size() < ARTICLES) {
        articles.add(a.get("id").asText());
      }
    }
    int side = (int) Math.ceil(Math.sqrt(n));
    String room =
        String.format(
            Locale.ROOT,
            "{\"name\":\"Full\",\"width\":%f,\"depth\":%f,\"height\":3}",
            side * PITCH + 1,
            side * PITCH + 1);
    String id = post(api + "/projects/" + project + "/spaces", room).get("id").asText();
    for (int from = 0; from < n; from += 250) {
      List<String> edits = new ArrayList<>();
      for (int i = from; i < Math.min(n, from + 250); i++) {
        edits.add(
            String.format(
                Locale.ROOT,
                "{\"do\":\"place\",\"piece\":\"p%d\",\"article\":\"%s\",\"turn\":%d,"
                    + "\"at\":{\"x\":%.3f,\"z\":%.3f}}",
                i,
                articles.get(i % articles.size()),
                i * 37 % 360,
                1 + PITCH * (i % side),
                1 + PITCH * (i / side)));
      }
      post(api + "/spaces/" + id + "/edits", "{\"edits\":[" + String.join(",", edits) + "]}");
    }
    return id;
  }

  private static long read(String url) throws IOException, InterruptedException {
    HttpRequest r = HttpRequest.newBuilder(URI.create(url)).build();
    HttpResponse<InputStream> answer = HTTP.send(r, HttpResponse.BodyHandlers.ofInputStream());
    try (InputStream in = answer.body()) {
      long size = in.transferTo(java.io.OutputStream.nullOutputStream());
      if (answer.statusCode() != 200) {
        throw new IOException(url + ": " + answer.statusCode());
      }
      return size;
    }
  }

  static JsonNode get(String url) throws IOException, InterruptedException {
    HttpRequest r = HttpRequest.newBuilder(URI.create(url)).build();
    return JSON.readTree(HTTP.send(r, HttpResponse.BodyHandlers.ofString()).body());
  }

  static JsonNode post(String url, String body) throws IOException, InterruptedException {
    HttpRequest r =
        HttpRequest.newBuilder(URI.create(url))
            .header("content-type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString(body))
            .build();
    return JSON.readTree(HTTP.send(r, HttpResponse.BodyHandlers.ofString()).body());
  }
}
