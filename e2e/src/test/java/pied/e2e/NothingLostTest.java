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

  private static Map<String, Integer> names(PiedProcess pied, String room) {
    Map<String, Integer> names = new HashMap<>();
    pied.space(room)
        .get("pieces")
        .forEach(p -> names.merge(p.get("name").asText(), 1, Integer::sum));
    return names;
  }
}
