package pied.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import pied.core.material.Appearance;
import pied.core.material.Material;
import pied.core.material.Materials;
import pied.core.material.PictureFiles;
import pied.core.material.Tiles;

/** Takes the figures of tiles: how long those of a material take to be made, and their bytes. */
public final class TileFigures {
  private TileFigures() {}

  public static void main(String[] args) {
    List<Double> ms = new ArrayList<>();
    List<Long> bytes = new ArrayList<>();
    String slowest = "";
    String largest = "";
    for (Material m : Materials.shipped()) {
      Appearance.Tiled tile = Appearance.of(m.finish()).tile();
      if (tile == null) {
        continue;
      }
      long began = System.nanoTime();
      long size =
          Stream.of(tile.colours(), tile.normals(), tile.roughness())
              .filter(Objects::nonNull)
              .mapToLong(name -> Tiles.file(name, PictureFiles.NONE).length)
              .sum();
      double took = (System.nanoTime() - began) / 1e6;
      slowest = ms.stream().allMatch(t -> t < took) ? m.id() : slowest;
      largest = bytes.stream().allMatch(b -> b < size) ? m.id() : largest;
      ms.add(took);
      bytes.add(size);
    }
    double[] times = ms.stream().mapToDouble(t -> t).toArray();
    Arrays.sort(times);
    Figures.figure("tiles of " + times.length + " materials", "p50", "ms", times[times.length / 2]);
    Figures.figure("tiles: " + slowest, "slowest", "ms", times[times.length - 1]);
    Figures.figure("tiles", "together", "ms", Arrays.stream(times).sum());
    long most = bytes.stream().mapToLong(b -> b).max().orElse(0);
    Figures.figure("tiles: " + largest, "largest", "kB", most / 1024.0);
    long all = bytes.stream().mapToLong(b -> b).sum();
    Figures.figure("tiles", "together", "kB", all / 1024.0);
  }
}
