package pied.server.store;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

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

  /** Files up to this are read through before they are used, bytes. */
  private static final long READ_THROUGH = 64L << 20;

  /** H2: it would have to be written. */
  private static final int READ_ONLY = 90097;

  static final String QUIETLY = ";IFEXISTS=TRUE;TRACE_LEVEL_FILE=0";

  static final String STORE = "pied.mv.db";
  private static final String COPIES = "copies";
  private static final String OPENED = "opened";
  private static final String OPENING = "opening";

  private final Path folder;

  public DataFolder(Path folder) {
    this.folder = folder.toAbsolutePath().normalize();
  }

  Path store() {
    return folder.resolve(STORE);
  }

  Path copies() {
    return folder.resolve(COPIES);
  }

  /** What is in passing. */
  public Path work() {
    return folder.resolve("work");
  }

  static String url(Path store, String options) {
    String path = store.toString();
    return "jdbc:h2:file:" + path.substring(0, path.length() - ".mv.db".length()) + options;
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
    boolean free;
    try (FileChannel c = FileChannel.open(store(), StandardOpenOption.WRITE);
        FileLock lock = c.tryLock()) {
      free = lock != null;
    } catch (OverlappingFileLockException e) {
      free = false;
    }
    if (!free) {
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
    if (Files.size(store()) == 0) {
      throw damaged("is empty");
    }
    if (!begins(store())) {
      throw damaged("is damaged: it does not begin as it should");
    }
    boolean small = Files.size(store()) <= READ_THROUGH;
    // what H2 cannot make sense of it takes for empty and writes over: it is shown a copy, or only
    // lets it read
    Path shown = small ? work().resolve("looked-at.mv.db") : store();
    try {
      if (small) {
        Files.copy(store(), shown);
      }
      read(url(shown, QUIETLY + (small ? "" : ";ACCESS_MODE_DATA=r")), small);
    } catch (SQLException e) {
      if (e.getErrorCode() == READ_ONLY) {
        return; // it was killed and has something to undo first
      }
      throw damaged("is damaged: parts of it cannot be read");
    } finally {
      if (small) {
        Files.deleteIfExists(shown);
      }
    }
  }

  private static boolean begins(Path store) throws IOException {
    try (InputStream in = Files.newInputStream(store)) {
      // two blocks, each with the header; one may have been torn by a power cut
      byte[] two = in.readNBytes(8192);
      String text = new String(two, StandardCharsets.ISO_8859_1);
      return text.startsWith("H:2,") || text.length() > 4100 && text.startsWith("H:2,", 4096);
    }
  }

  /**
   * Opens a store and counts its pieces.
   *
   * @param all whether every row is read
   */
  static long read(String url, boolean all) throws SQLException {
    try (Connection c = DriverManager.getConnection(url, "pied", "");
        Statement s = c.createStatement()) {
      List<String> tables = new ArrayList<>();
      try (ResultSet r =
          s.executeQuery(
              "select table_name from information_schema.tables where table_schema = 'PUBLIC'")) {
        while (r.next()) {
          tables.add(r.getString(1));
        }
      }
      if (!tables.contains("SPACE")) {
        throw new SQLException("There is nothing in it");
      }
      long pieces = 0;
      s.setFetchSize(1000);
      for (String t : tables) {
        String what = all ? "*" : "count(*)";
        try (ResultSet r = s.executeQuery("select " + what + " from \"" + t + "\"")) {
          while (r.next()) {
            pieces += all && t.equals("PIECE") ? 1 : 0;
          }
        }
      }
      return pieces;
    } catch (IllegalStateException e) { // H2 of what it cannot make sense of
      throw new SQLException(e);
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
    Path fresh = unpack(copy, work());
    if (Files.exists(store())) {
      String stamp = java.time.LocalDateTime.now().withNano(0).toString().replace(":", "");
      Files.move(store(), folder.resolve("before-restore-" + stamp + ".mv.db"));
    }
    Files.move(fresh, store(), StandardCopyOption.ATOMIC_MOVE);
    own(store(), FILE);
  }

  /** The store out of a copy. */
  static Path unpack(Path copy, Path into) throws IOException {
    Files.createDirectories(into);
    try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(copy))) {
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        if (e.getName().endsWith(".mv.db")) {
          Path out = Files.createTempFile(into, "copy", ".mv.db");
          Files.copy(zip, out, StandardCopyOption.REPLACE_EXISTING);
          return out;
        }
      }
    }
    throw new IOException("There is no store in " + copy);
  }
}
