package pied.server.live;

import jakarta.websocket.CloseReason;
import jakarta.websocket.Session;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.util.ArrayDeque;
import java.util.Deque;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * One who looks at a space. What is for him waits here and goes out one after the other, without a
 * thread that waits for him; whoever falls too far behind is sent away, and reads the space anew
 * when he comes back. Safe for threads; nothing here ever blocks.
 */
final class Listener {
  private static final Logger LOG = LoggerFactory.getLogger(Listener.class);

  /** So many messages wait. */
  private static final int MOST = 1000;

  /** And so many letters. */
  private static final long LONGEST = 16L << 20;

  /** Why somebody is sent away: the web client comes back at once. */
  private static final CloseReason BEHIND =
      new CloseReason(CloseReason.CloseCodes.TRY_AGAIN_LATER, "You have fallen behind.");

  private final Session line;
  private final Deque<String> waiting = new ArrayDeque<>();
  private long letters;
  private boolean sending;
  private boolean over;
  private long sentAt = System.nanoTime();
  private volatile long heardAt = System.nanoTime();

  Listener(Session line) {
    this.line = line;
  }

  String id() {
    return line.getId();
  }

  /** Puts a message behind those that wait. */
  void send(String text) {
    put(text);
  }

  /**
   * Shows what somebody else carries; of several that wait of one carrier only the newest is
   * wanted.
   *
   * @param carrier how such a message begins
   */
  void show(String carrier, String text) {
    synchronized (this) {
      waiting.removeIf(
          w -> {
            boolean old = w.startsWith(carrier);
            letters -= old ? w.length() : 0;
            return old;
          });
    }
    put(text);
  }

  private void put(String text) {
    boolean behind;
    synchronized (this) {
      if (over) {
        return;
      }
      behind = waiting.size() >= MOST || letters + text.length() > LONGEST;
      if (!behind) {
        waiting.addLast(text);
        letters += text.length();
      }
    }
    if (behind) {
      close(BEHIND);
    } else {
      next();
    }
  }

  private void next() {
    String text;
    synchronized (this) {
      if (sending || over || waiting.isEmpty()) {
        return;
      }
      text = waiting.removeFirst();
      letters -= text.length();
      sending = true;
      sentAt = System.nanoTime();
    }
    try {
      line.getAsyncRemote()
          .sendText(
              text,
              result -> {
                synchronized (this) {
                  sending = false;
                }
                if (result.isOK()) {
                  next();
                } else {
                  close(BEHIND);
                }
              });
    } catch (RuntimeException e) {
      LOG.debug("A listener is gone: {}", e.getMessage());
      close(BEHIND);
    }
  }

  /** Something was heard of him. */
  void heard() {
    heardAt = System.nanoTime();
  }

  /**
   * Feels whether he is there.
   *
   * @param dead nothing heard, or nothing got through, for so long: he is not, nanoseconds
   */
  void beat(long dead) {
    long now = System.nanoTime();
    boolean stuck;
    boolean idle;
    synchronized (this) {
      stuck = sending && now - sentAt > dead;
      idle = !sending && !over;
    }
    if (stuck || now - heardAt > dead) {
      close(new CloseReason(CloseReason.CloseCodes.GOING_AWAY, "Nothing was heard of you."));
    } else if (idle) {
      try {
        line.getBasicRemote().sendPing(ByteBuffer.allocate(0));
      } catch (IOException | RuntimeException e) {
        LOG.debug("A listener is gone: {}", e.getMessage());
        close(BEHIND);
      }
    }
  }

  void close(CloseReason why) {
    synchronized (this) {
      if (over) {
        return;
      }
      over = true;
      waiting.clear();
      letters = 0;
    }
    // to close a line may wait for what is on it
    Thread t =
        new Thread(
            () -> {
              try {
                line.close(why);
              } catch (IOException | RuntimeException e) {
                LOG.debug("It was closed already: {}", e.getMessage());
              }
            },
            "live-close");
    t.setDaemon(true);
    t.start();
  }
}
