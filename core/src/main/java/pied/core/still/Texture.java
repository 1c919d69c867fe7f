package pied.core.still;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import pied.core.Nullable;
import pied.core.material.pattern.Tint;

/**
 * A tile or a picture as light meets it: its dots, and the same at half the size, and so on, so
 * that from afar the mean of many dots is taken at once. It repeats without an end.
 */
final class Texture {
  private static final float[] LINEAR = new float[256];

  static {
    for (int i = 0; i < LINEAR.length; i++) {
      LINEAR[i] = (float) Tint.linear("#%02X0000".formatted(i))[0];
    }
  }

  private record MipLevel(int wide, int high, int[] argb) {}

  private final List<MipLevel> levels = new ArrayList<>();
  private final boolean colours;

  /**
   * Of a file.
   *
   * @param colours whether its numbers are colours as they are written, and not plain ones
   * @return null if it cannot be read
   */
  static @Nullable Texture of(@Nullable byte[] file, boolean colours) {
    try {
      BufferedImage image = file == null ? null : ImageIO.read(new ByteArrayInputStream(file));
      return image == null ? null : new Texture(image, colours);
    } catch (IOException e) {
      return null;
    }
  }

  private Texture(BufferedImage image, boolean colours) {
    this.colours = colours;
    int w = image.getWidth();
    int h = image.getHeight();
    MipLevel m = new MipLevel(w, h, image.getRGB(0, 0, w, h, null, 0, w));
    levels.add(m);
    while (m.wide > 1 || m.high > 1) {
      m = half(m);
      levels.add(m);
    }
  }

  int wide() {
    return levels.get(0).wide;
  }

  long bytes() {
    return levels.stream().mapToLong(l -> 4L * l.argb.length).sum();
  }

  private MipLevel half(MipLevel m) {
    int w = Math.max(1, m.wide / 2);
    int h = Math.max(1, m.high / 2);
    int[] out = new int[w * h];
    float[] sum = new float[4];
    for (int j = 0; j < h; j++) {
      for (int i = 0; i < w; i++) {
        java.util.Arrays.fill(sum, 0);
        for (int k = 0; k < 4; k++) {
          int x = Math.min(m.wide - 1, 2 * i + k % 2);
          int y = Math.min(m.high - 1, 2 * j + k / 2);
          add(m.argb[y * m.wide + x], sum);
        }
        out[j * w + i] = packed(sum);
      }
    }
    return new MipLevel(w, h, out);
  }

  private void add(int argb, float[] sum) {
    sum[3] += (argb >>> 24) / 255f;
    for (int k = 0; k < 3; k++) {
      int c = argb >> (16 - 8 * k) & 255;
      sum[k] += colours ? LINEAR[c] : c / 255f;
    }
  }

  private int packed(float[] sum) {
    int argb = Math.round(sum[3] / 4 * 255) << 24;
    for (int k = 0; k < 3; k++) {
      float c = sum[k] / 4;
      argb |= (colours ? Tint.written(c) : Math.round(c * 255)) << (16 - 8 * k);
    }
    return argb;
  }

  /**
   * What it is at a place, between its dots in proportion.
   *
   * @param u to the right, in repeats
   * @param v down, likewise
   * @param dots how many dots of the finest level are looked at together, each way
   * @param out red, green, blue as linear light (or plain), and how much of it is there
   */
  void at(double u, double v, double dots, float[] out) {
    int l = dots <= 1 ? 0 : Math.min(levels.size() - 1, Math.getExponent((float) dots));
    MipLevel m = levels.get(l);
    double x = (u - Math.floor(u)) * m.wide - 0.5;
    double y = (v - Math.floor(v)) * m.high - 0.5;
    int i = (int) Math.floor(x);
    int j = (int) Math.floor(y);
    float fx = (float) (x - i);
    float fy = (float) (y - j);
    java.util.Arrays.fill(out, 0);
    put(m, i, j, (1 - fx) * (1 - fy), out);
    put(m, i + 1, j, fx * (1 - fy), out);
    put(m, i, j + 1, (1 - fx) * fy, out);
    put(m, i + 1, j + 1, fx * fy, out);
  }

  private void put(MipLevel m, int i, int j, float share, float[] out) {
    int x = i < 0 ? i + m.wide : i >= m.wide ? i - m.wide : i;
    int y = j < 0 ? j + m.high : j >= m.high ? j - m.high : j;
    int argb = m.argb[y * m.wide + x];
    out[3] += share * (argb >>> 24) / 255f;
    for (int k = 0; k < 3; k++) {
      int c = argb >> (16 - 8 * k) & 255;
      out[k] += share * (colours ? LINEAR[c] : c / 255f);
    }
  }
}
