package pied.bench;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Takes the figures of edits through HTTP: {@code EditFigures URL N...} furnishes a room with N
 * pieces (round tables with three cups each and four stools about them) and does each kind of edit
 * so many times, with what the sheet asks after it. A room that is there already is taken again, so
 * that two versions can be compared on the same one: {@code EditFigures URL furnish N...}.
 */
public final class EditFigures {
  private static final ObjectMapper JSON = new ObjectMapper();
  private static final HttpClient HTTP = HttpClient.newHttpClient();
  static final int GROUP = 8;
  static final double PITCH = 1.75;

  /** Free room at the foot of the plan, into which pieces are copied, metres. */
  static final double FREE = 8;

  private static final int AT_ONCE = 400;

  private static final int WARM = 1500;

  /** Most time that the repetitions of one kind may take together, seconds. */
  private static final int PATIENCE = 20;

  private final String to;
  private final int pieces;

  private EditFigures(String to, int pieces) {
    this.to = to;
    this.pieces = pieces;
  }

  public static void main(String[] args) throws Exception {
    if (args.length < 2) {
      System.err.println("usage: EditFigures URL N...");
      System.exit(2);
    }
    String api = args[0] + "/api";
    boolean only = args[1].equals("furnish");
    for (int i = only ? 2 : 1; i < args.length; i++) {
      int n = Integer.parseInt(args[i]);
      String id = furnished(api, "Measured " + n, n);
      if (!only) {
        new EditFigures(api + "/spaces/" + id, n).measure();
      }
    }
  }

  private static String furnished(String api, String name, int n) throws Exception {
    for (JsonNode project : get(api + "/projects")) {
      for (JsonNode space : project.get("spaces")) {
        if (space.get("name").asText().equals(name)) {
          return space.get("id").asText();
        }
      }
    }
    String project = post(api + "/projects", "{\"name\":\"Measured\"}").get("id").asText();
    String id = room(api, project, name, n);
    for (int from = 0; from < n; from += 500) {
      List<String> edits = new ArrayList<>();
      for (int i = from; i < Math.min(n, from + 500); i++) {
        edits.add(place(i, n));
      }
      post(api + "/spaces/" + id + "/edits", "{\"edits\":[" + String.join(",", edits) + "]}");
    }
    return id;
  }

  static int side(int n) {
    return (int) Math.ceil(Math.sqrt((n + GROUP - 1) / GROUP));
  }

  private static String room(String api, String project, String name, int n) throws Exception {
    double w = side(n) * PITCH + 1;
    String body =
        String.format(
            Locale.ROOT,
            "{\"name\":\"%s\",\"width\":%f,\"depth\":%f,\"height\":3}",
            name,
            w,
            w + FREE);
    return post(api + "/projects/" + project + "/spaces", body).get("id").asText();
  }

  /** The article of a piece, and where it goes: across and deep, metres. */
  static String article(int i) {
    int k = i % GROUP;
    return k == 0 ? "cafe-table" : k < 4 ? "cup-and-saucer" : "stool";
  }

  static double x(int i, int n) {
    return 0.5 + PITCH * (i / GROUP % side(n) + 0.5) + out(i) * Math.cos(angle(i));
  }

  static double z(int i, int n) {
    return 0.5 + PITCH * (i / GROUP / side(n) + 0.5) + out(i) * Math.sin(angle(i));
  }

  private static double out(int i) {
    int k = i % GROUP;
    return k == 0 ? 0 : k < 4 ? 0.15 : 0.62;
  }

  private static double angle(int i) {
    int k = i % GROUP;
    return Math.PI * (k < 4 ? 2 * k / 3.0 : k / 2.0);
  }

  private static String place(int i, int n) {
    return String.format(
        Locale.ROOT,
        "{\"do\":\"place\",\"piece\":\"p%d\",\"article\":\"%s\",\"at\":{\"x\":%.3f,\"z\":%.3f}}",
        i,
        article(i),
        x(i, n),
        z(i, n));
  }

  private interface Deed {
    void run(int i) throws Exception;
  }

