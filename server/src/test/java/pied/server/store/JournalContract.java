package pied.server.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pied.server.store.Journal.Transaction;

/** What every journal promises. */
public abstract class JournalContract {
  @TempDir protected Path folder;
  private Journal journal;
  private JournalFile files;

  /** The journal in a folder, with rows of marks; a new one if there is none. */
  protected abstract Journal open(Path folder);

  protected abstract JournalFile files();

  /** The medium has no room from now on, or has again. */
  protected abstract void full(boolean so);

  @BeforeEach
  void begin() {
    journal = open(folder);
    files = files();
  }

  @AfterEach
  void end() throws IOException {
    full(false);
    if (journal != null) {
      journal.close();
    }
  }

  private Path file() {
    return folder.resolve(files.name());
  }

  private static Consumer<Transaction> put(String name, String said) {
    return t -> t.insert(new MarkRow(name, said));
  }

  private static String said(Journal j, String name) {
    return j.find(MarkRow.class, name).map(MarkRow::said).orElse(null);
  }

  private void anew() throws IOException {
    journal.close();
    journal = open(folder);
  }

  @Test
  void rowsArePutInAlteredAndTakenOut() throws IOException {
    journal.append(List.of(put("a", "1"), put("b", "2"), put("c", "3"), put("d", "4")));
    journal.append(
        List.of(
            t -> t.update(new MarkRow("a", "10")),
            t -> t.delete(new MarkRow("b", "2")),
            t ->
                assertThat(
                        t.alter(
                            "update MarkRow set said = :said where name in :names",
                            Map.of("said", "30", "names", List.of("c", "d", "e"))))
                    .isEqualTo(2)));
    for (int i = 0; i < 2; i++) {
      assertThat(said(journal, "a")).isEqualTo("10");
      assertThat(said(journal, "b")).isNull();
      assertThat(said(journal, "c")).isEqualTo("30");
      assertThat(said(journal, "d")).isEqualTo("30");
      anew(); // also after an orderly end
    }
  }

  @Test
  void whatWasAppendedIsThereAfterAKill(@TempDir Path killed) throws IOException {
    for (int i = 0; i < 20; i++) {
      journal.append(List.of(put("n" + i, "" + i)));
      if (i % 5 == 4) { // the file as it is at this moment is all that is left
        Files.createDirectories(killed.resolve("k" + i));
        Path left = killed.resolve("k" + i);
        Files.copy(file(), left.resolve(files.name()));
        Journal after = open(left);
        for (int k = 0; k <= i; k++) {
          assertThat(said(after, "n" + k)).as("after " + i).isEqualTo("" + k);
        }
        after.close();
      }
    }
  }

  @Test
  void allOfItIsThereOrNothing() {
    journal.append(List.of(put("taken", "1")));
    List<Consumer<Transaction>> faulty = new ArrayList<>(List.of(put("a", "1")));
    faulty.add(put("taken", "2")); // the key is there already
    assertThatThrownBy(() -> journal.append(faulty))
        .isInstanceOf(RuntimeException.class)
        .isNotInstanceOf(NotKept.class);
    RuntimeException own = new IllegalStateException("of its own");
    assertThatThrownBy(
            () ->
                journal.append(
                    List.of(
                        put("b", "1"),
                        t -> {
                          throw own;
                        })))
        .isSameAs(own);
    assertThat(said(journal, "a")).isNull();
    assertThat(said(journal, "b")).isNull();
    assertThat(said(journal, "taken")).isEqualTo("1");
    journal.append(List.of(put("a", "3")));
    assertThat(said(journal, "a")).isEqualTo("3");
  }

  @Test
  void whereThereIsNoRoomItIsSaidNothingIsThereAndItHeals() {
    journal.append(List.of(put("before", "1")));
    full(true);
    assertThatThrownBy(() -> journal.append(List.of(put("a", "1"))))
        .isInstanceOfSatisfying(NotKept.class, e -> assertThat(e.full()).isTrue());
    full(false);
    assertThat(said(journal, "a")).isNull();
    assertThat(said(journal, "before")).isEqualTo("1");
    journal.append(List.of(put("a", "2")));
    assertThat(said(journal, "a")).isEqualTo("2");
  }

  @Test
  void aCopyIsOfItsMomentAndOneGoesOnWithIt(@TempDir Path other) throws Exception {
    journal.append(List.of(put("a", "1"), put("b", "2")));
    AtomicBoolean over = new AtomicBoolean();
    Thread writer =
        new Thread(
            () -> {
              for (int i = 0; !over.get(); i++) {
                journal.append(List.of(put("meanwhile" + i, "x")));
              }
            });
    writer.start();
    Path copy = other.resolve("copy.zip");
    try {
      journal.copy(copy, other);
    } finally {
      over.set(true);
      writer.join();
    }
    journal.append(List.of(t -> t.update(new MarkRow("a", "later"))));
    Path restored = files.restore(copy, other);
    assertThat(files.damage(restored, other)).isEmpty();
    Path there = Files.createDirectories(other.resolve("there"));
    Files.move(restored, there.resolve(files.name()));
    Journal from = open(there);
    assertThat(said(from, "a")).isEqualTo("1");
    assertThat(said(from, "b")).isEqualTo("2");
    from.append(List.of(put("c", "3")));
    from.close();
    assertThat(said(journal, "a")).isEqualTo("later");
  }

  @Test
  void packingGivesBackRoomAndLosesNothing() throws IOException {
    for (int i = 0; i < 150; i++) {
      String name = "n" + i;
      journal.append(List.of(put(name, "x".repeat(150))));
      if (i % 10 > 0) {
        journal.append(List.of(t -> t.delete(new MarkRow(name, ""))));
      }
    }
    long before = Files.size(file());
    assertThat(journal.pack(() -> false)).as("stopped at once").isLessThanOrEqualTo(1);
    assertThat(journal.pack(() -> true)).isPositive();
    assertThat(Files.size(file())).isLessThan(before / 2);
    for (int k = 0; k < 2; k++) {
      for (int i = 0; i < 150; i++) {
        assertThat(said(journal, "n" + i)).isEqualTo(i % 10 > 0 ? null : "x".repeat(150));
      }
      anew();
    }
  }

  @Test
  void theFileIsLookedAtBeforeItIsUsed(@TempDir Path work) throws IOException {
    journal.append(List.of(put("a", "x".repeat(150))));
    assertThat(files.free(file())).as("while it is open").isFalse();
    journal.close();
    journal = null;
    assertThat(files.free(file())).isTrue();
    assertThat(files.damage(file(), work)).isEmpty();
    byte[] whole = Files.readAllBytes(file());
    for (int left : new int[] {0, 1, whole.length / 2}) {
      byte[] cut = java.util.Arrays.copyOf(whole, left);
      Files.write(file(), cut);
      assertThat(files.damage(file(), work)).as(left + " bytes left").isPresent();
      assertThat(Files.readAllBytes(file())).as("it is not touched").isEqualTo(cut);
    }
  }
}
