package pied.core.model;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.management.ThreadMXBean;
import java.lang.management.ManagementFactory;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import pied.core.catalog.Catalog;
import pied.core.format.Glb;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/**
 * Every sort of file that is read, hurt in a few thousand ways: it is read or refused in words, and
 * a small file takes little memory and time whatever it says of itself. More by hand: {@code
 * -Dpied.fuzz.tries=1000000}.
 */
class FuzzTest {
  private static final Catalog CATALOG = Catalog.shipped();
  private static final int TRIES = Integer.getInteger("pied.fuzz.tries", 5_000);

  /** Most one small file may ask for: bytes allocated, and seconds. */
  private static final long MOST_BYTES = 300L << 20;

  private static final long MOST_NANOS = 8_000_000_000L;

  private static final String[] NUMBERS = {
    "4294967295", "2147483647", "-1", "0", "1e308", "NaN", "99999999999999999999", "65536", "-0.0"
  };

  static Stream<Map.Entry<String, byte[]>> files() {
    Mesh chair = Written.chair();
    Written.Place same = p -> p;
    Map<String, byte[]> all = new LinkedHashMap<>();
    byte[] obj = Written.obj(chair, same, "");
    all.put("chair.obj", obj);
    all.put("chair.stl", Written.stl(chair, same));
    all.put("chair-text.stl", Written.stlText(chair, same));
    all.put("chair.ply", Written.ply(chair, same, ByteOrder.LITTLE_ENDIAN));
    all.put("chair-text.ply", Written.ply(chair, same, null));
    all.put("chair.glb", Written.glb(chair));
    all.put("chair.dae", Written.collada(chair, p -> p.times(100), "Y_UP", 0.01));
    all.put(
        "chair.zip",
        Written.zip(
            Map.of("chair.obj", obj, "chair.mtl", "Kd 1 0 0".getBytes(StandardCharsets.UTF_8))));
    all.put("pictured.glb", pictured(chair));
    return all.entrySet().stream();
  }

  /** With a picture on it, so that pictures are hurt as well. */
  private static byte[] pictured(Mesh chair) {
    float[] uv = new float[2 * chair.corners().length];
    Mesh m = new Mesh(chair.xyz(), null, chair.corners(), chair.partOf(), chair.parts(), uv);
    try {
      java.awt.image.BufferedImage image =
          new java.awt.image.BufferedImage(8, 8, java.awt.image.BufferedImage.TYPE_INT_RGB);
      java.io.ByteArrayOutputStream out = new java.io.ByteArrayOutputStream();
      javax.imageio.ImageIO.write(image, "png", out);
      return Glb.write("chair", m, Map.of(), Map.of("body", out.toByteArray()));
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  @ParameterizedTest
  @MethodSource("files")
  void whateverIsInItItIsReadOrRefused(Map.Entry<String, byte[]> file) {
    ThreadMXBean threads = (ThreadMXBean) ManagementFactory.getThreadMXBean();
    long self = Thread.currentThread().getId();
    read(file.getKey(), file.getValue());
    for (long seed = 0; seed < TRIES; seed++) {
      byte[] hurt = hurt(file.getValue(), new Random(seed));
      long bytes = threads.getThreadAllocatedBytes(self);
      long began = System.nanoTime();
      try {
        read(file.getKey(), hurt);
      } catch (Refusal e) {
        assertThat(e.getMessage()).as("seed " + seed).isNotBlank().doesNotContain("Exception");
      } catch (RuntimeException | Error e) {
        throw new AssertionError(file.getKey() + ", seed " + seed, e);
      }
      assertThat(threads.getThreadAllocatedBytes(self) - bytes)
          .as(file.getKey() + ", memory at seed " + seed)
          .isLessThan(MOST_BYTES);
      assertThat(System.nanoTime() - began)
          .as(file.getKey() + ", time at seed " + seed)
          .isLessThan(MOST_NANOS);
    }
  }

  private static void read(String name, byte[] bytes) {
    Files files = new Files();
    files.add(name, bytes);
    Arrival a = Arrival.of(ModelReader.read(files), CATALOG, null);
    Mesh m = a.mesh(a.guess());
    Vec size = m.box().size();
    assertThat(size.finite()).isTrue();
  }

  private static byte[] hurt(byte[] whole, Random r) {
    byte[] b = whole.clone();
    int wounds = 1 + r.nextInt(6);
    for (int k = 0; k < wounds; k++) {
      int at = r.nextInt(b.length);
      switch (r.nextInt(6)) {
        case 0 -> b[at] = (byte) r.nextInt(256);
        case 1 -> b[at] ^= (byte) (1 << r.nextInt(8));
        case 2 -> { // a number of four bytes, as counts and lengths are
          int v =
              switch (r.nextInt(4)) {
                case 0 -> -1;
                case 1 -> Integer.MAX_VALUE;
                case 2 -> 0;
                default -> r.nextInt();
              };
          for (int i = 0; i < 4 && at + i < b.length; i++) {
            b[at + i] = (byte) (v >> 8 * i);
          }
        }
        case 3 -> b = Arrays.copyOf(b, Math.max(1, at));
        case 4 -> { // a piece of it once more
          int from = r.nextInt(b.length);
          int n = Math.min(Math.min(200, b.length - from), b.length - at);
          System.arraycopy(b.clone(), from, b, at, n);
        }
        default -> b = numbered(b, at, r);
      }
    }
    return b;
  }

  /** The next number in a text is another. */
  private static byte[] numbered(byte[] b, int at, Random r) {
    int i = at;
    while (i < b.length && (b[i] < '0' || b[i] > '9')) {
      i++;
    }
    int j = i;
    while (j < b.length && (b[j] >= '0' && b[j] <= '9' || b[j] == '.')) {
      j++;
    }
    byte[] number = NUMBERS[r.nextInt(NUMBERS.length)].getBytes(StandardCharsets.US_ASCII);
    byte[] out = Arrays.copyOf(b, b.length - (j - i) + number.length);
    System.arraycopy(number, 0, out, i, number.length);
    System.arraycopy(b, j, out, i + number.length, b.length - j);
    return out;
  }
}
