package pied.server.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Where files in passing lie: within the folder of the data, on the same disk and its owner's
 * alone, and emptied at every start, so that nothing is left over after a kill.
 */
@Component
public class WorkFolder {
  private final Path folder;

  public WorkFolder(@Value("${pied.data}") String data) {
    folder = Path.of(data).resolve("work");
  }

  /** It is there. */
  public Path folder() throws IOException {
    return Files.createDirectories(folder);
  }

  /** A new empty file in it. */
  public Path file(String about) throws IOException {
    return Files.createTempFile(folder(), about + "-", ".tmp");
  }
}
