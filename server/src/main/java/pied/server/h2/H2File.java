package pied.server.h2;

import java.io.IOException;
import java.io.InputStream;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.springframework.stereotype.Component;
import pied.server.store.JournalFile;

/** A file of H2 while nobody has it open. */
@Component
public final class H2File implements JournalFile {
  /** Files up to this are read through before they are used, bytes. */
  private static final long READ_THROUGH = 64L << 20;

  /** H2: it would have to be written. */
  private static final int READ_ONLY = 90097;

  private static final String QUIETLY = ";IFEXISTS=TRUE;TRACE_LEVEL_FILE=0";

  private static final String SUFFIX = ".mv.db";

  @Override
  public String name() {
    return "pied" + SUFFIX;
  }

  @Override
  public boolean free(Path file) throws IOException {
    try (FileChannel c = FileChannel.open(file, StandardOpenOption.WRITE);
        FileLock lock = c.tryLock()) {
      return lock != null;
    } catch (OverlappingFileLockException e) {
      return false;
    }
  }

  @Override
  public Optional<String> damage(Path file, Path work) throws IOException {
    if (Files.size(file) == 0) {
      return Optional.of("is empty");
    }
    if (!begins(file)) {
      return Optional.of("is damaged: it does not begin as it should");
    }
    boolean small = Files.size(file) <= READ_THROUGH;
    // what H2 cannot make sense of it takes for empty and writes over: it is shown a copy, or only
    // lets it read
    Path shown = small ? work.resolve("looked-at" + SUFFIX) : file;
    try {
      if (small) {
        Files.copy(file, shown);
      }
      read(url(shown, QUIETLY + (small ? "" : ";ACCESS_MODE_DATA=r")), small);
    } catch (SQLException e) {
      // if read only: it was killed and has something to undo first
      return e.getErrorCode() == READ_ONLY
          ? Optional.empty()
          : Optional.of("is damaged: parts of it cannot be read");
    } finally {
      if (small) {
        Files.deleteIfExists(shown);
      }
    }
    return Optional.empty();
  }

  private static boolean begins(Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      // two blocks, each with the header; one may have been torn by a power cut
      byte[] two = in.readNBytes(8192);
      String text = new String(two, StandardCharsets.ISO_8859_1);
      return text.startsWith("H:2,") || text.length() > 4100 && text.startsWith("H:2,", 4096);
    }
  }

  @Override
  public Path restore(Path copy, Path into) throws IOException {
    Files.createDirectories(into);
    try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(copy))) {
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        if (e.getName().endsWith(SUFFIX)) {
          Path out = Files.createTempFile(into, "copy", SUFFIX);
          Files.copy(zip, out, StandardCopyOption.REPLACE_EXISTING);
          return out;
        }
      }
    }
    throw new IOException("There is no store in " + copy);
  }

  /**
   * Reads a copy whole.
   *
   * @throws IOException if it cannot be
   */
  void verify(Path copy, Path work) throws IOException {
    Path unpacked = restore(copy, work);
    try {
      read(url(unpacked, QUIETLY), true);
    } catch (SQLException e) {
      throw new IOException(e);
    } finally {
      Files.deleteIfExists(unpacked);
    }
  }

  static String url(Path file, String options) {
    String path = file.toString();
    return "jdbc:h2:file:" + path.substring(0, path.length() - SUFFIX.length()) + options;
  }

  /**
   * Opens a file and counts its rows.
   *
   * @param all whether every row is read
   */
  private static void read(String url, boolean all) throws SQLException {
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
      s.setFetchSize(1000);
      for (String t : tables) {
        String what = all ? "*" : "count(*)";
        try (ResultSet r = s.executeQuery("select " + what + " from \"" + t + "\"")) {
          while (r.next()) {
            // that it can be read is what is asked
          }
        }
      }
    } catch (IllegalStateException e) { // H2 of what it cannot make sense of
      throw new SQLException(e);
    }
  }
}
