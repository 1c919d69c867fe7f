package pied.server.supply;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.function.Function;
import pied.core.units.Refusal;

/**
 * One model on its way from a supplier: it goes on where it was cut off, tries a few times, and is
 * taken only if its checksum agrees.
 */
final class Fetch implements Runnable {
  /** How it stands. */
  enum State {
    waiting,
    fetching,
    checking,
    done,
    failed,
    stopped
  }

  private static final int TRIES = 4;
  private static final int CHUNK = 16384;

  final String project;
  final SupplierClient.Ware ware;
  private final SupplierClient client;
  private final String token;
  private final long pause;
  private final Function<byte[], String> take;
  private ByteArrayOutputStream here = new ByteArrayOutputStream();
  private volatile State state = State.waiting;
  private volatile String said = "";
  private volatile long received;
  private volatile long heard = System.nanoTime();
  private volatile String article;
  private volatile InputStream flow;
  private volatile boolean stopped;
  private String tag;

  /**
   * @param pause before the second try, ms; twice as long before the next, and so on
   * @param take makes an article of the file; its id
   */
  Fetch(
      String project,
      SupplierClient.Ware ware,
      SupplierClient client,
      String token,
      long pause,
      Function<byte[], String> take) {
    this.project = project;
    this.ware = ware;
    this.client = client;
    this.token = token;
    this.pause = pause;
    this.take = take;
  }

  State state() {
    return state;
  }

  String said() {
    return said;
  }

  long received() {
    return received;
  }

  String article() {
    return article;
  }

  /** How many bytes of it are in memory. */
  int held() {
    return here.size();
  }

  boolean over() {
    return state == State.done || state == State.failed || state == State.stopped;
  }

  /** Stops it, wherever it is. */
  void stop() {
    stopped = true;
    breakOff();
  }

  /** Breaks it off if nothing has come for so long, so that it tries again. */
  void breakOffIfSilent(long nanos) {
    if (state == State.fetching && System.nanoTime() - heard > nanos) {
      breakOff();
    }
  }

  private void breakOff() {
    InputStream f = flow;
    if (f != null) {
      try {
        f.close();
      } catch (IOException e) {
        // it is over either way
      }
    }
  }

  @Override
  public void run() {
    try {
      fetch();
    } catch (Refusal | SupplierClient.TurnedDown e) {
      end(State.failed, e.getMessage());
    } catch (RuntimeException e) {
      end(State.failed, "It arrived, but could not be taken in.");
      throw e;
    } finally {
      here = new ByteArrayOutputStream(0); // it stays listed, without what it brought
    }
  }

  private void end(State how, String words) {
    said = words;
    state = stopped && how != State.done ? State.stopped : how;
  }

  private void fetch() {
    int damaged = 0;
    for (int tried = 0; !stopped; tried++) {
      state = State.fetching;
      String trouble = part();
      if (stopped) {
        break;
      }
      if (trouble == null) {
        state = State.checking;
        if (sha256(here.toByteArray()).equals(ware.sha256())) {
          article = take.apply(here.toByteArray());
          end(State.done, "");
          return;
        }
        restart();
        trouble = "It arrived damaged.";
        damaged++;
      }
      if (tried + 1 >= TRIES || damaged > 1) {
        end(State.failed, trouble);
        return;
      }
      said = trouble + " Trying again.";
      rest(pause << tried);
    }
    end(State.stopped, "");
  }

  private void restart() {
    here.reset();
    received = 0;
    tag = null;
  }

  private void rest(long ms) {
    try {
      Thread.sleep(ms);
    } catch (InterruptedException e) {
      stopped = true;
    }
  }

  /** Fetches what is missing; null if all is here, else what went wrong. */
  private String part() {
    try {
      heard = System.nanoTime();
      SupplierClient.Flow f = client.model(token, ware.id(), received, tag);
      if (!f.resumed()) {
        restart();
      }
      tag = f.tag();
      flow = f.bytes();
      try (InputStream in = f.bytes()) {
        byte[] chunk = new byte[CHUNK];
        for (int n = in.read(chunk); n >= 0; n = in.read(chunk)) {
          here.write(chunk, 0, n);
          received += n;
          heard = System.nanoTime();
          if (received > ware.bytes()) {
            restart();
            return "It is longer than the supplier said.";
          }
        }
      }
      return received == ware.bytes() ? null : "The line was cut.";
    } catch (IOException e) {
      return "The line was cut.";
    } catch (SupplierClient.Down e) {
      return e.getMessage();
    } finally {
      flow = null;
    }
  }

  private static String sha256(byte[] bytes) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
