package pied.server.handover;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pied.core.units.Refusal;
import pied.server.store.Later;
import pied.server.store.WorkFolder;

/** Many who ask for the same: it is made once, and nobody is kept out by what others have made. */
class HandoverJobsTest {
  @TempDir Path data;
  private HandoverJobs jobs;
  private final CountDownLatch go = new CountDownLatch(1);
  private final AtomicInteger made = new AtomicInteger();

  @BeforeEach
  void begin() {
    jobs = new HandoverJobs(new WorkFolder(data.toString()));
  }

  @AfterEach
  void end() throws Exception {
    go.countDown();
    jobs.close();
  }

  private HandoverJobs.Work slow(String text) {
    return (out, effort) -> {
      await();
      made.incrementAndGet();
      out.write(text.getBytes(StandardCharsets.UTF_8));
    };
  }

  private void await() {
    try {
      go.await(20, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  @Test
  void twoHundredAndFiftyFollowersWaitForOneFileWithoutAThread() throws Exception {
    int before = Thread.activeCount();
    List<CompletableFuture<Path>> all = new ArrayList<>();
    for (int i = 0; i < 250; i++) {
      all.add(jobs.shared("room/plan 7", slow("plan")));
    }
    assertThat(Thread.activeCount() - before).isLessThanOrEqualTo(2);
    go.countDown();
    for (CompletableFuture<Path> f : all) {
      assertThat(Files.readString(f.get(180, TimeUnit.SECONDS))).isEqualTo("plan");
    }
    assertThat(made).hasValue(1);
    assertThat(all.get(0).get())
        .as("in the folder that is emptied at every start")
        .startsWith(data);
  }

  @Test
  void tooManyAreToldToComeAgain() {
    for (int i = 0; i < 16; i++) {
      jobs.shared("room/plan " + i, slow("plan"));
    }
    assertThatThrownBy(() -> jobs.shared("room/plan 99", slow("plan")))
        .isInstanceOfSatisfying(Later.class, e -> assertThat(e.seconds()).isPositive());
    assertThatThrownBy(
            () -> {
              for (int i = 0; i < 1_000; i++) {
                jobs.shared("room/plan 3", slow("plan"));
              }
            })
        .isInstanceOf(Later.class);
  }

  @Test
  void whatCouldNotBeMadeMayBeAskedForAgain() throws Exception {
    CompletableFuture<Path> first =
        jobs.shared(
            "a",
            (out, effort) -> {
              throw new IOException("no");
            });
    assertThatThrownBy(() -> first.get(180, TimeUnit.SECONDS)).hasMessageContaining("no");
    go.countDown();
    assertThat(jobs.shared("a", slow("b")).get(180, TimeUnit.SECONDS)).exists();
  }

  @Test
  void whatIsMadeAndNotFetchedKeepsNobodyFromTheNext() throws Exception {
    go.countDown();
    for (int i = 0; i < 30; i++) {
      String id = jobs.begin("anne", "n", "text/plain", 1, slow("x"));
      Awaitility.await().atMost(Duration.ofMinutes(3)).until(() -> jobs.running(id).over());
      assertThat(jobs.running(id).file()).exists();
    }
  }

  @Test
  void oneHasSoManyUnderWayAndOthersHaveTheirs() {
    for (int i = 0; i < 5; i++) {
      jobs.begin("anne", "n", "text/plain", 1, slow("x"));
    }
    assertThatThrownBy(() -> jobs.begin("anne", "n", "text/plain", 1, slow("x")))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("You have 5 files under way");
    assertThat(jobs.begin("ben", "n", "text/plain", 1, slow("x"))).isNotBlank();
  }
}
