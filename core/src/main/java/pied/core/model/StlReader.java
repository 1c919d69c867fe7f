package pied.core.model;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import pied.core.Nullable;
import pied.core.units.Refusal;

/** Reads STL, the text form and the binary one. It says neither unit nor what is up. */
final class StlReader {
  private static final int HEAD = 84;
  private static final int FACET = 50;

  /** More are no colours of parts, but of something else. */
  private static final int MOST_COLOURS = 64;

  private StlReader() {}

  static boolean is(byte[] b) {
    if (isBinary(b)) {
      return true;
    }
    int at = 0;
    while (at < Math.min(b.length, 64) && (b[at] <= ' ' || b[at] < 0)) {
      at++; // blanks, and a mark of how letters are written
    }
    return new String(b, at, Math.min(5, b.length - at), StandardCharsets.ISO_8859_1)
        .equalsIgnoreCase("solid");
  }

  /** As long as it says, and perhaps a few bytes more that a program left behind it. */
  private static boolean isBinary(byte[] b) {
    if (b.length < HEAD) {
      return false;
    }
    long n = ByteBuffer.wrap(b).order(ByteOrder.LITTLE_ENDIAN).getInt(80) & 0xFFFFFFFFL;
    long more = b.length - HEAD - n * FACET;
    return more == 0 || n > 0 && more > 0 && more < FACET;
  }

  static Model read(byte[] b) {
    Collector out = new Collector();
    if (isBinary(b)) {
      binary(b, out);
    } else {
      words(b, out);
    }
    return out.model(null, null).withOneBody();
  }

  private static void binary(byte[] b, Collector out) {
    ByteBuffer in = ByteBuffer.wrap(b).order(ByteOrder.LITTLE_ENDIAN);
    int n = in.getInt(80);
    boolean coloured = isColoured(in, n);
    double[] p = new double[9];
    for (int t = 0; t < n; t++) {
      int at = HEAD + t * FACET + 12;
      for (int k = 0; k < 9; k++) {
        p[k] = in.getFloat(at + 4 * k);
      }
      String part = coloured ? colour(in.getShort(at + 36)) : null;
      if (part != null) {
        out.colour(part, part);
      }
      out.triangle(part, p);
    }
  }

  /**
   * Whether the two bytes behind each facet are its colour, as many programs write it: the highest
   * bit set, and five bits each for red, green and blue. Other programs write other things there.
   */
  private static boolean isColoured(ByteBuffer in, int n) {
    Set<Short> all = new HashSet<>();
    for (int t = 0; t < n; t++) {
      short s = in.getShort(HEAD + t * FACET + 48);
      if (s < 0) {
        all.add(s);
      } else if (s != 0) {
        return false;
      }
      if (all.size() > MOST_COLOURS) {
        return false;
      }
    }
    return !all.isEmpty();
  }

  private static @Nullable String colour(short bits) {
    if (bits >= 0) {
      return null;
    }
    double[] c = {(bits >> 10 & 31) / 31.0, (bits >> 5 & 31) / 31.0, (bits & 31) / 31.0};
    return ModelReader.colour(c);
  }

  private static void words(byte[] b, Collector out) {
    StlWords words = new StlWords(b);
    double[] p = new double[9];
    int k = 0;
    String part = null;
    for (String w = words.next(); w != null; w = words.next()) {
      switch (w.toLowerCase(Locale.ROOT)) {
        case "solid" -> part = words.rest();
        case "vertex" -> {
          if (k == 9) {
            throw new Refusal("The STL file has a facet of more than three corners.");
          }
          for (int i = 0; i < 3; i++) {
            p[k++] = words.number("STL");
          }
        }
        case "endfacet" -> {
          if (k != 9) {
            throw new Refusal("The STL file has a facet without three corners; it may be cut off.");
          }
          out.triangle(part, p);
          k = 0;
        }
        case "endsolid" -> words.rest();
        default -> {}
      }
    }
    if (k > 0) { // that "endsolid" is missing is no matter, that a facet is cut off is
      throw new Refusal("The STL file ends in the middle; fetch it anew.");
    }
  }

  /** Words of a text between blanks. */
  static final class StlWords {
    private final byte[] b;
    private int at;

    StlWords(byte[] b) {
      this.b = b;
    }

    String next() {
      while (at < b.length && b[at] <= ' ') {
        at++;
      }
      int from = at;
      while (at < b.length && b[at] > ' ') {
        at++;
      }
      return at == from ? null : new String(b, from, at - from, StandardCharsets.ISO_8859_1);
    }

    /** What else is on the line; null for nothing. */
    @Nullable
    String rest() {
      int from = at;
      while (at < b.length && b[at] != '\n' && b[at] != '\r') {
        at++;
      }
      String rest = new String(b, from, at - from, StandardCharsets.UTF_8).strip();
      return rest.isEmpty() ? null : rest.length() > 80 ? rest.substring(0, 80) : rest;
    }

    double number(String what) {
      return ModelReader.number(next(), what);
    }
  }
}
