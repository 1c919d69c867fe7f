package pied.core.model;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import pied.core.units.Refusal;

/** Reads STL, the text form and the binary one. It says neither unit nor what is up. */
final class StlReader {
  private static final int HEAD = 84;
  private static final int FACET = 50;

  private StlReader() {}

  static boolean is(byte[] b) {
    return isBinary(b) || ModelReader.begins(b, "solid");
  }

  private static boolean isBinary(byte[] b) {
    if (b.length < HEAD) {
      return false;
    }
    long n = ByteBuffer.wrap(b).order(ByteOrder.LITTLE_ENDIAN).getInt(80) & 0xFFFFFFFFL;
    return b.length == HEAD + n * FACET;
  }

  static Model read(byte[] b) {
    Collector out = new Collector();
    if (isBinary(b)) {
      binary(b, out);
    } else {
      words(b, out);
    }
    return out.model(null, null);
  }

  private static void binary(byte[] b, Collector out) {
    ByteBuffer in = ByteBuffer.wrap(b).order(ByteOrder.LITTLE_ENDIAN);
    int n = in.getInt(80);
    double[] p = new double[9];
    for (int t = 0; t < n; t++) {
      int at = HEAD + t * FACET + 12;
      for (int k = 0; k < 9; k++) {
        p[k] = in.getFloat(at + 4 * k);
      }
      out.triangle(null, p);
    }
  }

  private static void words(byte[] b, Collector out) {
    StlWords words = new StlWords(b);
    double[] p = new double[9];
    int k = 0;
    boolean ended = false;
    for (String w = words.next(); w != null; w = words.next()) {
      if (w.equals("vertex")) {
        if (k == 9) {
          throw new Refusal("The STL file has a facet of more than three corners.");
        }
        for (int i = 0; i < 3; i++) {
          p[k++] = words.number("STL");
        }
      } else if (w.equals("endfacet")) {
        if (k != 9) {
          throw new Refusal("The STL file has a facet without three corners; it may be cut off.");
        }
        out.triangle(null, p);
        k = 0;
      } else if (w.equals("endsolid")) {
        ended = true;
      }
    }
    if (!ended) {
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

    double number(String what) {
      return ModelReader.number(next(), what);
    }
  }
}
