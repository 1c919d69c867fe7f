package pied.core.format;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Pictures with all their light: RGBE of Radiance (G. Ward, "Real pixels", Graphics Gems II, 1991),
 * three mantissas and one exponent a dot, rows run-length packed; good to about 0.4 %.
 */
public final class RadianceHdr {
  private static final int LEAST_PACKED = 8;
  private static final int MOST_PACKED = 0x7FFF;
  private static final int RUN = 4;
  private static final int LONGEST = 127;
  private static final Pattern SIZE = Pattern.compile("-Y (\\d{1,5}) \\+X (\\d{1,5})");

  private RadianceHdr() {}

  /**
   * Writes one.
   *
   * @param light linear red, green and blue of the primaries of sRGB, three a dot from the upper
   *     left
   * @param exposure by what they are to be multiplied to be looked at
   */
  public static void write(int wide, int high, float[] light, double exposure, OutputStream out)
      throws IOException {
    String head =
        "#?RADIANCE\nSOFTWARE=Pied\nFORMAT=32-bit_rle_rgbe\nVIEWEXPOSURE=%s\n\n-Y %d +X %d\n"
            .formatted(exposure, high, wide);
    out.write(head.getBytes(StandardCharsets.US_ASCII));
    byte[][] row = new byte[4][wide];
    boolean packed = wide >= LEAST_PACKED && wide <= MOST_PACKED;
    for (int y = 0; y < high; y++) {
      for (int x = 0; x < wide; x++) {
        put(light, 3 * (y * wide + x), row, x);
      }
      if (packed) {
        out.write(new byte[] {2, 2, (byte) (wide >> 8), (byte) wide});
        for (byte[] part : row) {
          pack(part, out);
        }
      } else {
        for (int x = 0; x < wide; x++) {
          out.write(new byte[] {row[0][x], row[1][x], row[2][x], row[3][x]});
        }
      }
    }
  }

  private static void put(float[] light, int at, byte[][] row, int x) {
    float most = Math.max(light[at], Math.max(light[at + 1], light[at + 2]));
    if (!(most > Float.MIN_NORMAL)) {
      row[0][x] = row[1][x] = row[2][x] = row[3][x] = 0;
      return;
    }
    int exponent = Math.getExponent(most) + 1;
    double by = Math.scalb(256.0, -exponent);
    for (int k = 0; k < 3; k++) {
      row[k][x] = (byte) Math.min(255, (int) (Math.max(0, light[at + k]) * by));
    }
    row[3][x] = (byte) (exponent + 128);
  }

  private static void pack(byte[] part, OutputStream out) throws IOException {
    int i = 0;
    while (i < part.length) {
      int run = run(part, i);
      if (run >= RUN) {
        out.write(128 + run);
        out.write(part[i]);
        i += run;
        continue;
      }
      int from = i;
      while (i < part.length && i - from < LONGEST && run(part, i) < RUN) {
        i++;
      }
      out.write(i - from);
      out.write(part, from, i - from);
    }
  }

  private static int run(byte[] part, int from) {
    int n = 1;
    while (from + n < part.length && n < LONGEST && part[from + n] == part[from]) {
      n++;
    }
    return n;
  }

  /** A picture as it was read. */
  public record HdrPicture(int wide, int high, float[] light) {}

  /**
   * Reads one that {@link #write} wrote.
   *
   * @throws IOException if it is none
   */
  public static HdrPicture read(InputStream in) throws IOException {
    int[] size = size(in);
    int wide = size[0];
    int high = size[1];
    float[] light = new float[Math.multiplyExact(3, Math.multiplyExact(wide, high))];
    byte[][] row = new byte[4][wide];
    for (int y = 0; y < high; y++) {
      if (wide >= LEAST_PACKED && wide <= MOST_PACKED) {
        in.readNBytes(4);
        for (byte[] part : row) {
          unpack(in, part);
        }
      } else {
        for (int x = 0; x < wide; x++) {
          byte[] dot = in.readNBytes(4);
          for (int k = 0; k < 4; k++) {
            row[k][x] = dot[k];
          }
        }
      }
      for (int x = 0; x < wide; x++) {
        double by = Math.scalb(1.0, (row[3][x] & 255) - 128 - 8);
        for (int k = 0; k < 3 && row[3][x] != 0; k++) {
          light[3 * (y * wide + x) + k] = (float) (((row[k][x] & 255) + 0.5) * by);
        }
      }
    }
    return new HdrPicture(wide, high, light);
  }

  /** Width and height in dots, from its head. */
  private static int[] size(InputStream in) throws IOException {
    if (!line(in).equals("#?RADIANCE")) {
      throw new IOException("It is no picture of Radiance.");
    }
    while (!line(in).isEmpty()) {
      continue;
    }
    Matcher m = SIZE.matcher(line(in));
    if (!m.matches()) {
      throw new IOException("Its size cannot be read.");
    }
    return new int[] {Integer.parseInt(m.group(2)), Integer.parseInt(m.group(1))};
  }

  /** Whether a file begins as one of so many dots does. */
  public static boolean isOf(Path file, int wide, int high) {
    try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
      return Arrays.equals(size(in), new int[] {wide, high});
    } catch (IOException e) {
      return false;
    }
  }

  private static void unpack(InputStream in, byte[] part) throws IOException {
    int i = 0;
    while (i < part.length) {
      int n = in.read();
      if (n < 0) {
        throw new IOException("It ends too early.");
      }
      if (n > 128) {
        byte v = (byte) in.read();
        Arrays.fill(part, i, i + n - 128, v);
        i += n - 128;
      } else {
        i += in.readNBytes(part, i, n);
      }
    }
  }

  private static String line(InputStream in) throws IOException {
    StringBuilder s = new StringBuilder();
    for (int c = in.read(); c != '\n' && c >= 0 && s.length() < 200; c = in.read()) {
      s.append((char) c);
    }
    return s.toString();
  }
}
