package pied.server.live;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.annotation.PreDestroy;
import jakarta.websocket.Session;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Configuration;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.PongMessage;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.adapter.NativeWebSocketSession;
import org.springframework.web.socket.config.annotation.EnableWebSocket;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;
import org.springframework.web.socket.handler.TextWebSocketHandler;
import pied.core.Nullable;
import pied.core.carry.CarryAsk;
import pied.core.carry.CarryResult;
import pied.core.carry.Carrying;
import pied.core.edit.Declined;
import pied.core.edit.Locks;
import pied.core.piece.Piece;
import pied.core.space.Locked;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;
import pied.server.IdleDetector;
import pied.server.live.LiveWire.Carried;
import pied.server.live.LiveWire.CarryAnswer;
import pied.server.live.LiveWire.Done;
import pied.server.live.LiveWire.Message;
import pied.server.live.LiveWire.Present;
import pied.server.live.LiveWire.PutAside;
import pied.server.space.OpenSpace;
import pied.server.space.SpaceStore;
import pied.server.store.Missing;

/**
 * Sends every change of a space to all who look at it, and answers those who carry something. Of
 * several questions of one who carries only the newest is answered; nobody waits for anybody who
 * does not read.
 */
@Configuration
@EnableWebSocket
class LiveChannel extends TextWebSocketHandler implements WebSocketConfigurer {
  private static final Logger LOG = LoggerFactory.getLogger(LiveChannel.class);
  private static final String PATH = "/api/live/";

  /** Longest message, letters: a question about as many pieces as a space holds. */
  private static final int LONGEST = 1 << 20;

  private static final Pattern NUMBER = Pattern.compile("\"ask\":(\\d{1,15})\\D");

  /** Something was put down, or given up. */
  private static final Pattern DOWN = Pattern.compile("\\s*\\{\\s*\"ask\"\\s*:\\s*0\\s*}\\s*");

  /** One who has not been heard of for so long is not there, seconds. */
  private static final int DEAD = 45;

