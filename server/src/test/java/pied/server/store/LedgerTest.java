package pied.server.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import jakarta.persistence.EntityManagerFactory;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.tool.turn.Turn;
import pied.server.Given;
import pied.server.h2.FaultyFiles;
import pied.server.space.ProjectStore;
import pied.server.space.Rows;
import pied.server.space.SpaceStore;
import pied.server.space.SpaceWire.Changed;
import pied.server.space.SpaceWire.EditRequest;
import pied.server.space.SpaceWire.StepRequest;

/** What is acknowledged is on the disk, and costs little there. */
@SpringBootTest(
    webEnvironment = SpringBootTest.WebEnvironment.MOCK,
    properties = {"spring.jpa.properties.hibernate.generate_statistics=true", "pied.reserve=0"})
@DirtiesContext
@Tag("thorough")
class LedgerTest {
  @TempDir private static Path folder;

  @DynamicPropertySource
  static void where(DynamicPropertyRegistry r) {
    FaultyFiles.register();
    String options = ";WRITE_DELAY=1000;DB_CLOSE_ON_EXIT=FALSE;TRACE_LEVEL_FILE=0";
    r.add("spring.datasource.url", () -> "jdbc:h2:faulty:" + folder.resolve("pied") + options);
    r.add("pied.data", folder::toString);
  }

  @Autowired private SpaceStore store;
  @Autowired private ProjectStore projects;
  @Autowired Housekeeping.Past past;
  @Autowired private Ledger ledger;
  @Autowired private LedgerHealth health;
  @Autowired private EntityManagerFactory entities;
  @Autowired private Journal journal;
  private String room;

  @BeforeEach
  void newRoom() {
    room = Given.room(projects);
    for (int i = 0; i < 12; i++) {
      edit(null, Given.put("s" + i, "stool", 0.5 + i % 6, 1 + 2 * (i / 6)));
    }
  }

  @AfterAll
  static void heal() {
    FaultyFiles.full = false;
  }

  private Changed edit(String request, Edit... edits) {
    return store.edit(room, new EditRequest(request, null, "m", List.of(edits)));
  }

  private Changed turn(String request) {
    return edit(request, new Turn(List.of("s3"), null, Amount.of(7.3)));
  }

  @Test
  void anEditWritesTwoRowsAndFewBytesHoweverMuchWasDoneBefore() {
    Statistics statistics = entities.unwrap(SessionFactory.class).getStatistics();
    int part = 120;
    long[] bytes = new long[5];
    for (int p = 0; p < bytes.length; p++) {
      long before = FaultyFiles.written;
      for (int i = 0; i < part; i++) {
        turn("r" + p + "-" + i);
      }
      bytes[p] = (FaultyFiles.written - before) / part;
    }
    for (long b : bytes) {
      assertThat(b).as("bytes written for an edit").isLessThan(40 << 10);
    }
    assertThat(bytes[4]).as("no more than before").isLessThan(bytes[1] * 3 / 2);

    long statements = statistics.getPrepareStatementCount();
    int forced = FaultyFiles.forced;
    turn("one");
    // the piece, and the step with its answer; nothing is read
    assertThat(statistics.getPrepareStatementCount() - statements).isEqualTo(2);
    assertThat(FaultyFiles.forced - forced).isBetween(1, 2);
    statements = statistics.getPrepareStatementCount();
    turn("one");
    assertThat(statistics.getPrepareStatementCount() - statements).as("the answer").isEqualTo(1);
  }

  @Test
  void whatComesMeanwhileSharesOneForce() throws InterruptedException {
    long before = ledger.forced();
    ExecutorService eight = Executors.newFixedThreadPool(8);
    String other = Given.room(projects);
    for (int i = 0; i < 160; i++) {
      String space = i % 2 == 0 ? room : other;
      String text = "n" + i;
      eight.execute(
          () -> {
            if (space.equals(room)) {
              turn(text);
            } else {
              projects.newProject(text);
            }
          });
    }
    eight.shutdown();
    assertThat(eight.awaitTermination(180, TimeUnit.SECONDS)).isTrue();
    assertThat(ledger.forced() - before).isLessThan(160);
  }

