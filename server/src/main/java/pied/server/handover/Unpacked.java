package pied.server.handover;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import org.springframework.util.FileSystemUtils;
import pied.core.Nullable;
import pied.core.units.Refusal;
import pied.server.store.Json;

/**
 * An archive unpacked onto the disk: its list, and the files that this names, up to where it breaks
 * off. How much of it may be read into memory goes by the heap there is.
 */
final class Unpacked implements AutoCloseable {
  /** Most files in it, listed or not. */
  private static final int MOST_FILES = 20_000;

  /** Most bytes of all that is unpacked, and of what is looked past. */
  private static final long MOST_OF_ALL = 1L << 30;

  private static final long MOST_OF_LIST = 2L << 20;

  /**
   * A text of JSON takes up to thirty times as much room as a tree; what is read as bytes is held
   * about four times over while it is made ready.
   */
  private static final long MOST_OF_JSON =
      Math.max(4L << 20, Runtime.getRuntime().maxMemory() / 60);

  private static final long MOST_OF_BYTES =
      Math.min(256L << 20, Runtime.getRuntime().maxMemory() / 12);

  private final Path folder;
  private final Map<String, Path> files = new HashMap<>();

  /** Files that are never read into memory whole. */
  private final Set<String> stills = new HashSet<>();

  private final Set<String> tooLarge = new HashSet<>();
  private final List<String> said = new ArrayList<>();
  private long all;
  private boolean cut;
  private @Nullable JsonNode list;

  /** A file that the list names. */
  record Listed(String file, String name) {}

  private Unpacked(Path folder) {
    this.folder = folder;
  }

  /**
   * @throws Refusal if it has no list of what is in it, or is larger than a project can be
   */
  static Unpacked of(Path work, InputStream from) throws IOException {
    Unpacked u = new Unpacked(Files.createTempDirectory(work, "archive-"));
    try {
      Path packed = u.folder.resolve("packed.zip");
      Files.copy(from, packed);
      u.readList(packed);
      u.unpack(packed);
      Files.delete(packed);
      return u;
    } catch (IOException | RuntimeException | Error e) {
      u.close();
      throw e;
    }
  }

  private interface OnEntry {
    /** Whether to go on. */
    boolean read(ZipEntry e, InputStream in) throws IOException;
  }