  private final SpaceStore store;
  private final IdleDetector idle;
  private final ObjectMapper json;
  private final Map<String, Set<Talk>> looking = new ConcurrentHashMap<>();
  private final Map<String, Talk> talks = new ConcurrentHashMap<>();
  private final ExecutorService thinkers =
      Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors(), named("carry"));
  private final ExecutorService teller = Executors.newSingleThreadExecutor(named("teller"));

  LiveChannel(SpaceStore store, ObjectMapper json, IdleDetector idle) {
    this.store = store;
    this.idle = idle;
    this.json = json;
    store.listen((space, changed) -> teller.execute(() -> tell(space, new Done(changed))));
    store.listenAside((space, aside) -> teller.execute(() -> tell(space, new PutAside(aside))));
    store.watched(space -> looking.containsKey(space));
    store.present(this::looks);
  }

  private static java.util.concurrent.ThreadFactory named(String name) {
    return r -> {
      Thread t = new Thread(r, name);
      t.setDaemon(true);
      return t;
    };
  }

  /** Whether somebody looks at a space from a window. */
  private boolean looks(String space, String window) {
    return looking.getOrDefault(space, Set.of()).stream().anyMatch(t -> t.window.equals(window));
  }

  @PreDestroy
  void close() {
    thinkers.shutdownNow();
    teller.shutdownNow();
  }

  @Override
  public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
    // foreign origins are turned away by the gatekeeper before they come here
    registry.addHandler(this, PATH + "*").setAllowedOriginPatterns("*");
  }

  @Override
  public boolean supportsPartialMessages() {
    return true; // long ones are put together here, so that a short one costs little room
  }

  /** One who looks, and the question he waits for. */
  private final class Talk {
    final String space;
    final String window;
    final Listener listener;
    private String asked;
    private boolean downBefore;
    private boolean downAfter;
    private boolean busy;
    private final StringBuilder coming = new StringBuilder();

    Talk(String space, String window, Listener listener) {
      this.space = space;
      this.window = window;
      this.listener = listener;
    }

    /** Takes a part of a message; too long a one is refused once all of it has passed by. */
    void hear(String part, boolean last) {
      listener.heard();
      if (coming.length() <= LONGEST) {
        coming.append(part);
      }
      if (!last) {
        return;
      }
      String whole = coming.toString();
      coming.setLength(0);
      coming.trimToSize();
      if (whole.length() <= LONGEST) {
        ask(whole);
      } else {
        Matcher number = NUMBER.matcher(whole.substring(0, 40));
        listener.send(
            write(
                new CarryAnswer(
                    number.find() ? Long.parseLong(number.group(1)) : 0,
                    0,
                    null,
                    "That is too much for one question; carry fewer pieces at once.",
                    List.of())));
      }
    }

    /**
     * Takes a question; one that has not been begun gives way to it. That something was put down is
     * no question: what was asked before it is still answered.
     */
    private void ask(String text) {
      synchronized (this) {
        if (!DOWN.matcher(text).matches()) {
          downBefore |= downAfter;
          downAfter = false;
          asked = text;
        } else {
          downAfter = true;
        }
        if (busy) {
          return;
        }
        busy = true;
      }
      thinkers.execute(this::think);
    }

    /** Answers the newest; then it is the turn of others. */
    private void think() {
      String question;
      boolean before;
      boolean after;
      synchronized (this) {
        question = asked;
        before = downBefore;
        after = downAfter;
        asked = null;
        downBefore = false;
        downAfter = false;
      }
      try {
        if (before) {
          others(this, List.of());
        }
        if (question != null) {
          answer(this, question);
        }
        if (after) {
          others(this, List.of());
        }
      } finally {
        synchronized (this) {
          busy = asked != null || downAfter;
          if (busy) {
            thinkers.execute(this::think);
          }
        }
      }
    }
  }

  // ---- carrying

  @Override
  protected void handleTextMessage(WebSocketSession session, TextMessage message) {
    Talk talk = talks.get(session.getId());
    if (talk != null) {
      talk.hear(message.getPayload(), message.isLast());
    }
  }

  @Override
  protected void handlePongMessage(WebSocketSession session, PongMessage message) {
    Talk talk = talks.get(session.getId());
    if (talk != null) {
      talk.listener.heard();
    }
  }

  private void answer(Talk talk, String text) {
    idle.carried();
    long number = 0;
    long revision = 0;
    CarryAnswer answer;
    try {
      JsonNode asked = json.readTree(text);
      number = asked.path("ask").asLong();
      JsonNode carry = asked.path("carry");
      if (carry.isMissingNode() || carry.isNull()) { // it was put down or given up
        others(talk, List.of());
        return;
      }
      CarryAsk q = json.treeToValue(carry, CarryAsk.class);
      LengthUnit unit = LengthUnit.of(asked.path("unit").asText("m"));
      OpenSpace.Seen now = store.seen(talk.space);
      revision = now.revision();
      CarryResult found = Carrying.answer(now.space(), q, unit);
      answer = new CarryAnswer(number, revision, found, "", List.of());
      others(talk, found.pieces());
    } catch (Locked e) {
      Declined d = Locks.declined(store.space(talk.space), e, null);
      answer = new CarryAnswer(number, revision, null, d.getMessage(), d.offers());
    } catch (Refusal e) {
      answer = new CarryAnswer(number, revision, null, e.getMessage(), List.of());
    } catch (JsonProcessingException e) {
      answer = new CarryAnswer(number, revision, null, refusal(e), List.of());
    } catch (RuntimeException e) {
      LOG.error("A question could not be answered", e);
      answer =
          new CarryAnswer(
              number, revision, null, "Pied cannot answer that; its log says why.", List.of());
    }
    talk.listener.send(write(answer));
  }

  private static String refusal(JsonProcessingException e) {
    for (Throwable t = e; t != null; t = t.getCause()) {
      if (t instanceof Refusal r) {
        return r.getMessage();
      }
    }
    return "The question cannot be read.";
  }

  private String write(Message message) {
    try {
      return json.writeValueAsString(message);
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Shows others what is carried here. */
  private void others(Talk talk, List<Piece> pieces) {
    Set<Talk> all = looking.getOrDefault(talk.space, Set.of());
    if (all.size() < 2) {
      return;
    }
    String text = write(new Carried(talk.listener.id(), pieces));
    // up to the name of who carries, by which what is older is known
    String carrier = text.substring(0, text.indexOf(",\"carried\""));
    for (Talk other : all) {
      if (other != talk) {
        other.listener.show(carrier, text);
      }
    }
  }

  // ---- coming and going

  @Override
  public void afterConnectionEstablished(WebSocketSession session) throws IOException {
    String space = session.getUri().getPath().substring(PATH.length());
    try {
      store.seen(space);
    } catch (Missing e) {
      session.close(CloseStatus.POLICY_VIOLATION.withReason("There is no such space."));
      return;
    }
    Session line = ((NativeWebSocketSession) session).getNativeSession(Session.class);
    line.setMaxIdleTimeout(0);
    line.getAsyncRemote().setSendTimeout(TimeUnit.SECONDS.toMillis(DEAD));
    Talk talk = new Talk(space, window(session.getUri().getQuery()), new Listener(line));
    talks.put(session.getId(), talk);
    looking.compute(
        space,
        (k, all) -> {
          Set<Talk> company = all == null ? ConcurrentHashMap.newKeySet() : all;
          company.add(talk);
          return company;
        });
    // what has happened since the page was read is seen by comparing the revision
    talk.listener.send(write(new Present(store.seen(space).revision())));
  }

  /** The id of the window that is looked from; empty if none is given. */
  private static String window(@Nullable String query) {
    return query == null || !query.startsWith("window=") ? "" : query.substring(7);
  }

  @Override
  public void afterConnectionClosed(WebSocketSession session, CloseStatus status) {
    Talk talk = talks.remove(session.getId());
    if (talk == null) {
      return;
    }
    others(talk, List.of());
    looking.computeIfPresent(
        talk.space,
        (k, all) -> {
          all.remove(talk);
          return all.isEmpty() ? null : all;
        });
  }

  /** Finds those who are no longer there. */
  @Scheduled(fixedDelay = 15, initialDelay = 15, timeUnit = TimeUnit.SECONDS)
  void beat() {
    talks.values().forEach(t -> t.listener.beat(TimeUnit.SECONDS.toNanos(DEAD)));
  }

  /** How many spaces are looked at, and by how many. */
  int[] company() {
    return new int[] {looking.size(), talks.size()};
  }

  private void tell(String space, Message message) {
    Set<Talk> all = looking.get(space);
    if (all != null && !all.isEmpty()) {
      String text = write(message);
      all.forEach(t -> t.listener.send(text));
    }
  }
}
