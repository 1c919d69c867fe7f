package pied.server.supply;

import com.fasterxml.jackson.databind.JsonNode;
import jakarta.annotation.PreDestroy;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import pied.core.catalog.Catalog;
import pied.core.catalog.Mounting;
import pied.core.model.Arrival;
import pied.core.model.Files;
import pied.core.model.ModelReader;
import pied.core.piece.Shapes;
import pied.core.units.Refusal;
import pied.server.imports.ImportStore;

/**
 * What a supplier has, and what is on its way from there. The sign-in is kept in memory only; what
 * was fetched is an article of its project like any other and needs the supplier no more.
 */
@Service
public class Supply {
  /** So many come at once. */
  private static final int AT_ONCE = 2;

  private static final int MOST_LISTED = 50;
  private static final long LARGEST = 256L << 20;
  private static final long SILENCE = TimeUnit.SECONDS.toNanos(15);

  private final SupplierClient client;
  private final ImportStore store;
  private final Catalog catalog;
  private final long pause;
  private final ExecutorService threads = Executors.newFixedThreadPool(AT_ONCE, Supply::thread);
  private final ScheduledExecutorService watch =
      Executors.newSingleThreadScheduledExecutor(Supply::thread);
  private final Map<String, Fetch> fetches = new LinkedHashMap<>();
  private volatile String token;
  private volatile String user = "";
  private volatile String supplier = "a supplier";

  Supply(
      SupplierClient client,
      ImportStore store,
      Shapes shapes,
      @Value("${pied.supplier.pause:400}") long pause) {
    this.client = client;
    this.store = store;
    this.catalog = shapes.catalog();
    this.pause = pause;
    watch.scheduleWithFixedDelay(
        () -> list().forEach(f -> f.breakOffIfSilent(SILENCE)), 2, 2, TimeUnit.SECONDS);
  }

  private static Thread thread(Runnable r) {
    Thread t = new Thread(r, "supply");
    t.setDaemon(true);
    return t;
  }

  @PreDestroy
  void close() {
    list().forEach(Fetch::stop);
    threads.shutdownNow();
    watch.shutdownNow();
  }

  /** The supplier turned the sign-in down, or asks for one. */
  public static final class SignedIn extends RuntimeException {
    private static final long serialVersionUID = 1;

    SignedIn(String why) {
      super(why);
    }
  }

  /** The supplier cannot be reached. */
  public static final class Away extends RuntimeException {
    private static final long serialVersionUID = 1;

    Away(String why) {
      super(why);
    }
  }

  // ---- asking

  /** A question to the supplier. */
  private interface Question<T> {
    T ask();
  }

  private <T> T asked(Question<T> q) {
    try {
      return q.ask();
    } catch (SupplierClient.Down e) {
      throw new Away(e.getMessage());
    } catch (SupplierClient.TurnedDown e) {
      if (e.status == 401) {
        token = null;
        throw new SignedIn(e.getMessage());
      }
      throw new Refusal(e.getMessage());
    }
  }

  /** What the supplier says of itself: name, and who may sign in to try it. */
  JsonNode about() {
    return asked(client::about);
  }

  /** Who is signed in; empty for nobody. */
  String user() {
    return token == null ? "" : user;
  }

  void signIn(String name, String password) {
    token = asked(() -> client.signIn(name, password));
    user = name;
    supplier = about().path("name").asText(supplier);
  }

  void signOut() {
    token = null;
  }

  private String token() {
    String t = token;
    if (t == null) {
      throw new SignedIn("Sign in to the supplier first.");
    }
    return t;
  }

  /** The articles that wares have become in a project, by their ids. */
  Map<String, String> here(String project) {
    return store.supplied(project);
  }

  SupplierClient.LibraryPage page(String text, int page) {
    String t = token();
    return asked(() -> client.page(t, text, page));
  }

  // ---- fetching

  private synchronized List<Fetch> list() {
    return new ArrayList<>(fetches.values());
  }

  /** What is on its way into a project, and what was lately, the latest first. */
  List<Fetch> of(String project) {
    List<Fetch> own = new ArrayList<>();
    for (Fetch f : list()) {
      if (f.project.equals(project)) {
        own.add(0, f);
      }
    }
    return own;
  }

  /** Fetches one; if it is on its way already, that. */
  Fetch fetch(String project, String id) {
    String t = token();
    SupplierClient.Ware ware = asked(() -> client.ware(t, id));
    if (ware.bytes() > LARGEST) {
      throw new Refusal("{} is larger than {} MB.", ware.name(), LARGEST >> 20);
    }
    synchronized (this) {
      String key = project + "/" + ware.id();
      Fetch f = fetches.get(key);
      if (f == null || f.over()) {
        f = new Fetch(project, ware, client, t, pause, bytes -> take(project, ware, bytes));
        fetches.remove(key);
        fetches.put(key, f);
        fetches.values().removeIf(old -> fetches.size() > MOST_LISTED && old.over());
        threads.execute(f);
      }
      return f;
    }
  }

  void stop(String project, String id) {
    for (Fetch f : of(project)) {
      if (f.ware.id().equals(id)) {
        f.stop();
      }
    }
  }

  private String take(String project, SupplierClient.Ware w, byte[] bytes) {
    Files files = new Files();
    files.add(w.name() + ".glb", bytes);
    Arrival arrival = Arrival.of(ModelReader.read(files), catalog, null);
    Mounting mounting =
        switch (w.mounting()) {
          case "wall" -> Mounting.WALL;
          case "hangs" -> Mounting.HANGS;
          case "opening" -> Mounting.OPENING;
          default -> Mounting.STANDS;
        };
    Arrival.Taken taken =
        new Arrival.Taken(1, "y", 0, w.name(), mounting, w.mounting().equals("tops"));
    return store
        .take(
            project,
            arrival,
            taken,
            w.kind(),
            "From " + supplier + ", " + w.id() + ".",
            w.weight(),
            w.id())
        .id();
  }
}
