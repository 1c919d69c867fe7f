package pied.server.h2;

import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.nio.file.Path;
import org.hibernate.SessionFactory;
import org.hibernate.cfg.Configuration;
import org.junit.jupiter.api.BeforeAll;
import pied.server.store.Journal;
import pied.server.store.JournalContract;
import pied.server.store.JournalFile;
import pied.server.store.MarkRow;

/** H2 keeps what a journal promises. */
class H2JournalTest extends JournalContract {
  @BeforeAll
  static void disk() {
    FaultyFiles.register();
  }

  @Override
  protected Journal open(Path folder) {
    H2File files = new H2File();
    String file = folder.resolve(files.name()).toString().replace(".mv.db", "");
    String url = "jdbc:h2:faulty:" + file + ";WRITE_DELAY=1000;DB_CLOSE_ON_EXIT=FALSE";
    HikariDataSource source = new HikariDataSource();
    source.setJdbcUrl(url + ";INIT=create table if not exists space (id int)");
    source.setUsername("pied");
    source.setPassword("");
    Configuration configuration = new Configuration().addAnnotatedClass(MarkRow.class);
    configuration.getProperties().put("hibernate.connection.datasource", source);
    configuration.setProperty("hibernate.hbm2ddl.auto", "update");
    SessionFactory sessions = configuration.buildSessionFactory();
    return new H2Journal(sessions, source, files, folder.toString(), url, 0) {
      @Override
      public void close() throws IOException {
        super.close();
        sessions.close();
        source.close();
      }
    };
  }

  @Override
  protected JournalFile files() {
    return new H2File();
  }

  @Override
  protected void full(boolean so) {
    FaultyFiles.full = so;
  }
}
