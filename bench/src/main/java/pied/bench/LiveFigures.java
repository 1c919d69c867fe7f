package pied.bench;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.WebSocket;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;

/**
 * Takes the figures of the live channel: {@code LiveFigures URL [N]} carries pieces in ten spaces
 * at once, N pointer events (120) a second each ({@code -Dpied.step=true}: all in step), as the
 * sheet does it: one question on its way, the newest pointer wins. Once on this line, and once on
 * one with a delay of 80 ms there and back.
 */
public final class LiveFigures {
  private static final int CLIENTS = 10;
  private static final int SECONDS = 12;
  private static final int WARM = 30;

  private static final boolean IN_STEP = Boolean.getBoolean("pied.step");
  private static int perSecond = 120;

  private static final ObjectMapper JSON = new ObjectMapper();
  private static final HttpClient HTTP = HttpClient.newHttpClient();
  private static final ScheduledExecutorService TIMER = Executors.newScheduledThreadPool(4);

  private LiveFigures() {}

  public static void main(String[] args) throws Exception {
    if (args.length < 1 || args.length > 2) {
      System.err.println("usage: LiveFigures URL [events a second]");
      System.exit(2);
    }
    if (args.length == 2) {
      perSecond = Integer.parseInt(args[1]);
    }
    String project = post(args[0] + "/api/projects", "{\"name\":\"Measured\"}").get("id").asText();
    List<String> spaces = new ArrayList<>();
    for (int i = 0; i < CLIENTS; i++) {
      spaces.add(space(args[0], project));
    }
    for (int delay : new int[] {0, 80}) {
      List<Client> clients = new ArrayList<>();
      for (String s : spaces) {
        // everybody is somewhere else: in step, all would be in the same crowd at the same moment
        clients.add(new Client(args[0], s, delay, IN_STEP ? 0 : 61 * clients.size()));
      }
      Thread.sleep(1000L * (WARM + SECONDS));
      double[] ms = clients.stream().flatMap(c -> c.over().stream()).mapToDouble(d -> d).toArray();
      Arrays.sort(ms);
      String bench = delay == 0 ? "live" : "live-delayed";
      Figures.figure(bench, "answers", "", ms.length);
      Figures.figure(bench, "p50", "ms", ms[ms.length / 2]);
      Figures.figure(bench, "p99", "ms", ms[(int) (ms.length * 0.99)]);
      int most = clients.stream().mapToInt(c -> c.most).max().orElse(0);
      Figures.figure(bench, "most-on-their-way", "", most);
    }
    TIMER.shutdownNow();
  }

