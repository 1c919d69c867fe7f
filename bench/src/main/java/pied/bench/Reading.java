package pied.bench;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Path;
import pied.core.model.Files;
import pied.core.model.ModelReader;
import pied.core.solid.Lighter;
import pied.core.solid.Mesh;

/**
 * Takes the figures of reading model files: processor time of the whole process in a warm virtual
 * machine, the best and the middle of several rounds. {@code Reading DIR} reads scene.obj, .stl,
 * .glb and .ply there.
 */
public final class Reading {
  private static final int WARM = 6;
  private static final int ROUNDS = 9;

  private Reading() {}

  public static void main(String[] args) throws IOException {
    if (args.length != 1) {
      System.err.println("usage: Reading DIR");
      System.exit(2);
    }
    for (String format : new String[] {"obj", "stl", "glb", "ply"}) {
      byte[] bytes = java.nio.file.Files.readAllBytes(Path.of(args[0], "scene." + format));
      double[] seconds = new double[ROUNDS];
      int triangles = 0;
      for (int i = -WARM; i < ROUNDS; i++) {
        long t = cpu();
        Files files = new Files();
        files.add("scene." + format, bytes);
        triangles = ModelReader.read(files).model().triangles();
        if (i >= 0) {
          seconds[i] = (cpu() - t) / 1e9;
        }
      }
      java.util.Arrays.sort(seconds);
      Figures.figure("read-" + format, "best", "s", seconds[0]);
      Figures.figure("read-" + format, "p50", "s", seconds[ROUNDS / 2]);
      Figures.figure("read-" + format, "triangles", "", triangles);
    }
    Scene scene = new Scene(Path.of(args[0], "scene.bin"));
    Mesh heavy = scene.soup;
    long t = System.nanoTime();
    Lighter.Lightened r = Lighter.of(heavy, 100_000);
    Figures.figure("lighter", "time", "s", (System.nanoTime() - t) / 1e9);
    Figures.figure("lighter", "triangles", "", r.mesh().triangles());
    Figures.figure("lighter", "error", "mm", r.error() * 1000);
  }

  private static long cpu() {
    return ((com.sun.management.OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean())
        .getProcessCpuTime();
  }
}
