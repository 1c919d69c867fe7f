package pied.server.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.WebApplicationType;
import org.springframework.context.ConfigurableApplicationContext;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.piece.Piece;
import pied.core.space.Shell;
import pied.core.tool.turn.Turn;
import pied.server.PiedApplication;
import pied.server.h2.H2File;
import pied.server.imports.ArticleRow;
import pied.server.space.OldPieces;
import pied.server.space.SpaceStore;
import pied.server.space.SpaceWire.EditRequest;
import pied.server.space.SpaceWire.SpaceView;

/** The folder with everything: data of versions before, copies, and what may have become of it. */
@Tag("thorough")
class DataFolderTest {
  private static final ObjectMapper JSON = new ObjectMapper();

  @TempDir private Path folder;
  private JsonNode expected;

  @BeforeEach
  void unpack() throws IOException {
    unpack("version-5");
  }

  /** Data as an earlier version left them, and what it said of them. */
  private void unpack(String version) throws IOException {
    try (InputStream in = getClass().getResourceAsStream("/data/" + version + ".zip");
        ZipInputStream zip = new ZipInputStream(in)) {
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        if (e.getName().equals("expected.json")) {
          expected = JSON.readTree(zip.readAllBytes());
        } else {
          Files.copy(zip, folder.resolve(e.getName()), StandardCopyOption.REPLACE_EXISTING);
        }
      }
    }
  }

  private ConfigurableApplicationContext start() {
    new DataFolder(folder, new H2File()).prepare("");
    SpringApplication app = new SpringApplication(PiedApplication.class);
    app.setWebApplicationType(WebApplicationType.SERVLET);
    return app.run(
        "--server.port=0",
        "--pied.data=" + folder,
        "--pied.quiet=0",
        "--pied.tidy=9999",
        "--pied.cards.after=-1",
        "--spring.jpa.properties.hibernate.generate_statistics=true");
  }

  private static void same(SpaceView now, JsonNode then) throws IOException {
    assertThat(now.revision()).isEqualTo(then.get("revision").asLong());
    // a finish was a colour alone then; such a text is read, too
    assertThat(now.shell()).isEqualTo(JSON.treeToValue(then.get("shell"), Shell.class));
    List<Piece> before = new ArrayList<>();
    for (JsonNode p : then.get("pieces")) {
      before.add(OldPieces.read(p));
    }
    assertThat(List.copyOf(now.pieces())).as("pieces to the last bit, in order").isEqualTo(before);
    assertThat(now.canUndo()).isEqualTo(then.get("canUndo").asBoolean());
    assertThat(now.canRedo()).isEqualTo(then.get("canRedo").asBoolean());
  }

  @Test
  void dataOfTheVersionBeforeOpenAndTheirHistoryCanBeUndone() throws Exception {
    String tea = expected.get("space").asText();
    String scullery = expected.get("scullery").asText();
    try (ConfigurableApplicationContext app = start()) {
      SpaceStore store = app.getBean(SpaceStore.class);
      same(store.view(tea), expected.at("/views/0"));
      same(store.view(scullery), expected.at("/views/1"));
      // a request of then, sent once more
      assertThat(store.edit(tea, new EditRequest("p2", null, "m", List.of())).revision())
          .isEqualTo(2);
      List<Piece> now = List.copyOf(store.space(tea).pieces());
      store.redo(tea, null);
      assertThat(store.space(tea).piece("stool").name()).isEqualTo("Undone stool");
      store.undo(tea, null);
      assertThat(List.copyOf(store.space(tea).pieces())).isEqualTo(now);
      int steps = 0;
      while (store.view(tea).canUndo()) {
        store.undo(tea, null);
        steps++;
      }
      assertThat(steps).isEqualTo(9);
      assertThat(store.space(tea).pieces()).isEmpty();
      assertThat(store.space(tea).shell().openings()).isEmpty();
      while (store.view(tea).canRedo()) {
        store.redo(tea, null);
      }
      assertThat(store.space(tea).piece("ladder").lean().toward())
          .isEqualTo(expected.at("/views/0/pieces/1/lean/toward").asDouble());
      // of its own article the mesh is read when it is first asked for
      var read =
          app.getBean(jakarta.persistence.EntityManagerFactory.class)
              .unwrap(org.hibernate.SessionFactory.class)
              .getStatistics()
              .getEntityStatistics(ArticleRow.class.getName());
      assertThat(read.getLoadCount()).isZero();
      assertThat(store.space(tea).article(store.space(tea).piece("own")).name())
          .isEqualTo("Crate 2");
      Piece own = store.space(tea).piece("own");
      assertThat(store.space(tea).shapes().mesh(own).corners()).hasSize(36);
      assertThat(read.getLoadCount()).isEqualTo(1);
      store.edit(tea, new EditRequest("kept", null, "m", List.of(turn(31))));
    }
    assertThat(Files.size(folder.resolve(new H2File().name()))).isLessThan(200_000);
    try (ConfigurableApplicationContext app = start()) { // and once more, as of now
      SpaceStore store = app.getBean(SpaceStore.class);
      assertThat(store.space(tea).piece("stool").turn()).isEqualTo(31);
      store.undo(tea, null);
      store.undo(tea, null);
      store.redo(tea, null);
      assertThat(store.space(tea).piece("stool").name()).isEqualTo("Undone stool");
    }
  }

  @Test
  void eachStepOfTheVersionBeforeIsUndoneAndDoneAgainToTheLastBit() throws Exception {
    unpack("version-6");
    String tea = expected.get("space").asText();
    JsonNode states = expected.get("states");
    int last = states.size() - 1;
    try (ConfigurableApplicationContext app = start()) {
      SpaceStore store = app.getBean(SpaceStore.class);
      same(store.view(tea), expected.get("view"));
      for (int i = 3; i <= last; i++) {
        store.undo(tea, null);
        stands(store.view(tea), states.get(i));
      }
      assertThat(store.view(tea).canUndo()).isFalse();
      for (int i = last - 1; i >= 0; i--) {
        store.redo(tea, null);
        stands(store.view(tea), states.get(i));
      }
      assertThat(store.view(tea).canRedo()).isFalse();
      long asked = store.edit(tea, new EditRequest("asked", null, "m", List.of())).revision();
      assertThat(asked).as("a request of then, sent once more").isEqualTo(2);
    }
  }

  /** As {@link #same}, whatever revision it is by now. */
  private static void stands(SpaceView now, JsonNode then) throws IOException {
    ((ObjectNode) then).put("revision", now.revision());
    same(now, then);
  }

  private static Edit turn(double to) {
    return new Turn(List.of("stool"), Amount.of(to), null);
  }

  @Test
  void aCopyADayIsMadeReadAndGoneOnWith() throws Exception {
    String tea = expected.get("space").asText();
    LocalDate day = LocalDate.of(2026, 1, 1);
    try (ConfigurableApplicationContext app = start()) {
      Housekeeping h = app.getBean(Housekeeping.class);
      SpaceStore store = app.getBean(SpaceStore.class);
      for (int i = 0; i < 9; i++) {
        store.edit(tea, new EditRequest(null, null, "m", List.of(turn(10 * (i + 1)))));
        h.copy(day.plusDays(i));
      }
      h.copy(day.plusDays(20)); // nothing is new
      assertThat(new DataFolder(folder, new H2File()).goodCopies())
          .extracting(DataFolder::day)
          .containsExactly(
              "2026-01-03",
              "2026-01-04",
              "2026-01-05",
              "2026-01-06",
              "2026-01-07",
              "2026-01-08",
              "2026-01-09");
      assertThat(
              Files.list(new DataFolder(folder, new H2File()).work())
                  .filter(p -> p.toString().endsWith("db")))
          .isEmpty();
    }
    assertThatThrownBy(() -> new DataFolder(folder, new H2File()).prepare("2026-01-01"))
        .isInstanceOf(DataFolder.Unusable.class)
        .hasMessageContaining("2026-01-03, 2026-01-04");
    new DataFolder(folder, new H2File()).prepare("2026-01-05");
    try (ConfigurableApplicationContext app = start()) {
      assertThat(app.getBean(SpaceStore.class).space(tea).piece("stool").turn()).isEqualTo(50);
    }
    try (var all = Files.list(folder)) {
      assertThat(all.filter(p -> p.getFileName().toString().startsWith("before-restore")))
          .hasSize(1);
    }
  }

  private void refused(String... words) {
    byte[] before = read();
    assertThatThrownBy(() -> new DataFolder(folder, new H2File()).prepare(""))
        .isInstanceOf(DataFolder.Unusable.class)
        .satisfies(e -> assertThat(e.getMessage()).contains(words).hasSizeLessThan(600));
    assertThat(read()).as("left as it is").isEqualTo(before);
  }

  private byte[] read() {
    try {
      Path p = folder.resolve(new H2File().name());
      return Files.exists(p) ? Files.readAllBytes(p) : new byte[0];
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  @Test
  void whatIsDamagedIsSaidInWordsLeftAsItIsAndTheLastGoodCopyOffered() throws Exception {
    Path file = folder.resolve(new H2File().name());
    byte[] whole = read();
    byte[] early = whole.clone(); // of a version that left no mark
    java.util.Arrays.fill(early, 8192, early.length, (byte) 7);
    Files.write(file, early);
    refused("cannot be read");
    Files.write(file, whole);
    DataFolder good = new DataFolder(folder, new H2File());
    good.prepare("");
    good.opened();
    Files.write(file, new byte[0]);
    refused("is empty", "There is no copy beside it");
    Files.createDirectories(good.copies());
    Files.write(good.copies().resolve("2026-02-03.zip"), new byte[] {1});
    refused("is empty", "The last good copy is of 2026-02-03", "--restore 2026-02-03");
    Files.delete(file);
    refused("is missing");
    byte[] torn = whole.clone();
    java.util.Arrays.fill(torn, 0, 9000, (byte) 'x');
    Files.write(file, torn);
    refused("does not begin as it should");
    byte[] holes = whole.clone();
    java.util.Arrays.fill(holes, 8192, holes.length, (byte) 7);
    Files.write(file, holes);
    refused("cannot be read");
    Files.write(file, whole);
    good.prepare("");
  }

  @Test
  void aFirstStartThatWasInterruptedBeginsAnew(@TempDir Path fresh) throws Exception {
    DataFolder f = new DataFolder(fresh, new H2File());
    f.prepare("");
    Files.write(fresh.resolve(new H2File().name()), new byte[] {'H', ':', '2', ','});
    f.prepare("");
    assertThat(fresh.resolve(new H2File().name())).doesNotExist();
    Files.write(fresh.resolve(new H2File().name()), read());
    f.opened();
    f.prepare("");
    assertThat(fresh.resolve(new H2File().name())).exists();
    Files.createFile(fresh.resolve("opening")); // it came back after a power cut
    f.prepare("");
    assertThat(fresh.resolve(new H2File().name())).exists();
  }

  @Test
  void itIsItsOwnersAloneAndOpenOnlyOnce() throws Exception {
    try (ConfigurableApplicationContext app = start()) {
      assertThat(app.isRunning()).isTrue();
      assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folder)))
          .isEqualTo("rwx------");
      assertThat(
              PosixFilePermissions.toString(
                  Files.getPosixFilePermissions(folder.resolve(new H2File().name()))))
          .isEqualTo("rw-------");
      assertThatThrownBy(() -> new DataFolder(folder, new H2File()).prepare(""))
          .hasMessageContaining("running already with the data folder");
    }
    // what a killed process left behind goes at the next start
    Path left = new DataFolder(folder, new H2File()).work().resolve("tomcat/left");
    Files.createDirectories(left);
    new DataFolder(folder, new H2File()).prepare("");
    assertThat(left).doesNotExist();
  }
}
