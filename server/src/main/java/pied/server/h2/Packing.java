package pied.server.h2;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.function.BooleanSupplier;
import org.h2.engine.SessionLocal;
import org.h2.jdbc.JdbcConnection;
import org.h2.mvstore.MVStore;
import org.h2.mvstore.RandomAccessStore;

/**
 * Packs the store's file while it is open, a little at a time: what is alive in pieces of the file
 * that are mostly dead is written anew, and pieces at the end move into the gaps, so that the file
 * can be cut short. H2 does so itself only for what is older than 45 s and not to the end.
 */
final class Packing {
  /** Written in one go, bytes: so much is through in a few milliseconds. */
  private static final int STEP = 256 << 10;

  /** Written in one go where one piece of the file is that large, bytes. */
  private static final int LARGEST = 16 << 20;

  /** Moved in one go, bytes; what one step wrote has to go into it. */
  private static final int MOVED = 4 * STEP;

  /** Moves beyond what is needed to move all that is alive twice. */
  private static final int VAIN = 12;

  /** Full enough, percent. */
  private static final int FULL = 90;

  /** So many steps at the most; a file that is not done then is gone on with later. */
  private static final int MOST = 20_000;

  private Packing() {}

  /**
   * Packs a store as far as it goes.
   *
   * @param goOn asked between the steps, which are short
   * @return how many steps it took
   */
  static int pack(Connection c, BooleanSupplier goOn) throws SQLException {
    SessionLocal session = (SessionLocal) c.unwrap(JdbcConnection.class).getSession();
    MVStore store = session.getDatabase().getStore().getMvStore();
    if (!(store.getFileStore() instanceof RandomAccessStore file)) {
      return 0; // in memory
    }
    int usual = store.getRetentionTime();
    int steps = 0;
    // every step is forced onto the disk before the next, so nothing is overwritten that a power
    // cut would make us need again
    store.setRetentionTime(0);
    try {
      // a piece of the file in which more is alive than one step writes is passed over by it
      for (int write = STEP; write <= LARGEST && steps < MOST && goOn.getAsBoolean(); ) {
        if (rewrite(store, file, write)) {
          steps++;
        } else {
          write *= 4;
        }
      }
      long alive = file.size() / 100 * file.getFillRate();
      for (long left = VAIN + 2 * alive / MOVED; left > 0 && goOn.getAsBoolean(); left--) {
        steps++;
        if (move(store, file) >= FULL) {
          break;
        }
      }
    } finally {
      store.setRetentionTime(usual);
    }
    return steps;
  }

  /** Writes anew what is alive in a few pieces of the file that are mostly dead. */
  private static boolean rewrite(MVStore store, RandomAccessStore file, int write) {
    store.commit();
    file.sync();
    boolean rewritten = store.compact(FULL, write);
    file.sync();
    if (file.getFillRate() < FULL / 2) {
      file.compactMoveChunks(FULL, MOVED, store);
    }
    return rewritten;
  }

  /** Moves a few pieces of the file into its gaps; how full it is then, percent. */
  private static int move(MVStore store, RandomAccessStore file) {
    file.compactMoveChunks(FULL, MOVED, store);
    file.sync();
    return file.getFillRate();
  }
}
