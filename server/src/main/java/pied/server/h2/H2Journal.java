package pied.server.h2;

import com.zaxxer.hikari.HikariDataSource;
import jakarta.persistence.EntityManagerFactory;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.SQLTransientException;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import javax.sql.DataSource;
import org.hibernate.SessionFactory;
import org.hibernate.StatelessSession;
import org.hibernate.query.MutationQuery;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import pied.server.store.Journal;
import pied.server.store.NotKept;

/** The journal in H2. */
@Component
class H2Journal implements Journal {
  private static final Logger LOG = LoggerFactory.getLogger(H2Journal.class);

  private static final int BATCH = 100;

  /**
   * What H2 says when its file is at fault: a general error, not readable or writable, corrupt (two
   * kinds), closed (two kinds), object closed.
   */
  private static final Set<Integer> FILE = Set.of(50000, 90028, 90030, 90031, 90098, 90121, 90007);

  private final SessionFactory sessions;
  private final DataSource source;
  private final H2File files;
  private final Path folder;
  private final long reserve;
  private final boolean inFile;

  /**
   * @param folder the data are in
   * @param reserve room that is left free on its disk, MB: H2 needs some to end a write, and to
   *     close the file
   */
  H2Journal(
      EntityManagerFactory entities,
      DataSource source,
      H2File files,
      @Value("${pied.data}") String folder,
      @Value("${spring.datasource.url}") String url,
      @Value("${pied.reserve:48}") long reserve) {
    this.sessions = entities.unwrap(SessionFactory.class);
    this.source = source;
    this.files = files;
    this.folder = Path.of(folder);
    this.reserve = reserve << 20;
    inFile = url.startsWith("jdbc:h2:file:");
  }

  // ---- writing

  /** A transaction of H2. */
  private record H2Transaction(StatelessSession session) implements Transaction {
    @Override
    public void insert(Object row) {
      session.insert(row);
    }

    @Override
    public void update(Object row) {
      session.update(row);
    }

    @Override
    public void delete(Object row) {
      session.delete(row);
    }

    @Override
    public int alter(String statement, Map<String, ?> values) {
      MutationQuery query = session.createMutationQuery(statement);
      values.forEach(query::setParameter);
      return query.executeUpdate();
    }
  }

  @Override
  public void append(List<? extends Consumer<Transaction>> all) {
    try {
      room();
      write(all);
    } catch (RuntimeException | Error e) {
      if (broken(e)) {
        // after a failed write H2 closes the file; a fresh connection opens it at its last whole
        // state
        if (source instanceof HikariDataSource h && h.getHikariPoolMXBean() != null) {
          h.getHikariPoolMXBean().softEvictConnections();
        }
        throw why(e);
      }
      throw e;
    }
  }

  private void write(List<? extends Consumer<Transaction>> all) {
    try (StatelessSession session = sessions.openStatelessSession()) {
      session.setJdbcBatchSize(BATCH);
      session.beginTransaction();
      try {
        Transaction t = new H2Transaction(session);
        all.forEach(how -> how.accept(t));
        session.getTransaction().commit();
      } catch (RuntimeException | Error e) {
        rollBack(session);
        throw e;
      }
      session.doWork(H2Journal::force);
    }
  }

  private static void rollBack(StatelessSession session) {
    try {
      session.getTransaction().rollback();
    } catch (RuntimeException e) {
      LOG.debug("Nothing to roll back: {}", e.getMessage());
    }
  }

  /** Writes what is in H2's memory and forces it onto the disk. */
  private static void force(Connection c) throws SQLException {
    try (Statement s = c.createStatement()) {
      s.execute("checkpoint sync");
    }
  }

  // ---- what can be wrong

  /** Whether the file itself is at fault, and not what was to be written. */
  private static boolean broken(Throwable e) {
    for (Throwable t = e; t != null; t = t.getCause()) {
      boolean file = t instanceof SQLException s && FILE.contains(s.getErrorCode());
      if (file || t instanceof NotKept || t instanceof SQLTransientException) {
        return true;
      }
    }
    return false;
  }

  private void room() {
    long free;
    try {
      free = Files.exists(folder) ? Files.getFileStore(folder).getUsableSpace() : Long.MAX_VALUE;
    } catch (IOException e) {
      LOG.warn("How much room there is on the disk cannot be told: {}", e.getMessage());
      return;
    }
    if (free < reserve) {
      throw full(null);
    }
  }

  private NotKept full(Throwable cause) {
    return new NotKept(
        "The disk is full, so nothing can be saved. Make room on the disk that holds "
            + folder.toAbsolutePath().normalize()
            + " ("
            + (reserve >> 20)
            + " MB at least); Pied goes on by itself.",
        true,
        cause);
  }

  private NotKept why(Throwable e) {
    for (Throwable t = e; t != null; t = t.getCause()) {
      String m = String.valueOf(t.getMessage());
      if (t instanceof NotKept n) {
        return n;
      }
      if (m.contains("No space left") || m.contains("quota exceeded")) {
        return full(e);
      }
    }
    LOG.error("Something could not be kept", e);
    return new NotKept(
        "It could not be saved: the file in "
            + folder.toAbsolutePath().normalize()
            + " cannot be written. Pied tries again by itself; the log says more.",
        false,
        e);
  }

  // ---- reading

  @Override
  public <R> Optional<R> find(Class<R> type, Object key) {
    try (StatelessSession session = sessions.openStatelessSession()) {
      return Optional.ofNullable(session.get(type, key));
    }
  }

  // ---- the file

  @Override
  public boolean inFile() {
    return inFile;
  }

  @Override
  public int pack(BooleanSupplier goOn) throws IOException {
    try (Connection c = source.getConnection()) {
      return Packing.pack(c, goOn);
    } catch (SQLException e) {
      throw new IOException(e);
    }
  }

  @Override
  public void copy(Path to, Path work) throws IOException {
    try (Connection c = source.getConnection();
        Statement s = c.createStatement()) {
      s.execute("backup to '" + to.toString().replace("'", "''") + "'");
    } catch (SQLException e) {
      throw new IOException(e);
    }
    files.verify(to, work);
  }

  @Override
  public void close() throws IOException {
    try {
      // with it the connection ends too; nobody gives it back
      source.getConnection().createStatement().execute("shutdown compact");
    } catch (SQLException e) {
      throw new IOException(e);
    }
  }
}
