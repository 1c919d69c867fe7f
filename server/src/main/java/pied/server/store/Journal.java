package pied.server.store;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;

/**
 * Where everything is kept that is to last: rows (classes of Jakarta Persistence), written by one
 * hand, the {@link Ledger}. What a journal promises is tested in {@code JournalContract}, which
 * every adapter has to pass. Many rows at once are read by queries of Jakarta Persistence ({@code
 * Rows}), which any adapter answers.
 */
public interface Journal {
  /** What is written in one go. */
  interface Transaction {
    void insert(Object row);

    /** Writes all columns of a row that is there. */
    void update(Object row);

    void delete(Object row);

    /**
     * Alters or deletes rows without reading them.
     *
     * @param statement of the query language of Jakarta Persistence
     * @param values of its parameters; null for nothing
     * @return how many rows it met
     */
    int alter(String statement, Map<String, ?> values);
  }

  /**
   * Writes all of these in one transaction and forces it onto the disk: after a return all of it is
   * there, also after a kill or a power cut; after a failure nothing of it.
   *
   * @throws NotKept if the medium is at fault: it is full, or the file cannot be written. It is
   *     usable again as soon as that has passed
   * @throws RuntimeException if one of those who write is
   */
  void append(List<? extends Consumer<Transaction>> all);

  /** A row as it was last kept. */
  <R> Optional<R> find(Class<R> type, Object key);

  /** Whether it is in a file, which can be packed and copied; else it is gone at the end. */
  boolean inFile();

  /**
   * Gives back the room of what is no longer there, in short steps; nothing that is there is ever
   * in danger, and others may write meanwhile.
   *
   * @param goOn asked between the steps
   * @return how many steps it took
   */
  int pack(BooleanSupplier goOn) throws IOException;

  /**
   * Makes a whole copy of a moment while others write, and reads it to see that it is good.
   *
   * @param to a file that is not there yet; {@link JournalFile#restore} takes it
   * @param work a folder for what is in passing
   */
  void copy(Path to, Path work) throws IOException;

  /** An orderly end, packed; nothing is written or read from then on. */
  void close() throws IOException;
}