  private static JsonNode post(String url, String body) throws IOException, InterruptedException {
    HttpRequest r =
        HttpRequest.newBuilder(URI.create(url))
            .header("content-type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString(body))
            .build();
    return JSON.readTree(HTTP.send(r, HttpResponse.BodyHandlers.ofString()).body());
  }

  /**
   * A tea room of 9 × 7 m: six tables with four chairs each, cupboards at the back, and a stool.
   */
  static String space(String url, String project) throws Exception {
    String room = "{\"name\":\"Room\",\"width\":9,\"depth\":7,\"height\":3}";
    String id = post(url + "/api/projects/" + project + "/spaces", room).get("id").asText();
    List<String> edits = new ArrayList<>();
    for (Placed p : placed()) {
      edits.add(
          String.format(
              Locale.ROOT,
              "{\"do\":\"place\",\"piece\":\"%s\",\"article\":\"%s\",\"at\":{\"x\":%.3f,\"z\":%.3f}}",
              p.id(),
              p.article(),
              p.x(),
              p.z()));
    }
    post(url + "/api/spaces/" + id + "/edits", "{\"edits\":[" + String.join(",", edits) + "]}");
    return id;
  }

  /** How long answers take one who carries in a space, ms. */
  static double[] carried(String url, String space) throws InterruptedException {
    Client c = new Client(url, space, 0, 0);
    Thread.sleep(1000L * (WARM + SECONDS));
    return c.over().stream().mapToDouble(d -> d).toArray();
  }

  static void stop() {
    TIMER.shutdownNow();
  }

  /** What stands in the tea room, and where. */
  record Placed(String id, String article, double x, double z) {}

  static List<Placed> placed() {
    List<Placed> all = new ArrayList<>();
    add(all, "stool", 4.5, 1);
    for (int i = 0; i < 4; i++) {
      add(all, "sideboard", 1.2 + 2.1 * i, 0.3);
    }
    for (int i = 0; i < 6; i++) {
      double x = 1.5 + 3 * (i % 3);
      double z = 2.6 + 2.8 * (i / 3);
      add(all, "cafe-table", x, z);
      add(all, "cup-and-saucer", x + 0.15, z);
      for (int k = 0; k < 4; k++) {
        double a = k * Math.PI / 2;
        add(all, "dining-chair", x + 0.65 * Math.cos(a), z + 0.65 * Math.sin(a));
      }
    }
    return all;
  }

  private static void add(List<Placed> all, String article, double x, double z) {
    all.add(new Placed("p" + all.size(), article, x, z));
  }

  /** Where the pointer is at an event. */
  static double x(int tick) {
    return 4.5 + 3.5 * Math.sin(tick * 0.013);
  }

  static double z(int tick) {
    return 3.5 + 2.5 * Math.cos(tick * 0.017);
  }

  /** One who carries. */
  private static final class Client implements WebSocket.Listener {
    private final WebSocket socket;
    private final int delay;
    private final long began = System.nanoTime();
    private final List<Double> ms = new ArrayList<>();
    private final StringBuilder text = new StringBuilder();
    private final java.util.concurrent.ScheduledFuture<?> events;
    private int tick;
    private long asked;
    private long sent;
    private int onTheirWay;
    private boolean wanted;
    volatile int most;

    Client(String url, String space, int delay, int tick) {
      this.delay = delay;
      this.tick = tick;
      socket =
          HTTP.newWebSocketBuilder()
              .buildAsync(URI.create(url.replace("http", "ws") + "/api/live/" + space), this)
              .join();
      events =
          TIMER.scheduleAtFixedRate(this::pointer, 0, 1_000_000 / perSecond, TimeUnit.MICROSECONDS);
    }

    private synchronized void pointer() {
      tick++;
      wanted = true;
      if (asked == 0) {
        ask();
      }
    }

    private void ask() {
      wanted = false;
      asked = tick;
      sent = System.nanoTime();
      onTheirWay++;
      most = Math.max(most, onTheirWay);
      String q =
          String.format(
              Locale.ROOT,
              "{\"ask\":%d,\"unit\":\"m\",\"carry\":{\"pieces\":[\"p0\"],\"near\":0.1,"
                  + "\"at\":{\"x\":%.4f,\"z\":%.4f}}}",
              asked,
              x(tick),
              z(tick));
      later(() -> socket.sendText(q, true));
    }

    private void later(Runnable r) {
      if (delay == 0) {
        r.run();
      } else {
        TIMER.schedule(r, delay / 2, TimeUnit.MILLISECONDS);
      }
    }

    @Override
    public CompletionStage<?> onText(WebSocket s, CharSequence data, boolean last) {
      text.append(data);
      if (last) {
        String whole = text.toString();
        text.setLength(0);
        later(() -> answered(whole));
      }
      s.request(1);
      return null;
    }

    private synchronized void answered(String whole) {
      if (!whole.startsWith("{\"is\":\"answer\",\"answer\":" + asked)) {
        return;
      }
      onTheirWay--;
      if (System.nanoTime() - began > TimeUnit.SECONDS.toNanos(WARM)) {
        ms.add((System.nanoTime() - sent) / 1e6);
      }
      asked = 0;
      if (wanted) {
        ask();
      }
    }

    synchronized List<Double> over() {
      events.cancel(false);
      socket.abort();
      return ms;
    }
  }
}
