package pied.core.still;

/**
 * The numbers from which a path is drawn: two of a Sobol sequence at a time, each pair shuffled and
 * scrambled by itself (B. Burley, "Practical hash-based Owen scrambling", Journal of Computer
 * Graphics Techniques 9, 2020). They depend on the dot, the number of its path and nothing else, so
 * that a picture is the same however many threads make it.
 */
final class PathSamples {
  private static final double UNIT = 1.0 / (1L << 32);

  private int seed;
  private int index;
  private int dimension;

  /** The second of the last pair. */
  private double second;

  /** Begins a path. */
  void begin(int dot, int path, int picture) {
    seed = mixed(dot * 0x9E3779B1 ^ mixed(picture + 0x7F4A7C15));
    index = path;
    dimension = 0;
  }

  /** Takes up at a place of its own for every step of a path, whatever was drawn before. */
  void step(int bounce) {
    dimension = bounce << 5;
  }

  /** The first of a pair, 0 up to 1; {@link #second()} is the other. */
  double pair() {
    int own = mixed(seed + 0x632BE5AB * ++dimension);
    int i = scrambled(index, own);
    int x = scrambled(Integer.reverse(i), mixed(own ^ 0x1B873593));
    int y = scrambled(sobol(i), mixed(own ^ 0x2545F491));
    second = unit(y);
    return unit(x);
  }

  double second() {
    return second;
  }

  /** One alone. */
  double one() {
    int own = mixed(seed + 0x632BE5AB * ++dimension);
    int i = scrambled(index, own);
    return unit(scrambled(Integer.reverse(i), mixed(own ^ 0x1B873593)));
  }

  private static double unit(int bits) {
    return (bits & 0xFFFFFFFFL) * UNIT;
  }

  /** The second dimension of the sequence (I. Sobol, 1967). */
  private static int sobol(int index) {
    int y = 0;
    int v = 1 << 31;
    for (int i = index; i != 0; i >>>= 1) {
      if ((i & 1) != 0) {
        y ^= v;
      }
      v ^= v >>> 1;
    }
    return y;
  }

  /** Permutes each half by itself, and each half of it, and so on. */
  private static int scrambled(int bits, int seed) {
    int x = Integer.reverse(bits) + seed;
    x ^= x * 0x6C50B47C;
    x ^= x * 0xB82F1E52;
    x ^= x * 0xC7AFE638;
    x ^= x * 0x8D22F6E6;
    return Integer.reverse(x);
  }

  private static int mixed(int v) {
    int x = v;
    x ^= x >>> 16;
    x *= 0x7FEB352D;
    x ^= x >>> 15;
    x *= 0x846CA68B;
    return x ^ x >>> 16;
  }
}
