package pied.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

/** The server is killed while edits stream in; what it acknowledged is there afterwards, once. */
class NothingLostTest {
  private static String edit(int i) {
    return "{\"id\":\"r"
        + i
        + "\",\"edits\":[{\"do\":\"place\",\"article\":\"bottle\",\"name\":\"b"
        + i
        + "\",\"at\":{\"x\":"
        + (0.3 + 0.2 * (i % 27))
        + ",\"z\":"
        + (0.3 + 0.2 * (i / 27 % 17))
        + "}}]}";
  }

  @Test
  void everyAcknowledgedEditIsThereOnceAfterAKillAndRepetition() throws Exception {
    try (PiedProcess pied = new PiedProcess()) {
      String room = pied.newRoom("Killed");
      Set<Integer> acknowledged = ConcurrentHashMap.newKeySet();
      AtomicInteger next = new AtomicInteger();
      AtomicBoolean over = new AtomicBoolean();
      List<Integer> sent = Collections.synchronizedList(new ArrayList<>());
      List<Thread> clients = new ArrayList<>();
      for (int c = 0; c < 3; c++) {
        Thread t =
            new Thread(
                () -> {
                  while (!over.get()) {
                    int i = next.getAndIncrement();
                    sent.add(i);
                    try {
                      HttpResponse<String> r = pied.post("/api/spaces/" + room + "/edits", edit(i));
                      if (r.statusCode() == 200) {
                        acknowledged.add(i);
                      }
                    } catch (IllegalStateException e) {
                      return; // it was killed
                    }
                  }
                });
        t.start();
        clients.add(t);
      }
      while (acknowledged.size() < 60) {
        Thread.sleep(5);
      }
      pied.kill();
      over.set(true);
      for (Thread t : clients) {
        t.join();
      }
      pied.start();
      Map<String, Integer> there = names(pied, room);
      for (int i : acknowledged) {
        assertThat(there).as("acknowledged edit " + i).containsEntry("b" + i, 1);
      }
      for (int i : sent) { // the client did not hear of some, and sends all again
        assertThat(pied.post("/api/spaces/" + room + "/edits", edit(i)).statusCode())
            .isEqualTo(200);
      }
      there = names(pied, room);
      assertThat(there).hasSize(sent.size());
      assertThat(there.values()).allMatch(n -> n == 1);

      // undo and redo survive the kill too
      JsonNode whole = pied.space(room);
      assertThat(whole.get("canUndo").asBoolean()).isTrue();
      pied.post("/api/spaces/" + room + "/undo", "{}");
      pied.kill();
      pied.start();
      assertThat(pied.space(room).get("pieces")).hasSize(sent.size() - 1);
      pied.post("/api/spaces/" + room + "/redo", "{}");
      assertThat(names(pied, room)).isEqualTo(there);
    }
  }

  /** One who renames a stool, again and again, until he hears nothing any more. */
  private static final class Renamer extends Thread {
    private final PiedProcess pied;
    private final String room;
    private final String piece;
    private volatile int sent;
    private volatile int acknowledged;

    Renamer(PiedProcess pied, String room, String piece, int from) {
      this.pied = pied;
      this.room = room;
      this.piece = piece;
      sent = from;
      acknowledged = from;
    }

    HttpResponse<String> send(int n) {
      String id = piece + "-" + n;
      return pied.post(
          "/api/spaces/" + room + "/edits",
          "{\"id\":\""
              + id
              + "\",\"edits\":[{\"do\":\"rename\",\"piece\":\""
              + piece
              + "\",\"name\":\""
              + id
              + "\"}]}");
    }

    @Override
    public void run() {
      try {
        while (send(++sent).statusCode() == 200) {
          acknowledged = sent;
          if (sent % 25 == 0) {
            Thread.sleep(60); // quiet enough to pack the file
          }
        }
      } catch (IllegalStateException | InterruptedException e) {
        // it was killed
      }
    }
  }

  /**
   * Killed again and again, in the middle of edits, while the file is being packed, and in the
   * middle of an orderly end. {@code -Dpied.kills=50} for as many.
   */
  @Test
  void killedAgainAndAgainAlsoWhilePackingNothingAcknowledgedIsLost() throws Exception {
    java.util.Random random = new java.util.Random(7);
    int kills = Integer.getInteger("pied.kills", 3);
    try (PiedProcess pied = new PiedProcess("--pied.quiet=0", "--pied.tidy=1")) {
      String room = pied.newRoom("Killed often");
      List<String> stools = List.of("a", "b", "c");
      for (int i = 0; i < stools.size(); i++) {
        pied.post(
            "/api/spaces/" + room + "/edits",
            "{\"edits\":[{\"do\":\"place\",\"piece\":\""
                + stools.get(i)
                + "\",\"article\":\"stool\",\"at\":{\"x\":"
                + (1 + 2 * i)
                + ",\"z\":2}}]}");
      }
      int[] at = new int[3];
      for (int k = 0; k < kills; k++) {
        List<Renamer> all = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
          all.add(new Renamer(pied, room, stools.get(i), at[i]));
        }
        all.forEach(Thread::start);
        Thread.sleep(300 + random.nextInt(2500));
        if (k % 3 == 2) {
          pied.end();
          Thread.sleep(random.nextInt(700));
        }
        pied.kill();
        for (Renamer r : all) {
          r.join();
        }
        pied.start();
        for (int i = 0; i < 3; i++) {
          Renamer r = all.get(i);
          String name = name(pied, room, r.piece);
          assertThat(name)
              .as("kill " + k)
              .isIn(
                  r.acknowledged == 0 ? name : r.piece + "-" + r.acknowledged,
                  r.piece + "-" + r.sent);
          assertThat(r.send(r.sent).statusCode()).isEqualTo(200); // he asks once more
          assertThat(name(pied, room, r.piece)).isEqualTo(r.piece + "-" + r.sent);
          at[i] = r.sent;
        }
      }
      System.out.println(kills + " kills, " + (at[0] + at[1] + at[2]) + " edits");
      int before = at[0] + at[1] + at[2];
      assertThat(pied.space(room).get("revision").asInt()).isEqualTo(3 + before);
    }
  }

  @Test
  void killedInItsFirstStartTheDemoIsWholeAfterwards() throws Exception {
    java.util.Random random = new java.util.Random(3);
    try (PiedProcess pied = new PiedProcess(false)) {
      for (int i = 0; i < 4; i++) {
        pied.launch();
        Thread.sleep(1200 + random.nextInt(3500));
        pied.kill();
      }
      pied.start();
      JsonNode projects = pied.json("/api/projects");
      assertThat(projects).hasSize(2);
      for (JsonNode p : projects) {
        assertThat(p.get("spaces")).hasSize(1);
        assertThat(pied.space(p.at("/spaces/0/id").asText()).get("pieces")).hasSizeGreaterThan(10);
      }
    }
  }

  private static String name(PiedProcess pied, String room, String piece) {
    for (JsonNode p : pied.space(room).get("pieces")) {
      if (p.get("id").asText().equals(piece)) {
        return p.get("name").asText();
      }
    }
    throw new IllegalStateException("There is no " + piece);
  }

  private static Map<String, Integer> names(PiedProcess pied, String room) {
    Map<String, Integer> names = new HashMap<>();
    pied.space(room)
        .get("pieces")
        .forEach(p -> names.merge(p.get("name").asText(), 1, Integer::sum));
    return names;
  }
}
