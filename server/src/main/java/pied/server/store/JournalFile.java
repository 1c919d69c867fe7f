package pied.server.store;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;

/** The file of a {@link Journal} while nobody has it open. */
public interface JournalFile {
  /** What it is called in the folder of the data. */
  String name();

  /** Whether no other process has it open. */
  boolean free(Path file) throws IOException;

  /**
   * Looks whether it is whole, without altering it.
   *
   * @param work a folder for what is in passing
   * @return how it is damaged, as in "is empty"; nothing if it is whole
   */
  Optional<String> damage(Path file, Path work) throws IOException;

  /**
   * The file out of a copy that {@link Journal#copy} made.
   *
   * @param into the folder it is made in, under a new name
   */
  Path restore(Path copy, Path into) throws IOException;
}