  private void each(Path packed, OnEntry how) throws IOException {
    int n = 0;
    try (ZipInputStream zip =
        new ZipInputStream(new BufferedInputStream(Files.newInputStream(packed)))) {
      for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        if (++n > MOST_FILES) {
          throw new Refusal("The archive has more files than a project can have.");
        }
        if (!how.read(e, zip)) {
          return;
        }
        skip(zip);
      }
    } catch (ZipException | java.io.EOFException | IllegalArgumentException e) {
      cut = true;
    }
  }

  /** What nobody wants costs time all the same. */
  private void skip(InputStream zip) throws IOException {
    byte[] some = new byte[1 << 16];
    for (int n = zip.read(some); n >= 0; n = zip.read(some)) {
      count(n);
    }
  }

  private void count(long n) {
    all += n;
    if (all > MOST_OF_ALL) {
      throw new Refusal("The archive is larger than a project can be.");
    }
  }

  private void readList(Path packed) throws IOException {
    boolean[] some = new boolean[1];
    each(
        packed,
        (e, in) -> {
          some[0] = true;
          if (!e.getName().equals(Archives.CONTENTS)) {
            return true;
          }
          byte[] bytes = in.readNBytes((int) MOST_OF_LIST + 1);
          if (bytes.length > MOST_OF_LIST) {
            throw new Refusal("The list of what is in it is longer than a project can have.");
          }
          list = tree(bytes);
          return false;
        });
    if (list == null || list.path("form").asInt() < 1) {
      throw new Refusal(
          some[0]
              ? "There is no list of what is in it; this is no archive of Pied, or a damaged one."
              : "This is no archive of Pied, or it is cut off before anything is in it.");
    }
    if (list.path("form").asInt() > Archives.FORM) {
      throw new Refusal("The archive is of a newer form than this Pied knows.");
    }
    all = 0;
    cut = false;
  }

  private void unpack(Path packed) throws IOException {
    Set<String> wanted = new HashSet<>();
    for (String sort : List.of("spaces", "articles", "pictures")) {
      for (JsonNode n : list.path(sort)) {
        String file = n.path("file").asText("");
        String stem = file.replaceAll("\\.json$", "");
        wanted.add(file);
        for (String end : List.of(".mesh", ".pictures", ".full.glb")) {
          wanted.add(stem + end);
        }
      }
    }
    for (JsonNode n : list.path("stills")) {
      for (String part : List.of("file", "light")) {
        String file = n.path(part).asText("");
        if (!file.endsWith(".json")) {
          stills.add(file);
          wanted.add(file);
        }
      }
    }
    each(
        packed,
        (e, in) -> {
          String name = e.getName();
          if (wanted.contains(name) && !files.containsKey(name)) {
            // a name is a key here, and leads to no place
            Path to = folder.resolve(String.valueOf(files.size()));
            write(in, to, name);
            files.put(name, to);
          }
          return true;
        });
  }

  private void write(InputStream in, Path to, String name) throws IOException {
    long most =
        name.endsWith(".json")
            ? MOST_OF_JSON
            : stills.contains(name) ? StillsInArchive.MOST_BYTES : MOST_OF_BYTES;
    byte[] some = new byte[1 << 16];
    long length = 0;
    try (OutputStream out = Files.newOutputStream(to)) {
      for (int n = in.read(some); n >= 0; n = in.read(some)) {
        count(n);
        length += n;
        if (length > most) {
          tooLarge.add(name);
          return;
        }
        out.write(some, 0, n);
      }
    } catch (ZipException | java.io.EOFException e) {
      tooLarge.add(name); // it is not whole
      throw e;
    }
  }

  // ---- what is in it

  JsonNode list() {
    return list;
  }

  /** Whether it breaks off, or is damaged somewhere. */
  boolean cut() {
    return cut;
  }

  /** What the list names of a sort, each file once. */
  List<Listed> listed(String sort, int most) {
    Set<String> seen = new LinkedHashSet<>();
    List<Listed> all = new ArrayList<>();
    int twice = 0;
    for (JsonNode n : list.path(sort)) {
      String file = n.path("file").asText("");
      if (!seen.add(file)) {
        twice++;
      } else if (all.size() < most) {
        all.add(new Listed(file, n.path("name").asText(n.path("id").asText("?"))));
      }
    }
    if (twice > 0) {
      said.add(twice + " of its " + sort + " are listed more than once; each was taken in once.");
    }
    if (seen.size() > most) {
      said.add("It lists " + seen.size() + " " + sort + "; only the first " + most + " were read.");
    }
    return all;
  }

  /** What was odd about the list. */
  List<String> said() {
    return said;
  }

  boolean has(Listed l) {
    return files.containsKey(l.file());
  }

  /** Where a file is; null if it is not there, or not whole. */
  @Nullable
  Path path(String name) {
    return tooLarge.contains(name) ? null : files.get(name);
  }

  /** The bytes of a file; null if it is not there, or too large to be read here. */
  @Nullable
  byte[] bytes(String name) {
    Path file = path(name);
    if (file == null) {
      return null;
    }
    try {
      return Files.readAllBytes(file);
    } catch (IOException e) {
      return null;
    }
  }

  /** A file as an object of JSON; null if it is none. */
  @Nullable
  JsonNode json(String name) {
    byte[] bytes = name.endsWith(".json") ? bytes(name) : null;
    return bytes == null ? null : tree(bytes);
  }

  private static @Nullable JsonNode tree(byte[] bytes) {
    try {
      JsonNode tree = Json.MAPPER.readTree(bytes);
      return tree == null || !tree.isObject() ? null : tree;
    } catch (IOException e) {
      return null;
    }
  }

  @Override
  public void close() {
    try {
      FileSystemUtils.deleteRecursively(folder);
    } catch (IOException e) {
      // it is in the folder that is emptied at every start
    }
  }
}
