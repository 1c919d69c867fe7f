package pied.server.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The folder with everything that is kept: for its owner alone, looked at before it is used. What
 * is wrong with it is said in words, and nothing in it is touched then.
 *
 * <pre>
 * pied.mv.db       the store
 * opened           that there is one; "opening" while the first start has not got so far
 * copies/DATE.zip  a good copy of a day
 * work/            what is in passing; emptied at every start
 * </pre>
 */
public final class DataFolder {
  /** It cannot be used; the message says why and what to do. */
  public static final class Unusable extends RuntimeException {
    private static final long serialVersionUID = 1;

    Unusable(String why) {
      super(why);
    }
  }

  private static final Set<PosixFilePermission> FOLDER =
      PosixFilePermissions.fromString("rwx------");
  private static final Set<PosixFilePermission> FILE = PosixFilePermissions.fromString("rw-------");

  private static final String COPIES = "copies";
  private static final String OPENED = "opened";
  private static final String OPENING = "opening";

  private final Path folder;
  private final JournalFile file;

  /**
   * @param file how the store in it is looked at
   */
  public DataFolder(Path folder, JournalFile file) {
    this.folder = folder.toAbsolutePath().normalize();
    this.file = file;
  }

  Path store() {
    return folder.resolve(file.name());
  }

  Path copies() {
    return folder.resolve(COPIES);
  }

  /** What is in passing. */
  public Path work() {
    return folder.resolve("work");
  }

  /**
   * Makes it ready.
   *
   * @param restore the day of a copy to go on with, or empty
   * @throws Unusable if it cannot be used, in words
   */
  public void prepare(String restore) {
    try {
      Files.createDirectories(folder);
      own(folder, FOLDER);
      free();
      empty(work());
      Files.createDirectories(work());
      own(work(), FOLDER);
      if (!restore.isBlank()) {
        restore(restore);
      }
      look();
    } catch (FileSystemException e) {
      throw new Unusable(
          "The data folder "
              + folder
              + " cannot be used: "
              + (e.getReason() == null ? e.getClass().getSimpleName() : e.getReason())
              + ". Check that it can be written, or choose another with --data.");
    } catch (IOException e) {
      throw new Unusable("The data folder " + folder + " cannot be used: " + e.getMessage() + ".");
    }
  }

  /** Notes that there is a store from now on, and that it is its owner's alone. */
  public void opened() {
    try {
      if (Files.exists(store())) {
        own(store(), FILE);
        Path mark = folder.resolve(OPENED);
        if (!Files.exists(mark)) {
          Files.writeString(mark, LocalDate.now() + "\n");
          // before anything is kept: a power cut must not make this look like a first start
          force(mark, StandardOpenOption.WRITE);
          force(folder, StandardOpenOption.READ);
        }
        Files.deleteIfExists(folder.resolve(OPENING));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void force(Path path, StandardOpenOption how) throws IOException {
    try (FileChannel c = FileChannel.open(path, how)) {
      c.force(true);
    }
  }

  private static void own(Path path, Set<PosixFilePermission> mode) throws IOException {
    try {
      Files.setPosixFilePermissions(path, mode);
    } catch (UnsupportedOperationException e) {
      // a system with other permissions
    }
  }

  private static void empty(Path dir) throws IOException {
    if (Files.exists(dir)) {
      try (Stream<Path> all = Files.walk(dir)) {
        for (Path p : all.sorted(Comparator.reverseOrder()).toList()) {
          Files.delete(p);
        }
      }
    }
  }

  /** Nothing is touched while another Pied is at work here. */
  private void free() throws IOException {
    if (!Files.exists(store())) {
      return;
    }
    if (!file.free(store())) {
      throw new Unusable(
          "Pied is running already with the data folder "
              + folder
              + ". Use that one, or choose another folder with --data.");
    }
  }

  // ---- is it whole

  private void look() throws IOException {
    boolean was = Files.exists(folder.resolve(OPENED));
    Path opening = folder.resolve(OPENING);
    if (!was
        && Files.exists(opening)) { // the very first start was interrupted: nothing was kept yet
      Files.deleteIfExists(store());
    } else if (!was && !Files.exists(store())) {
      Files.createFile(opening);
    }
    if (!Files.exists(store())) {
      if (was) {
        throw damaged("is missing");
      }
      return;
    }
    Optional<String> damage = file.damage(store(), work());
    if (damage.isPresent()) {
      throw damaged(damage.get());
    }
  }

  private Unusable damaged(String how) throws IOException {
    StringBuilder b = new StringBuilder();
    b.append("The file with all your projects, ").append(store()).append(", ").append(how);
    b.append(". Pied leaves it as it is.");
    List<Path> copies = goodCopies();
    if (copies.isEmpty()) {
      b.append(" There is no copy beside it; bring one back from a backup of your own, or begin");
      b.append(" anew with another folder (--data).");
    } else {
      String day = day(copies.get(copies.size() - 1));
      b.append(" The last good copy is of ").append(day).append(": start with --restore ");
      b.append(day).append(" to go on from there; the file itself is kept beside it.");
    }
    return new Unusable(b.toString());
  }

  // ---- copies

  /** Good copies, the oldest first. */
  List<Path> goodCopies() throws IOException {
    if (!Files.exists(copies())) {
      return List.of();
    }
    try (Stream<Path> all = Files.list(copies())) {
      return all.filter(p -> p.getFileName().toString().matches("\\d{4}-\\d\\d-\\d\\d\\.zip"))
          .sorted()
          .toList();
    }
  }

  static String day(Path copy) {
    return copy.getFileName().toString().replace(".zip", "");
  }

  private void restore(String day) throws IOException {
    Path copy = copies().resolve(day + ".zip");
    if (!goodCopies().contains(copy)) {
      List<String> days = goodCopies().stream().map(DataFolder::day).toList();
      throw new Unusable(
          days.isEmpty()
              ? "There are no copies in " + copies() + "."
              : "There is no copy of “" + day + "”; there are: " + String.join(", ", days) + ".");
    }
    Path fresh = file.restore(copy, work());
    if (Files.exists(store())) {
      String stamp = java.time.LocalDateTime.now().withNano(0).toString().replace(":", "");
      Files.move(store(), folder.resolve("before-restore-" + stamp + ".mv.db"));
    }
    Files.move(fresh, store(), StandardCopyOption.ATOMIC_MOVE);
    own(store(), FILE);
  }
}
