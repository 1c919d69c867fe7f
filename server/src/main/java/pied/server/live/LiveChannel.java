package pied.server.live;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.server.ServerHttpRequest;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketExtension;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.config.annotation.EnableWebSocket;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;
import org.springframework.web.socket.handler.ConcurrentWebSocketSessionDecorator;
import org.springframework.web.socket.handler.TextWebSocketHandler;
import org.springframework.web.socket.server.support.DefaultHandshakeHandler;
import pied.core.Refusal;
import pied.core.carry.Answer;
import pied.core.carry.Carrying;
import pied.core.carry.Question;
import pied.core.piece.Piece;
import pied.core.units.LengthUnit;
import pied.server.api.Answers.Carried;
import pied.server.api.Answers.CarryAnswer;
import pied.server.api.Answers.Changed;
import pied.server.store.SpaceStore;

/** Sends every change of a space to all who look at it, and answers those who carry something. */
@Configuration
@EnableWebSocket
class LiveChannel extends TextWebSocketHandler implements WebSocketConfigurer {
  private static final Logger LOG = LoggerFactory.getLogger(LiveChannel.class);
  private static final String PATH = "/api/live/";
  private static final int SLOWEST_MS = 5_000;
  private static final int LONGEST_QUEUE = 8 << 20;

  private final SpaceStore store;
  private final ObjectMapper json;
  private final Map<String, Set<WebSocketSession>> looking = new ConcurrentHashMap<>();
  private final Map<String, WebSocketSession> safe = new ConcurrentHashMap<>();

  LiveChannel(SpaceStore store, ObjectMapper json) {
    this.store = store;
    this.json = json;
    store.listen(this::tell);
  }

  @Override
  public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
    // foreign origins are turned away by the gatekeeper before they come here
    registry
        .addHandler(this, PATH + "*")
        .setAllowedOriginPatterns("*")
        .setHandshakeHandler(new Plain());
  }

  /** Refuses per-message compression, which doubles the way there and back of short messages. */
  private static final class Plain extends DefaultHandshakeHandler {
    @Override
    protected List<WebSocketExtension> filterRequestedExtensions(
        ServerHttpRequest request,
        List<WebSocketExtension> requested,
        List<WebSocketExtension> supported) {
      return List.of();
    }
  }

  @Override
  protected void handleTextMessage(WebSocketSession session, TextMessage message)
      throws IOException {
    WebSocketSession own = safe.get(session.getId());
    if (own == null) {
      return;
    }
    long number = 0;
    CarryAnswer answer;
    try {
      JsonNode asked = json.readTree(message.getPayload());
      number = asked.path("ask").asLong();
      if (asked.path("carry").isMissingNode()) { // it was put down or given up
        others(session, List.of());
        return;
      }
      Question q = json.treeToValue(asked.get("carry"), Question.class);
      LengthUnit unit = LengthUnit.of(asked.path("unit").asText("m"));
      Answer found = Carrying.answer(store.space(space(session)), q, unit);
      answer = new CarryAnswer(number, found, "");
      others(session, found.pieces());
    } catch (Refusal e) {
      answer = new CarryAnswer(number, null, e.getMessage());
    } catch (JsonProcessingException e) {
      answer = new CarryAnswer(number, null, refusal(e));
    }
    own.sendMessage(new TextMessage(json.writeValueAsString(answer)));
  }

  private static String refusal(JsonProcessingException e) {
    for (Throwable t = e; t != null; t = t.getCause()) {
      if (t instanceof Refusal r) {
        return r.getMessage();
      }
    }
    return "The question cannot be read.";
  }

  /** Shows others what is carried here. */
  private void others(WebSocketSession session, List<Piece> pieces) {
    Set<WebSocketSession> all = looking.getOrDefault(space(session), Set.of());
    if (all.size() < 2) {
      return;
    }
    try {
      TextMessage message =
          new TextMessage(json.writeValueAsString(new Carried(session.getId(), pieces)));
      for (WebSocketSession other : all) {
        if (!other.getId().equals(session.getId())) {
          send(other, message);
        }
      }
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
  }

  @Override
  public void afterConnectionEstablished(WebSocketSession session) throws IOException {
    String space = space(session);
    try {
      WebSocketSession own =
          new ConcurrentWebSocketSessionDecorator(session, SLOWEST_MS, LONGEST_QUEUE);
      safe.put(session.getId(), own);
      looking.computeIfAbsent(space, k -> ConcurrentHashMap.newKeySet()).add(own);
      // what has happened since the page was read is seen by comparing the revision
      own.sendMessage(new TextMessage("{\"revision\":" + store.view(space).revision() + "}"));
    } catch (SpaceStore.Missing e) {
      afterConnectionClosed(session, CloseStatus.NORMAL);
      session.close(CloseStatus.POLICY_VIOLATION.withReason("There is no such space."));
    }
  }

  @Override
  public void afterConnectionClosed(WebSocketSession session, CloseStatus status) {
    WebSocketSession own = safe.remove(session.getId());
    Set<WebSocketSession> all = looking.get(space(session));
    if (own != null && all != null) {
      others(session, List.of());
      all.remove(own);
    }
  }

  private static String space(WebSocketSession session) {
    String path = session.getUri().getPath();
    return path.substring(path.indexOf(PATH) + PATH.length());
  }

  private void tell(String space, Changed changed) {
    Set<WebSocketSession> all = looking.get(space);
    if (all == null || all.isEmpty()) {
      return;
    }
    try {
      TextMessage message = new TextMessage(json.writeValueAsString(changed));
      for (WebSocketSession session : all) {
        send(session, message);
      }
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
  }

  private void send(WebSocketSession session, TextMessage message) {
    try {
      session.sendMessage(message);
    } catch (IOException | RuntimeException e) {
      LOG.debug("A listener is gone: {}", e.getMessage());
      try {
        session.close(CloseStatus.SESSION_NOT_RELIABLE);
      } catch (IOException ignored) {
        // gone already
      }
    }
  }
}
