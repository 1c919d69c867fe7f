package pied.bench;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.FloatBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import pied.core.solid.Bodies;
import pied.core.solid.Body;
import pied.core.solid.Mesh;
import pied.core.solid.MeshTree;
import pied.core.solid.Vec;

/**
 * Takes the figures of the kernel: {@code Figures scene.bin rays.bin HITS_OUT} writes a float32
 * distance and a uint32 triangle number for every ray and prints a line of JSON for every figure.
 */
public final class Figures {
  private static final int ROUNDS = 5;

  private Figures() {}

  public static void main(String[] args) throws IOException {
    if (args.length != 3) {
      System.err.println("usage: Figures scene.bin rays.bin HITS_OUT");
      System.exit(2);
    }
    Scene scene = new Scene(Path.of(args[0]));
    build(scene);
    FloatBuffer sets = Scene.floats(Path.of(args[1]));
    rays(scene, sets.duplicate(), Path.of(args[2]));
    RayFigures.of(scene, sets);
    if (Files.exists(Path.of(args[0]).resolveSibling("scene.json"))) {
      travel(scene.bodies());
    }
  }

  static void figure(String bench, String metric, String unit, double value) {
    System.out.printf(
        Locale.ROOT,
        "{\"bench\":\"%s\",\"metric\":\"%s\",\"unit\":\"%s\",\"value\":%.6g}%n",
        bench,
        metric,
        unit,
        value);
  }

  static double median(double[] values) {
    double[] v = values.clone();
    Arrays.sort(v);
    return v[v.length / 2];
  }

  private static void build(Scene scene) {
    double[] seconds = new double[ROUNDS];
    for (int i = 0; i < ROUNDS; i++) {
      Mesh fresh = Mesh.of(scene.soup.xyz(), scene.soup.corners());
      long t = System.nanoTime();
      fresh.tree();
      seconds[i] = (System.nanoTime() - t) / 1e9;
    }
    figure("tree", "build", "s", median(seconds));
    figure("tree", "memory", "MB", scene.soup.tree().bytes() / 1e6);
  }

  private static void rays(Scene scene, FloatBuffer rays, Path out) throws IOException {
    int n = rays.remaining() / 6;
    float[] r = new float[6 * n];
    rays.get(r);
    ByteBuffer hits = ByteBuffer.allocate(8 * n).order(ByteOrder.LITTLE_ENDIAN);
    MeshTree tree = scene.soup.tree();
    int half = n / 2;
    double[][] rate = new double[2][ROUNDS];
    for (int round = 0; round < ROUNDS; round++) {
      hits.clear();
      for (int set = 0; set < 2; set++) {
        long t = System.nanoTime();
        cast(tree, r, set * half, set == 0 ? half : n, hits);
        rate[set][round] = half / ((System.nanoTime() - t) / 1e9);
      }
    }
    Files.write(out, hits.array());
    figure("rays", "coherent", "rays/s", median(rate[0]));
    figure("rays", "incoherent", "rays/s", median(rate[1]));
  }

  private static void cast(MeshTree tree, float[] r, int from, int to, ByteBuffer hits) {
    MeshTree.RayHit hit = new MeshTree.RayHit();
    for (int i = from; i < to; i++) {
      int o = 6 * i;
      tree.nearest(r[o], r[o + 1], r[o + 2], r[o + 3], r[o + 4], r[o + 5], 1e9, hit);
      hits.putFloat((float) hit.distance).putInt(hit.triangle);
    }
  }

  /** Ten directions: down and up, four along the walls, four between. */
  static List<Vec> directions() {
    List<Vec> all = new ArrayList<>(List.of(Vec.DOWN, Vec.UP));
    for (int i = 0; i < 8; i++) {
      double a = Math.PI * i / 4;
      all.add(new Vec(Math.cos(a), 0, Math.sin(a)));
    }
    return all;
  }

  private static void travel(List<Body> list) {
    Bodies bodies = new Bodies(list);
    long t0 = System.nanoTime();
    list.forEach(b -> b.mesh().ready());
    figure("travel", "ready", "ms/mesh", (System.nanoTime() - t0) / 1e6 / list.size());
    List<Vec> directions = directions();
    Random random = new Random(5);
    double[] one = new double[0];
    double[] ten = new double[0];
    for (int round = 0; round < 2; round++) { // the first round warms up
      int pieces = round == 0 ? 300 : 1000;
      one = new double[pieces * directions.size()];
      ten = new double[pieces];
      for (int i = 0; i < pieces; i++) {
        Body body = list.get(1 + random.nextInt(list.size() - 1));
        long start = System.nanoTime();
        for (int d = 0; d < directions.size(); d++) {
          long t = System.nanoTime();
          bodies.travel(body.mesh(), body.pose(), directions.get(d), 1e4, b -> b != body);
          one[i * directions.size() + d] = (System.nanoTime() - t) / 1e6;
        }
        ten[i] = (System.nanoTime() - start) / 1e6;
      }
    }
    percentiles("travel", one);
    percentiles("travel-ten-directions", ten);
  }

  static void percentiles(String bench, double[] ms) {
    Arrays.sort(ms);
    figure(bench, "p50", "ms", ms[ms.length / 2]);
    figure(bench, "p99", "ms", ms[(int) (ms.length * 0.99)]);
    figure(bench, "max", "ms", ms[ms.length - 1]);
  }
}
