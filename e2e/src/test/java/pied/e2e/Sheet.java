package pied.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import pied.supplier.Supplier;

/** The sheet in a browser, as a person uses it. */
final class Sheet {
  /** The server that the browser tests share, and the browser. */
  static final class Studio {
    static final Supplier SUPPLIER = supplier();
    static final PiedProcess PIED = new PiedProcess("--pied.supplier.url=" + SUPPLIER.url());
    static final Browser BROWSER = launch();

    /** What was fetched once is at hand for the next test, as for one who comes again. */
    static final BrowserContext DESK = another();

    private Studio() {}

    private static Supplier supplier() {
      try {
        return new Supplier(0);
      } catch (IOException e) {
        throw new IllegalStateException(e);
      }
    }

    private static List<String> arguments() {
      List<String> all =
          new ArrayList<>(
              List.of(
                  "--no-sandbox",
                  "--disable-quic",
                  "--no-first-run",
                  "--disable-background-networking",
                  "--disable-component-update",
                  "--disable-sync",
                  "--use-angle=swiftshader",
                  "--enable-unsafe-swiftshader"));
      if (!Boolean.getBoolean("pied.pictures")) {
        // without a graphics processor a page is drawn sooner if nobody plays one; pictures that
        // are kept are drawn as on a desk
        all.addAll(List.of("--disable-gpu-rasterization", "--disable-gpu-compositing"));
      }
      return all;
    }

