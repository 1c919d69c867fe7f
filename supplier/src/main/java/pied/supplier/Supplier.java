package pied.supplier;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/**
 * The service: {@code Supplier [PORT]}.
 *
 * <table>
 * <caption>What it answers, JSON unless said otherwise</caption>
 * <tr><td>GET /</td><td>its name, and who may sign in to try it</td></tr>
 * <tr><td>POST /session</td><td>{user, password}: a token for the header Authorization: Bearer</td></tr>
 * <tr><td>GET /library?text=&amp;page=</td><td>what it has, in pages</td></tr>
 * <tr><td>GET /library/ID</td><td>one thing</td></tr>
 * <tr><td>GET /library/ID/model</td><td>its model, GLB; takes Range, gives ETag (RFC 9110)</td></tr>
 * <tr><td>GET, PUT /trouble</td><td>how badly it behaves</td></tr>
 * </table>
 */
public final class Supplier implements AutoCloseable {
  static final String NAME = "Harbour Lane Stores";
  static final String USER = "saltmarsh";
  static final String PASSWORD = "lantern";

  private static final int PORT = 8088;
  private static final int PAGE = 12;
  private static final int CHUNK = 8192;
  private static final ObjectMapper JSON = new ObjectMapper();

  private final Library library = new Library();
  private final Set<String> tokens = ConcurrentHashMap.newKeySet();
  private final ExecutorService threads =
      Executors.newCachedThreadPool(
          r -> {
            Thread t = new Thread(r, "supplier");
            t.setDaemon(true);
            return t;
          });
  private final HttpServer server;
  private volatile Trouble trouble = Trouble.USUAL;

  /**
   * Starts it on this machine.
   *
   * @param port 0 for any that is free
   */
  public Supplier(int port) throws IOException {
    server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
    server.createContext("/", this::answer);
    server.setExecutor(threads);
    server.start();
  }

  public static void main(String[] args) throws IOException {
    Supplier s = new Supplier(args.length > 0 ? Integer.parseInt(args[0]) : PORT);
    System.out.println(NAME + " is open: " + s.url());
  }

  public String url() {
    return "http://127.0.0.1:" + server.getAddress().getPort();
  }

  /** Sets how badly it behaves; see {@link Trouble}. */
  public void trouble(Trouble t) {
    trouble = t;
  }

  @Override
  public void close() {
    server.stop(0);
    threads.shutdownNow();
  }

  // ---- answering

  /** A request that is turned down. */
  private static final class No extends RuntimeException {
    private static final long serialVersionUID = 1;
    final int status;

    No(int status, String why) {
      super(why);
      this.status = status;
    }
  }

  private void answer(HttpExchange x) throws IOException {
    try (x) {
      try {
        route(x, x.getRequestURI().getPath());
      } catch (No e) {
        send(x, e.status, Map.of("why", e.getMessage()));
      }
    }
  }

  private void route(HttpExchange x, String path) throws IOException {
    String method = x.getRequestMethod();
    if (path.equals("/trouble")) {
      if (method.equals("PUT")) {
        trouble = JSON.readValue(x.getRequestBody(), Trouble.class);
      }
      send(x, 200, trouble);
      return;
    }
    if (trouble.closed()) {
      throw new No(503, "We are closed.");
    }
    if (path.equals("/")) {
      send(x, 200, Map.of("name", NAME, "demo", Map.of("user", USER, "password", PASSWORD)));
    } else if (path.equals("/session") && method.equals("POST")) {
      session(x);
    } else if (path.equals("/library")) {
      member(x);
      page(x);
    } else if (path.startsWith("/library/")) {
      member(x);
      String[] parts = path.split("/");
      Ware w = library.ware(parts[2]);
      if (w == null) {
        throw new No(404, "We do not have that.");
      }
      if (parts.length > 3 && parts[3].equals("model")) {
        model(x, w);
      } else {
        send(x, 200, w);
      }
    } else {
      throw new No(404, "There is nothing here.");
    }
  }

  private void session(HttpExchange x) throws IOException {
    JsonNode body = JSON.readTree(x.getRequestBody());
    if (!USER.equals(body.path("user").asText())
        || !PASSWORD.equals(body.path("password").asText())) {
      throw new No(401, "That name and password do not belong together.");
    }
    String token = UUID.randomUUID().toString();
    tokens.add(token);
    send(x, 200, Map.of("token", token));
  }

