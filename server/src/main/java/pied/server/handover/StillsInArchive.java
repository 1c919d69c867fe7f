package pied.server.handover;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import java.util.zip.ZipOutputStream;
import pied.core.Nullable;
import pied.core.handover.Zip;
import pied.core.units.Deadline;
import pied.core.units.Refusal;
import pied.core.units.Text;
import pied.server.still.StillShelf;
import pied.server.still.StillShelf.MadeStill;

/**
 * The stills of an archive. They go last, so that one that is cut off loses them first, and no more
 * of them than can come back: the pictures first, the latest of each space first, then all their
 * light.
 */
final class StillsInArchive {
  /** Most bytes of all of them: what comes in may have 256 MB with all else. */
  static final long MOST_BYTES = 160L << 20;

  private static final int MOST = 500;

  /** One that goes along. */
  private record Along(MadeStill still, String space, boolean light) {}

  private final StillShelf shelf;
  private final List<Along> all = new ArrayList<>();
  private int left;

  private StillsInArchive(StillShelf shelf) {
    this.shelf = shelf;
  }

  /**
   * @param spaces ids of a project's, by the files they are in
   */
  static StillsInArchive of(StillShelf shelf, Map<String, String> spaces) throws IOException {
    StillsInArchive s = new StillsInArchive(shelf);
    long room = MOST_BYTES;
    List<Along> pictures = new ArrayList<>();
    for (Map.Entry<String, String> e : spaces.entrySet()) {
      for (MadeStill m : shelf.made(e.getValue())) {
        long size = Files.size(m.png());
        if (size > room || pictures.size() == MOST) {
          s.left++;
          continue;
        }
        room -= size;
        pictures.add(new Along(m, e.getKey(), false));
      }
    }
    for (Along a : pictures) {
      Path light = a.still.light();
      long size = light == null ? Long.MAX_VALUE : Files.size(light);
      s.all.add(size > room ? a : new Along(a.still, a.space, true));
      room -= size > room ? 0 : size;
    }
    return s;
  }

  /** Ids of them all. */
  static List<String> ids(StillShelf shelf, List<String> spaces) {
    return spaces.stream().flatMap(s -> shelf.made(s).stream()).map(MadeStill::id).toList();
  }

  private static String stem(int i) {
    return String.format(Locale.ROOT, "stills/%03d", i + 1);
  }

  /** Says in the list what there is of them. */
  void list(ObjectNode contents) {
    ArrayNode in = contents.putArray("stills");
    for (int i = 0; i < all.size(); i++) {
      Along a = all.get(i);
      ObjectNode about = shelf.about(a.still);
      about.put("file", stem(i) + ".png").put("space", a.space);
      if (a.light) {
        about.put("light", stem(i) + ".hdr");
      }
      in.add(about);
    }
    contents.put("stillsLeft", left);
  }

  void write(ZipOutputStream zip) throws IOException {
    for (int i = 0; i < all.size(); i++) {
      put(zip, stem(i) + ".png", all.get(i).still.png());
    }
    for (int i = 0; i < all.size(); i++) {
      Path light = all.get(i).still.light();
      if (all.get(i).light && light != null) {
        put(zip, stem(i) + ".hdr", light);
      }
    }
  }

  private static void put(ZipOutputStream zip, String name, Path file) throws IOException {
    if (!Files.exists(file)) {
      return; // it was removed meanwhile, which is said when the archive is taken in
    }
    Zip.begin(zip, name);
    Files.copy(file, zip);
    zip.closeEntry();
  }

  /**
   * Takes them in.
   *
   * @param ids of spaces as they are here, by the files they were in
   * @param said what of them could not be, in sentences
   */
  static void takeIn(
      StillShelf shelf,
      Unpacked files,
      Map<String, String> ids,
      Consumer<String> said,
      Deadline deadline) {
    int n = 0;
    for (JsonNode about : files.list().path("stills")) {
      if (++n > MOST || deadline.passed()) {
        said.accept("Only the first " + (n - 1) + " of its stills were taken in.");
        break;
      }
      String space = ids.get(about.path("space").asText(""));
      if (space == null) {
        continue; // that its space is missing is said
      }
      String light = about.path("light").asText("");
      @Nullable Path hdr = light.isEmpty() ? null : files.path(light);
      try {
        shelf.takeIn(space, about, files.path(about.path("file").asText("")), hdr);
      } catch (Refusal e) {
        String called = Text.clean(about.path("name").asText("?"));
        said.accept("The still “" + called + "” is missing: " + e.getMessage());
      }
    }
    int left = files.list().path("stillsLeft").asInt(0);
    if (left > 0) {
      said.accept(
          (left == 1 ? "One more still" : left + " more stills")
              + " of its spaces did not go into the archive: it would have been too large.");
    }
  }
}