  @Test
  void afterAPowerCutEverythingAcknowledgedIsThere(@TempDir Path cuts) throws Exception {
    Random r = new Random(11);
    Map<String, Double> acknowledged = new HashMap<>();
    for (int cut = 0; cut < 12; cut++) {
      for (int i = 0; i < 5; i++) {
        String id = "s" + r.nextInt(12);
        edit(null, new Turn(List.of(id), null, Amount.of(1 + r.nextInt(300))));
        acknowledged.put(id, store.space(room).piece(id).turn());
      }
      // something large that is not acknowledged may be under way too
      byte[] disk = FaultyFiles.afterPowerCut(r);
      Path file = cuts.resolve("cut" + cut + ".mv.db");
      Files.write(file, disk);
      assertThat(turns(file)).as("after cut " + cut).containsAllEntriesOf(acknowledged);
    }
  }

  @Test
  void aPowerCutWhilePackingLosesNothingAndTheFileIsSmallAfterwards(@TempDir Path cuts)
      throws Exception {
    for (int i = 0; i < 150; i++) {
      turn("p" + i);
    }
    Map<String, Double> acknowledged = Map.of("s3", store.space(room).piece("s3").turn());
    long before = Files.size(folder.resolve("pied.mv.db"));
    FaultyFiles.watch(new Random(5));
    int steps = journal.pack(() -> true);
    List<byte[]> disks = FaultyFiles.seen();
    assertThat(steps).isPositive();
    assertThat(disks).hasSizeGreaterThan(2);
    for (int i = 0; i < disks.size(); i++) {
      Path file = cuts.resolve("cut" + i + ".mv.db");
      Files.write(file, disks.get(i));
      assertThat(turns(file)).as("cut " + i).containsAllEntriesOf(acknowledged);
      Files.delete(file);
    }
    assertThat(Files.size(folder.resolve("pied.mv.db"))).isLessThan(before / 4);
    turn("after");
  }

  private static String url(Path file) {
    return "jdbc:h2:file:" + file.toString().replace(".mv.db", "");
  }

  private Map<String, Double> turns(Path file) throws Exception {
    Map<String, Double> turns = new HashMap<>();
    try (Connection c = DriverManager.getConnection(url(file), "pied", "");
        Statement s = c.createStatement();
        ResultSet rows =
            s.executeQuery("select id, turn from piece where space_id = '" + room + "'")) {
      while (rows.next()) {
        turns.put(rows.getString(1), rows.getDouble(2));
      }
    }
    return turns;
  }

  @Test
  void onAFullDiskItIsSaidAndNothingTakenAndItHealsByItself() {
    turn("before");
    double turned = store.space(room).piece("s3").turn();
    FaultyFiles.full = true;
    try {
      assertThatThrownBy(() -> turn("lost"))
          .isInstanceOf(NotKept.class)
          .hasMessageContaining("The disk is full")
          .hasMessageContaining(folder.toString());
      assertThatThrownBy(() -> turn("later")).isInstanceOf(NotKept.class);
      assertThatThrownBy(() -> projects.newProject("None")).isInstanceOf(NotKept.class);
      assertThat(health.health().getStatus().getCode()).isEqualTo("OUT_OF_SERVICE");
      // what was acknowledged is still to be seen
      assertThat(store.space(room).piece("s3").turn()).isEqualTo(turned);
    } finally {
      FaultyFiles.full = false;
    }
    await().atMost(Duration.ofMinutes(3)).until(() -> ledger.trouble() == null);
    assertThat(health.health().getStatus().getCode()).isEqualTo("UP");
    // sent again as the sheet does, it is done once; undo knows what was before
    assertThat(turn("lost")).isEqualTo(turn("lost"));
    assertThat(store.space(room).piece("s3").turn()).isNotEqualTo(turned);
    store.undo(room, null);
    assertThat(store.space(room).piece("s3").turn()).isEqualTo(turned);
    assertThat(turn("before").revision()).isLessThan(store.view(room).revision());
  }

  @Test
  void whatCannotBeAskedForAnyMoreIsLetGoOf() throws IOException {
    turn("old");
    store.undo(room, new StepRequest("old-undo"));
    turn("new"); // the old one can no longer be redone
    int before = rows();
    past.forget(java.time.Instant.now().plusSeconds(60));
    assertThat(rows()).isLessThan(before);
    long revision = store.view(room).revision();
    store.letGo(0);
    assertThat(store.held()).isZero();
    assertThat(store.view(room).revision()).isEqualTo(revision);
    store.undo(room, null);
    assertThat(store.view(room).canRedo()).isTrue();
    // its answer is gone, so it is done anew
    assertThat(turn("old").revision()).isEqualTo(revision + 2);
  }

  @Autowired private Rows.Steps steps;

  private int rows() {
    return (int) steps.count();
  }
}
