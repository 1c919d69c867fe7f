package pied.server.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import jakarta.websocket.CloseReason;
import jakarta.websocket.RemoteEndpoint;
import jakarta.websocket.SendHandler;
import jakarta.websocket.SendResult;
import jakarta.websocket.Session;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;

class ListenerTest {
  private final Session line = mock(Session.class);
  private final RemoteEndpoint.Async async = mock(RemoteEndpoint.Async.class);
  private final RemoteEndpoint.Basic basic = mock(RemoteEndpoint.Basic.class);
  private final List<String> sent = new ArrayList<>();
  private SendHandler through;
  private Listener listener;

  @BeforeEach
  void answer() {
    when(line.getAsyncRemote()).thenReturn(async);
    when(line.getBasicRemote()).thenReturn(basic);
    doAnswer(
            i -> {
              sent.add(i.getArgument(0));
              through = i.getArgument(1);
              return null;
            })
        .when(async)
        .sendText(any(), any());
    listener = new Listener(line);
  }

  private CloseReason.CloseCode closed() throws Exception {
    ArgumentCaptor<CloseReason> why = ArgumentCaptor.forClass(CloseReason.class);
    verify(line, timeout(10_000)).close(why.capture());
    return why.getValue().getCloseCode();
  }

  @Test
  void messagesGoOutOneAfterTheOtherInOrder() {
    listener.send("a");
    listener.send("b");
    listener.send("c");
    assertThat(sent).containsExactly("a");
    through.onResult(new SendResult());
    assertThat(sent).containsExactly("a", "b");
    through.onResult(new SendResult());
    through.onResult(new SendResult());
    assertThat(sent).containsExactly("a", "b", "c");
  }

  @Test
  void ofWhatSomebodyCarriesOnlyTheNewestWaits() {
    listener.send("first");
    listener.show("{\"carrier\":\"x\"", "{\"carrier\":\"x\",1}");
    listener.send("between");
    listener.show("{\"carrier\":\"x\"", "{\"carrier\":\"x\",2}");
    listener.show("{\"carrier\":\"y\"", "{\"carrier\":\"y\",3}");
    for (int i = 0; i < 4; i++) {
      through.onResult(new SendResult());
    }
    assertThat(sent)
        .containsExactly("first", "between", "{\"carrier\":\"x\",2}", "{\"carrier\":\"y\",3}");
  }

  @Test
  void whoFallsBehindIsSentAway() throws Exception {
    for (int i = 0; i < 1002; i++) {
      listener.send("m" + i);
    }
    assertThat(closed()).isEqualTo(CloseReason.CloseCodes.TRY_AGAIN_LATER);
    listener.send("more");
    assertThat(sent).containsExactly("m0");
  }

  @Test
  void soMuchDoesNotWaitEither() throws Exception {
    listener.send("m");
    for (int i = 0; i < 17; i++) {
      listener.send("x".repeat(1 << 20));
    }
    assertThat(closed()).isEqualTo(CloseReason.CloseCodes.TRY_AGAIN_LATER);
  }

  @Test
  void whoIsNotHeardOfIsNotThereAndWhoIsIdleIsAsked() throws Exception {
    listener.beat(Long.MAX_VALUE / 2);
    verify(basic).sendPing(any());
    verify(line, never()).close(any());
    listener.heard();
    listener.beat(-1);
    assertThat(closed()).isEqualTo(CloseReason.CloseCodes.GOING_AWAY);
  }
}