    /** A browser of somebody else, who knows nothing of Pied. */
    static BrowserContext another() {
      return BROWSER.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800));
    }

    private static Browser launch() {
      String chromium = System.getenv().getOrDefault("PIED_CHROMIUM", "/usr/bin/chromium");
      // a machine that draws in software may be slow; a wait ends as soon as what it waits for is
      // there
      PlaywrightAssertions.setDefaultAssertionTimeout(30_000);
      Runtime.getRuntime().addShutdownHook(new Thread(PIED::close));
      return Playwright.create()
          .chromium()
          .launch(
              new BrowserType.LaunchOptions()
                  .setExecutablePath(Path.of(chromium))
                  // as most people have them: scroll bars take room
                  .setIgnoreDefaultArgs(List.of("--hide-scrollbars"))
                  .setArgs(arguments()));
    }
  }

  /** What earlier tests left in the browser is forgotten, once for every page. */
  private static final String ANEW =
      "if (!sessionStorage.getItem('begun')) {"
          + " localStorage.clear(); sessionStorage.setItem('begun', 'yes');"
          // pictures that are kept are as fine as they can be, others as quick
          + " localStorage.setItem('pied.effort', '"
          + (Boolean.getBoolean("pied.pictures") ? "full" : "plain")
          + "'); }";

  final Page page;
  private final boolean atDesk;

  /** Opens a new room with the plan alone, which is quicker to draw. */
  static Sheet planOf(String space) {
    return new Sheet(space, "plan");
  }

  /**
   * Opens a space; the other drawings are folded away.
   *
   * @param large the one or two drawings to begin with: plan, set, section, wall:A…
   */
  Sheet(String space, String... large) {
    this(large);
    page.navigate(Studio.PIED.url() + "/#/space/" + space);
    settled();
  }

  private Sheet(String[] large) {
    // who opens a second sheet beside the first is somebody else
    atDesk = Studio.DESK.pages().isEmpty();
    page = (atDesk ? Studio.DESK : Studio.another()).newPage();
    page.setDefaultTimeout(60_000);
    page.addInitScript(
        ANEW
            + "localStorage.getItem('pied.large') ?? localStorage.setItem('pied.large', '[\""
            + String.join("\",\"", large)
            + "\"]');"
            + "localStorage.getItem('pied.snaps') ?? localStorage.setItem('pied.snaps', 'off');"
            + "localStorage.getItem('pied.strip') ?? localStorage.setItem('pied.strip', 'folded')");
  }

  /** Opens the list of projects. */
  static Sheet atStart() {
    Sheet sheet = new Sheet(new String[] {"plan"});
    sheet.page.navigate(Studio.PIED.url() + "/");
    return sheet;
  }

  /** Waits until the plan is drawn. */
  void settled() {
    page.waitForSelector("[data-testid=drawings] [data-scale], [data-testid=set] canvas");
    page.waitForFunction(
        "() => { const g = [...document.querySelectorAll('[data-testid=plan] [data-piece]')];"
            + " return g.every(e => e.querySelector('path')); }");
  }

  /** One of the leaves on the left: Catalog, Shell or Schedule. */
  void leaf(String name) {
    page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName(name)).click();
  }

  Locator caption() {
    return page.getByTestId("caption");
  }

  /** Types into a field of the caption. */
  void type(String label, String text) {
    Locator field =
        caption()
            .getByRole(
                AriaRole.BUTTON,
                new Locator.GetByRoleOptions().setName(Pattern.compile("^" + label + ": ")));
    field.click();
    Locator input = caption().getByRole(AriaRole.TEXTBOX);
    input.fill(text);
    input.press("Enter");
  }

  /** Waits until a field of the caption reads this. */
  void reads(String label, String text) {
    assertThat(
            caption()
                .getByRole(
                    AriaRole.BUTTON,
                    new Locator.GetByRoleOptions().setName(label + ": " + text).setExact(true)))
        .isVisible();
  }

  /** Takes an article in hand: search, and Enter on its card. */
  void take(String search, String article) {
    leaf("Catalog");
    page.getByLabel("Search the catalog").fill(search);
    Locator card = page.locator("[data-article=" + article + "]");
    card.focus();
    card.press("Enter");
    assertThat(page.getByTestId("carry")).isVisible();
  }

  double[] onPlan(double x, double z) {
    return on("plan", x, z, "data-z");
  }

  /** Where a point of an elevation is on the screen: so far along it, and so high. */
  double[] onElevation(double along, double height) {
    return on("elevation", along, -height, "data-y");
  }

  /** Where a point of the space is in the set view, on the screen. */
  double[] onSet(double x, double y, double z) {
    Locator canvas = page.locator("[data-testid=set] canvas[data-view]");
    BoundingBox box = canvas.boundingBox();
    String[] m = canvas.getAttribute("data-view").split(" ");
    double[] clip = new double[4];
    double[] p = {x, y, z, 1};
    for (int row = 0; row < 4; row++) {
      for (int column = 0; column < 4; column++) {
        clip[row] += Double.parseDouble(m[4 * column + row]) * p[column];
      }
    }
    return new double[] {
      box.x + box.width * (1 + clip[0] / clip[3]) / 2,
      box.y + box.height * (1 - clip[1] / clip[3]) / 2
    };
  }

  /** Waits until a drawing has come to rest: the same eye in a few frames, one after the other. */
  private void still(String drawing) {
    page.waitForFunction(
        "name => { const s = document.querySelector(`[data-testid=${name}] svg[data-scale]`);"
            + " if (!s) return false;"
            + " const now = [s.dataset.scale, s.dataset.x, s.dataset.z, s.dataset.y].join();"
            + " const seen = (window.seen ??= {});"
            + " if (seen.now === now) seen.frames++; else { seen.now = now; seen.frames = 0; }"
            + " return seen.frames >= 4; }",
        drawing);
  }

  private double[] on(String drawing, double x, double y, String down) {
    still(drawing);
    BoundingBox box = page.getByTestId(drawing).boundingBox();
    Locator svg = page.locator("[data-testid=" + drawing + "] svg[data-scale]");
    double scale = Double.parseDouble(svg.getAttribute("data-scale"));
    double middleX = Double.parseDouble(svg.getAttribute("data-x"));
    double middleY = Double.parseDouble(svg.getAttribute(down));
    return new double[] {
      box.x + box.width / 2 + (x - middleX) * scale, box.y + box.height / 2 + (y - middleY) * scale
    };
  }

  /** Drags from one point of the plan to another, button down. */
  void dragPlan(double x, double z, double toX, double toZ) {
    double[] from = onPlan(x, z);
    double[] to = onPlan(toX, toZ);
    page.mouse().move(from[0], from[1]);
    page.mouse().down();
    page.mouse().move((from[0] + to[0]) / 2, (from[1] + to[1]) / 2);
    page.mouse().move(to[0], to[1]);
    page.mouse().up();
  }

  void clickPlan(double x, double z) {
    double[] p = onPlan(x, z);
    page.mouse().move(p[0] - 3, p[1]);
    page.mouse().move(p[0], p[1]);
    page.mouse().click(p[0], p[1]);
  }

  /** Points at a place of a drawing until the piece in hand is shown there. */
  void inHandAt(double px, double py) {
    page.mouse().move(px - 2, py);
    page.mouse().move(px, py);
    page.waitForSelector(
        "[data-piece='in hand']",
        new Page.WaitForSelectorOptions()
            .setState(com.microsoft.playwright.options.WaitForSelectorState.ATTACHED));
  }

  /** Gives it a model file. */
  void bringIn(String name, byte[] bytes) {
    page.getByLabel("Model files")
        .setInputFiles(new FilePayload(name, "application/octet-stream", bytes));
  }

  void button(String name) {
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true))
        .click();
  }

  /** Selects a piece in the schedule; it is looked for, since only the rows in view are there. */
  void schedule(String name) {
    leaf("Schedule");
    Locator find = page.getByLabel("Find a piece");
    find.fill(name);
    page.getByLabel("Pieces", new Page.GetByLabelOptions().setExact(true))
        .getByRole(AriaRole.ROW)
        .filter(new Locator.FilterOptions().setHasText(Pattern.compile("^" + name)))
        .first()
        .click();
    find.fill("");
    find.blur();
  }

  void saved() {
    assertThat(page.getByTestId("saved")).hasText("Saved");
  }

  void close() {
    if (atDesk) {
      page.close();
    } else {
      page.context().close();
    }
  }
}