  private void measure() throws Exception {
    String all = ids(0, pieces);
    String cup = "p1";
    String stool = "p" + (4 + GROUP * (pieces / GROUP / 2));
    int copied = Math.min(AT_ONCE, pieces / 4) / GROUP * GROUP;
    post(to + "/edits", edit("turn", quoted(stool), "\"by\":1")); // read and warmed
    times("first snags", 1, i -> get(to + "/snags"));
    long began = System.nanoTime();
    for (int i = 0; i < WARM && patient(began); i++) {
      post(to + "/edits", edit("moveBy", quoted(stool), by(0.01 * (1 - 2 * (i % 2)))));
    }
    times(
        "move",
        200,
        i -> post(to + "/edits", edit("moveBy", quoted(stool), by(0.01 * (1 - 2 * (i % 2))))));
    times(
        "turn",
        100,
        i -> post(to + "/edits", edit("turn", quoted(cup), "\"by\":" + (i % 2 * 2 - 1))));
    times(
        "size",
        100,
        i ->
            post(
                to + "/edits",
                edit("size", quoted("p0"), "\"size\":{\"width\":0." + (i % 2 + 6) + "}")));
    times("undo", 100, i -> post(to + (i % 2 == 0 ? "/undo" : "/redo"), "{}"));
    after("snags", "/snags", stool);
    after("plan", "/plan", stool);
    after("schedule", "/schedule", stool);
    after("reach", "/pieces/p0/reach", stool);
    after("caption", "/caption?pieces=p0", stool);
    times(
        "place and remove",
        40,
        i -> {
          String one = place(0, pieces).replace("\"p0\"", "\"new\"");
          if (i % 2 == 0) {
            post(to + "/edits", "{\"edits\":[" + one.replace("cafe-table", "stool") + "]}");
          } else {
            post(to + "/edits", edit("remove", quoted("new"), null));
          }
        });
    times(
        "a wall dragged",
        40,
        i ->
            post(
                to + "/propose",
                "{\"inHand\":true,\"edits\":[{\"do\":\"moveWall\",\"wall\":\"B\",\"by\":"
                    + -0.01 * i
                    + "}]}"));
    String copy =
        edit("copy", ids(0, copied), "\"by\":{\"x\":0,\"y\":0,\"z\":" + side(pieces) * PITCH + "}");
    undone("copy " + copied, copy);
    undone("move all", edit("moveBy", all, by(0.01)));
    String api = to.substring(0, to.indexOf("/spaces/"));
    String project = post(api + "/projects", "{\"name\":\"Measured\"}").get("id").asText();
    String empty = room(api, project, "Placed", pieces);
    int most = Math.min(pieces, 5000);
    String whole =
        IntStream.range(0, most)
            .mapToObj(i -> place(i, pieces))
            .collect(Collectors.joining(",", "{\"edits\":[", "]}"));
    times("place " + most, 1, i -> post(api + "/spaces/" + empty + "/edits", whole));
  }

  /** An edit and its undo, in turns. */
  private void undone(String what, String edit) throws Exception {
    double[] there = new double[6];
    double[] back = new double[there.length];
    long began = System.nanoTime();
    int n = 0;
    while (n < there.length && (n == 0 || patient(began))) {
      long t = System.nanoTime();
      post(to + "/edits", edit);
      there[n] = (System.nanoTime() - t) / 1e6;
      t = System.nanoTime();
      post(to + "/undo", "{}");
      back[n++] = (System.nanoTime() - t) / 1e6;
    }
    tell(what, Arrays.copyOf(there, n));
    tell("undo of " + what, Arrays.copyOf(back, n));
  }

  /** What is asked after a move, without the move. */
  private void after(String what, String path, String moved) throws Exception {
    double[] ms = new double[20];
    long began = System.nanoTime();
    int n = 0;
    while (n < ms.length && (n == 0 || patient(began))) {
      post(to + "/edits", edit("moveBy", quoted(moved), by(0.01 * (1 - 2 * (n % 2)))));
      long t = System.nanoTime();
      get(to + path);
      ms[n++] = (System.nanoTime() - t) / 1e6;
    }
    tell(what + " after a move", Arrays.copyOf(ms, n));
  }

  private void times(String what, int times, Deed deed) throws Exception {
    double[] ms = new double[times];
    long began = System.nanoTime();
    int n = 0;
    while (n < times && (n == 0 || patient(began))) {
      long t = System.nanoTime();
      deed.run(n);
      ms[n++] = (System.nanoTime() - t) / 1e6;
    }
    tell(what, Arrays.copyOf(ms, n));
  }

  private static boolean patient(long began) {
    return System.nanoTime() - began < PATIENCE * 1e9;
  }

  private void tell(String what, double[] ms) {
    Figures.percentiles("edits-" + pieces + ": " + what, ms);
  }

  private static String by(double x) {
    return "\"by\":{\"x\":" + x + "}";
  }

  private static String quoted(String id) {
    return "\"" + id + "\"";
  }

  private static String ids(int from, int to) {
    return IntStream.range(from, to)
        .mapToObj(i -> quoted("p" + i))
        .collect(Collectors.joining(","));
  }

  private static String edit(String what, String ids, String rest) {
    return "{\"edits\":[{\"do\":\""
        + what
        + "\",\"pieces\":["
        + ids
        + "]"
        + (rest == null ? "" : "," + rest)
        + "}]}";
  }

  private static JsonNode get(String url) throws IOException, InterruptedException {
    return read(url, HttpRequest.newBuilder(URI.create(url)).build());
  }

  private static JsonNode post(String url, String body) throws IOException, InterruptedException {
    return read(
        url,
        HttpRequest.newBuilder(URI.create(url))
            .header("content-type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString(body))
            .build());
  }

  private static JsonNode read(String url, HttpRequest request)
      throws IOException, InterruptedException {
    HttpResponse<String> r = HTTP.send(request, HttpResponse.BodyHandlers.ofString());
    if (r.body().contains("takes longer")) {
      System.err.println("refused: " + r.body());
      return JSON.createObjectNode();
    }
    if (r.statusCode() >= 300) {
      throw new IOException(url + ": " + r.statusCode() + " " + r.body());
    }
    return JSON.readTree(r.body());
  }
}
