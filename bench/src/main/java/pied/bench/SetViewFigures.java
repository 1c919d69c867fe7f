package pied.bench;

import com.fasterxml.jackson.databind.JsonNode;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * Takes the figures of the set view in a browser that draws without a graphics processor: {@code
 * SetViewFigures [lamps] URL…}, one address for each build that is compared, in turns. How long a
 * frame takes while one looks around and when it was made fine, at 72 (the demo's tea room), 500
 * and 2,000 pieces; with 1, 20 and 200 lamps beside 72 others, drawn evenly and as they light it;
 * and how much comes over the line for the first page and the first look at the demo.
 */
public final class SetViewFigures {
  private static final int ROUNDS = 2;
  private static final int MOVES = 8;

  /** It rests when nothing was drawn for so long, ms. */
  private static final int REST = 4_000;

  private static final int PATIENCE = 240_000;

  private SetViewFigures() {}

  /** A build, and its spaces by how much is in them. */
  private record Build(
      String name, String url, Map<Integer, String> spaces, Map<Integer, String> lamps) {}

  private static final List<Integer> LAMPS = List.of(1, 20, 200);

  public static void main(String[] args) throws Exception {
    List<Build> builds = new ArrayList<>();
    boolean onlyLamps = args[0].equals("lamps");
    for (int i = onlyLamps ? 1 : 0; i < args.length; i++) {
      String name = args.length == (onlyLamps ? 2 : 1) ? "now" : "build " + (i + 1);
      builds.add(new Build(name, args[i], spaces(args[i]), lamps(args[i])));
    }
    Playwright.CreateOptions own = new Playwright.CreateOptions();
    own.setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1"));
    try (Playwright playwright = Playwright.create(own);
        Browser browser = playwright.chromium().launch(options())) {
      if (!onlyLamps) {
        all(browser, builds);
      }
      lamps(browser, builds);
    }
  }

  private static void all(Browser browser, List<Build> builds) throws IOException {
    for (Build b : builds) {
      weight(browser, b);
    }
    for (int pieces : List.of(72, 500, 2000)) {
      for (int round = 0; round < ROUNDS; round++) {
        for (Build b : builds) {
          frames(browser, b.url, b.spaces.get(pieces), pieces + " pieces: " + b.name, false);
        }
      }
    }
  }

  private static void lamps(Browser browser, List<Build> builds) throws IOException {
    for (int lamps : LAMPS) {
      for (int round = 0; round < ROUNDS; round++) {
        for (Build b : builds) {
          for (boolean lit : new boolean[] {false, true}) {
            String of = lamps + " lamps, " + (lit ? "as lit: " : "evenly: ") + b.name;
            frames(browser, b.url, b.lamps.get(lamps), of, lit);
          }
        }
      }
    }
  }

  /** Rooms with 72 pieces and so many lamps above them, all of which burn. */
  private static Map<Integer, String> lamps(String url) throws Exception {
    String api = url + "/api";
    String project =
        HandoverFigures.post(api + "/projects", "{\"name\":\"Lit\"}").get("id").asText();
    Map<Integer, String> all = new HashMap<>();
    for (int n : LAMPS) {
      String id = HandoverFigures.furnished(api, project, 72);
      int side = (int) Math.ceil(Math.sqrt(n));
      List<String> edits = new ArrayList<>();
      for (int i = 0; i < n; i++) {
        edits.add(
            String.format(
                Locale.ROOT,
                "{\"do\":\"place\",\"article\":\"globe-pendant\",\"at\":{\"x\":%.2f,\"z\":%.2f}}",
                14.0 * (i % side + 0.5) / side + 0.5,
                14.0 * (i / side + 0.5) / side + 0.5));
      }
      HandoverFigures.post(
          api + "/spaces/" + id + "/edits", "{\"edits\":[" + String.join(",", edits) + "]}");
      HandoverFigures.post(
          api + "/spaces/" + id + "/edits", "{\"edits\":[{\"do\":\"day\",\"hour\":\"23\"}]}");
      all.put(n, id);
    }
    return all;
  }

  private static BrowserType.LaunchOptions options() {
    String path = System.getenv().getOrDefault("PIED_CHROMIUM", "/usr/bin/chromium");
    return new BrowserType.LaunchOptions()
        .setExecutablePath(Path.of(path))
        .setArgs(
            List.of(
                "--no-sandbox",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--use-angle=swiftshader",
                "--enable-unsafe-swiftshader"));
  }

  private static Map<Integer, String> spaces(String url) throws Exception {
    String demo = null;
    for (JsonNode project : HandoverFigures.get(url + "/api/projects")) {
      for (JsonNode s : project.get("spaces")) {
        demo = s.get("name").asText().equals("Tea room") ? s.get("id").asText() : demo;
      }
    }
    if (demo == null) {
      throw new IllegalStateException(url + " was not started with the demo");
    }
    String api = url + "/api";
    String project =
        HandoverFigures.post(api + "/projects", "{\"name\":\"Seen\"}").get("id").asText();
    return Map.of(
        72,
        demo,
        500,
        HandoverFigures.furnished(api, project, 500),
        2000,
        HandoverFigures.furnished(api, project, 2000));
  }

  private static Page page(Browser browser) throws IOException {
    Page page =
        browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800)).newPage();
    try (InputStream in = SetViewFigures.class.getResourceAsStream("/frames.js")) {
      page.addInitScript(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    }
    page.setDefaultTimeout(PATIENCE);
    page.addInitScript("localStorage.setItem('pied.large', '[\"set\"]')");
    return page;
  }

  private static void frames(Browser browser, String url, String space, String what, boolean lit)
      throws IOException {
    Page page = page(browser);
    page.navigate(url + "/#/space/" + space);
    page.waitForSelector("[data-testid=set] canvas");
    rests(page);
    if (lit) {
      page.click("[data-effort]");
      page.click("[role=menuitem]:has-text('the lamps light it')");
      page.keyboard().press("Escape");
      page.waitForSelector("[data-testid=set] canvas[data-lit]");
      rests(page);
    }
    page.evaluate("() => { frames_.length = 0 }");
    page.mouse().move(700, 200);
    page.mouse().down();
    for (int i = 0; i < MOVES; i++) {
      page.mouse().move(703 + 3 * i, 201 + i);
      page.waitForFunction("n => frames_.length > n", i);
    }
    double[] ms = numbers(page, "frames_.map(f => f.ms)");
    page.evaluate("() => { frames_.length = 0; window.from_ = performance.now() }");
    page.mouse().up();
    rests(page);
    double[] after = numbers(page, "frames_.map(f => f.ms)");
    double[] ended = numbers(page, "frames_.map(f => f.at - from_)");
    String of = "set view, " + what;
    Arrays.sort(ms);
    Figures.figure(of, "moving, p50", "ms", ms[ms.length / 2]);
    Figures.figure(of, "moving, slowest", "ms", ms[ms.length - 1]);
    Figures.figure(of, "slowest when it rests", "ms", Arrays.stream(after).max().orElse(0));
    Figures.figure(of, "until it is fine", "ms", Arrays.stream(ended).max().orElse(0));
    page.context().close();
  }

  /** Waits until nothing is drawn any more. */
  private static void rests(Page page) {
    page.waitForFunction(
        "rest => (frames_.length > 0 || window.from_)"
            + " && performance.now() - (frames_.at(-1)?.at ?? from_) > rest",
        REST);
  }

  private static double[] numbers(Page page, String what) {
    return ((List<?>) page.evaluate("() => " + what))
        .stream().mapToDouble(n -> ((Number) n).doubleValue()).toArray();
  }

  /** What comes over the line, as it is sent. */
  private static void weight(Browser browser, Build b) throws IOException {
    Page page = page(browser);
    CDPSession line = page.context().newCDPSession(page);
    line.send("Network.enable");
    long[] sum = new long[2];
    Set<String> scripts = new HashSet<>();
    line.on(
        "Network.responseReceived",
        e -> {
          if (e.get("type").getAsString().equals("Script")) {
            scripts.add(e.get("requestId").getAsString());
          }
        });
    line.on(
        "Network.loadingFinished",
        e -> {
          long sent = e.get("encodedDataLength").getAsLong();
          sum[0] += sent;
          sum[1] += scripts.contains(e.get("requestId").getAsString()) ? sent : 0;
        });
    page.navigate(b.url + "/");
    page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    Figures.figure("weight: " + b.name, "first page", "kB", sum[0] / 1024.0);
    Figures.figure("weight: " + b.name, "scripts of the first page", "kB", sum[1] / 1024.0);
    page.navigate(b.url + "/#/space/" + b.spaces.get(72));
    page.waitForSelector("[data-testid=set] canvas");
    rests(page);
    Figures.figure("weight: " + b.name, "with the first look at the demo", "kB", sum[0] / 1024.0);
    page.context().close();
  }
}
