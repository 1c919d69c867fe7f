package pied.core.model;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import pied.core.units.Refusal;

/**
 * Files that came together, by name: one alone, several, or what was in a zip. Nothing is written.
 */
public final class Files {
  /** Most that is unpacked, bytes. */
  public static final long MOST = 512L << 20;

  private static final int MOST_FILES = 2000;

  private final Map<String, byte[]> files = new LinkedHashMap<>();

  /** Adds a file; a zip is unpacked. */
  public void add(String name, byte[] bytes) {
    if (bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K' && bytes[2] == 3 && bytes[3] == 4) {
      unpack(bytes);
    } else {
      put(name, bytes);
    }
  }

  private void put(String name, byte[] bytes) {
    files.put(name.replace('\\', '/'), bytes);
    if (files.size() > MOST_FILES) {
      throw new Refusal("There are more than {} files in it.", MOST_FILES);
    }
    long all = files.values().stream().mapToLong(f -> f.length).sum();
    if (all > MOST) {
      throw new Refusal("Unpacked it is larger than {} MB; that is too much.", MOST >> 20);
    }
  }

  private void unpack(byte[] zip) {
    long all = 0;
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        String name = e.getName().replace('\\', '/');
        if (e.isDirectory() || name.contains("__MACOSX/")) {
          continue;
        }
        if (name.startsWith("/") || name.contains("../") || name.matches("^[A-Za-z]:.*")) {
          throw new Refusal("The zip has a file that would climb out of it: “{}”.", shown(name));
        }
        byte[] bytes = in.readNBytes((int) Math.min(Integer.MAX_VALUE - 16, MOST - all + 1));
        all += bytes.length;
        if (all > MOST) {
          throw new Refusal("Unpacked it is larger than {} MB; that is too much.", MOST >> 20);
        }
        put(name, bytes);
      }
    } catch (IOException | IllegalArgumentException e) {
      throw new Refusal("The zip cannot be unpacked; it may be cut off.");
    }
  }

  private static String shown(String name) {
    return name.length() > 40 ? name.substring(0, 40) + "…" : name;
  }

  Map<String, byte[]> all() {
    return files;
  }

  /**
   * A file that another one names: by its path, or else by its last name; null if it is not there.
   */
  byte[] sibling(String name) {
    String wanted = name.replace('\\', '/').replaceFirst("^\\./", "");
    byte[] exact = files.get(wanted);
    if (exact != null) {
      return exact;
    }
    String last = last(wanted);
    return files.entrySet().stream()
        .filter(e -> last(e.getKey()).equals(last))
        .map(Map.Entry::getValue)
        .findFirst()
        .orElse(null);
  }

  private static String last(String name) {
    return name.substring(name.lastIndexOf('/') + 1).toLowerCase(Locale.ROOT);
  }
}
