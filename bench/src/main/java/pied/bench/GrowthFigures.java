package pied.bench;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Locale;

/**
 * Takes the figures of the store: {@code GrowthFigures URL DATA EDITS} makes a room with 17 pieces
 * on the server that keeps its data in that folder and turns and moves one of them so many times,
 * one edit after the other, with an undo among every twenty. Of each tenth: how much the file grew
 * an edit, what was written and forced, and how long an edit took.
 */
public final class GrowthFigures {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final HttpClient HTTP = HttpClient.newHttpClient();
  private static final int PIECES = 17;

  private GrowthFigures() {}

  public static void main(String[] args) throws Exception {
    if (args.length != 3) {
      System.err.println("usage: GrowthFigures URL DATA EDITS");
      System.exit(2);
    }
    int edits = Integer.parseInt(args[2]);
    Path file = Path.of(args[1]).resolve("pied.mv.db");
    String api = args[0] + "/api";
    String project = post(api + "/projects", "{\"name\":\"Measured\"}").get("id").asText();
    String room = "{\"name\":\"Room\",\"width\":9,\"depth\":7,\"height\":3}";
    String space = post(api + "/projects/" + project + "/spaces", room).get("id").asText();
    String to = api + "/spaces/" + space;
    for (int i = 0; i < PIECES; i++) {
      post(
          to + "/edits",
          String.format(
              Locale.ROOT,
              "{\"edits\":[{\"do\":\"place\",\"piece\":\"p%d\",\"article\":\"stool\","
                  + "\"at\":{\"x\":%.2f,\"z\":%.2f}}]}",
              i,
              1 + 1.2 * (i % 6),
              1 + 1.5 * (i / 6)));
    }
    int tenth = edits / 10;
    long began = Files.size(file);
    for (int t = 0; t < 10; t++) {
      long size = Files.size(file);
      double[] ms = new double[tenth];
      for (int i = 0; i < tenth; i++) {
        int n = t * tenth + i;
        long start = System.nanoTime();
        if (n % 20 == 19) {
          post(to + "/undo", "{\"id\":\"u" + n + "\"}");
        } else {
          post(
              to + "/edits",
              "{\"id\":\"r"
                  + n
                  + "\",\"edits\":[{\"do\":\"turn\",\"pieces\":[\"p0\"],\"by\":7.3}]}");
        }
        ms[i] = (System.nanoTime() - start) / 1e6;
      }
      Arrays.sort(ms);
      String bench = "growth-" + (t + 1);
      Figures.figure(bench, "file", "KB/edit", (Files.size(file) - size) / 1024.0 / tenth);
      Figures.figure(bench, "p50", "ms", ms[tenth / 2]);
      Figures.figure(bench, "p99", "ms", ms[(int) (tenth * 0.99)]);
      Figures.figure(bench, "max", "ms", ms[tenth - 1]);
    }
    Figures.figure("growth", "file", "KB/edit", (Files.size(file) - began) / 1024.0 / edits);
    Figures.figure("growth", "file", "MB", Files.size(file) / 1048576.0);
  }

  private static JsonNode post(String url, String body) throws IOException, InterruptedException {
    HttpResponse<String> r =
        HTTP.send(
            HttpRequest.newBuilder(URI.create(url))
                .header("content-type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build(),
            HttpResponse.BodyHandlers.ofString());
    if (r.statusCode() >= 300) {
      throw new IOException(url + ": " + r.body());
    }
    return JSON.readTree(r.body());
  }
}