  private void member(HttpExchange x) {
    String token = x.getRequestHeaders().getFirst("Authorization");
    if (token == null || !tokens.contains(token.replaceFirst("^Bearer ", ""))) {
      throw new No(401, "Sign in first.");
    }
  }

  private void page(HttpExchange x) throws IOException {
    Map<String, String> q = query(x.getRequestURI().getRawQuery());
    List<Ware> found = library.search(q.getOrDefault("text", ""));
    int pages = Math.max(1, (found.size() + PAGE - 1) / PAGE);
    int page;
    try {
      page = Math.max(1, Math.min(pages, Integer.parseInt(q.getOrDefault("page", "1"))));
    } catch (NumberFormatException e) {
      throw new No(400, "A page has a number.");
    }
    List<Ware> some = found.subList(PAGE * (page - 1), Math.min(found.size(), PAGE * page));
    send(x, 200, Map.of("found", found.size(), "page", page, "pages", pages, "wares", some));
  }

  private static Map<String, String> query(String raw) {
    Map<String, String> all = new LinkedHashMap<>();
    for (String pair : raw == null ? new String[0] : raw.split("&")) {
      int eq = pair.indexOf('=');
      if (eq > 0) {
        all.put(
            pair.substring(0, eq),
            URLDecoder.decode(pair.substring(eq + 1), StandardCharsets.UTF_8));
      }
    }
    return all;
  }

  private static void send(HttpExchange x, int status, Object body) throws IOException {
    byte[] bytes = JSON.writeValueAsBytes(body);
    x.getResponseHeaders().set("Content-Type", "application/json");
    x.sendResponseHeaders(status, bytes.length);
    x.getResponseBody().write(bytes);
  }

  // ---- models

  /** Takes one off a count of trouble; whether there was one to take. */
  private synchronized boolean takes(String what) {
    Trouble t = trouble;
    boolean cut = what.equals("cut") && t.cuts() > 0;
    boolean fail = what.equals("fail") && t.fails() > 0;
    boolean damage = what.equals("damage") && t.damaged() > 0;
    trouble =
        new Trouble(
            t.bytesPerSecond(),
            t.cuts() - (cut ? 1 : 0),
            t.fails() - (fail ? 1 : 0),
            t.damaged() - (damage ? 1 : 0),
            t.closed());
    return cut || fail || damage;
  }

  private void model(HttpExchange x, Ware w) throws IOException {
    if (takes("fail")) {
      throw new No(503, "The store room is busy; try again.");
    }
    byte[] bytes = library.model(w.id());
    if (takes("damage")) {
      bytes = bytes.clone();
      bytes[bytes.length / 3] ^= 1;
    }
    String tag = "\"" + w.sha256().substring(0, 16) + "\"";
    int from = from(x, tag, bytes.length);
    x.getResponseHeaders().set("Content-Type", "model/gltf-binary");
    x.getResponseHeaders().set("Accept-Ranges", "bytes");
    x.getResponseHeaders().set("ETag", tag);
    // RFC 9530
    x.getResponseHeaders()
        .set(
            "Repr-Digest",
            "sha-256=:"
                + java.util.Base64.getEncoder().encodeToString(HexFormat.of().parseHex(w.sha256()))
                + ":");
    if (from > 0) {
      x.getResponseHeaders()
          .set("Content-Range", "bytes " + from + "-" + (bytes.length - 1) + "/" + bytes.length);
    }
    x.sendResponseHeaders(from > 0 ? 206 : 200, bytes.length - from);
    int end = takes("cut") ? from + (bytes.length - from) / 2 : bytes.length;
    OutputStream out = x.getResponseBody();
    for (int at = from; at < end; at += CHUNK) {
      out.write(bytes, at, Math.min(CHUNK, end - at));
      out.flush();
      pause(Math.min(CHUNK, end - at));
    }
  }

  /** Where a range begins that was asked for; 0 for the whole, also if it has changed since. */
  private static int from(HttpExchange x, String tag, int length) {
    String range = x.getRequestHeaders().getFirst("Range");
    String unless = x.getRequestHeaders().getFirst("If-Range");
    if (range == null
        || !range.matches("bytes=\\d{1,9}-")
        || unless != null && !unless.equals(tag)) {
      return 0;
    }
    int from = Integer.parseInt(range.substring(6, range.length() - 1));
    if (from >= length) {
      throw new No(416, "It is not that long.");
    }
    return from;
  }

  private void pause(int bytes) {
    int rate = trouble.bytesPerSecond();
    if (rate > 0) {
      try {
        Thread.sleep(1000L * bytes / rate);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
    }
  }
}
