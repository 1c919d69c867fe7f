package pied.core.model;

import java.util.ArrayList;
import java.util.List;
import org.w3c.dom.Element;
import pied.core.Nullable;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/** The faces of a mesh of a COLLADA file: triangles, polygons with holes, strips and fans. */
final class ColladaFaces {
  static final String[] TAGS = {"triangles", "polylist", "polygons", "tristrips", "trifans"};

  private static final int MOST_INPUTS = 64;

  private final ColladaFile file;
  private final Collector out;
  private final Element list;
  private final String material;
  private final double[] xyz;
  private final boolean mirrored;
  private final boolean pictured;
  private int stride;
  private int offset;
  private int placeOffset = -1;
  private @Nullable double[] places;
  private int placeWidth = 2;

  /**
   * @param list of faces
   * @param xyz corners where they stand
   * @param mirrored whether that turned them inside out
   * @param pictured whether it is wanted where they are on a picture
   */
  ColladaFaces(
      ColladaFile file,
      Collector out,
      Element list,
      String material,
      double[] xyz,
      boolean mirrored,
      boolean pictured) {
    this.file = file;
    this.out = out;
    this.list = list;
    this.material = material;
    this.xyz = xyz;
    this.mirrored = mirrored;
    this.pictured = pictured;
    for (Element input : ColladaFile.children(list, "input")) {
      String at = input.getAttribute("offset");
      int o = (int) ModelReader.number(at.isEmpty() ? "0" : at, "COLLADA");
      stride = Math.max(stride, o + 1);
      if (input.getAttribute("semantic").equals("VERTEX")) {
        offset = o;
      } else if (input.getAttribute("semantic").equals("TEXCOORD") && places == null) {
        Element source = file.named(input, "source");
        places = file.source(source);
        placeOffset = o;
        Element accessor = ColladaFile.below(source, "technique_common", "accessor");
        String width = accessor == null ? "" : accessor.getAttribute("stride");
        placeWidth = width.isEmpty() ? 2 : (int) ModelReader.number(width, "COLLADA");
      }
    }
  }

  void read() {
    if (stride < 1 || stride > MOST_INPUTS || placeWidth < 1) {
      return;
    }
    switch (list.getTagName()) {
      case "tristrips" -> ColladaFile.children(list, "p").forEach(p -> strip(file.numbers(p)));
      case "trifans" -> ColladaFile.children(list, "p").forEach(p -> fan(file.numbers(p)));
      case "polygons" -> polygons();
      default -> counted();
    }
  }

  private void counted() {
    Element counts = ColladaFile.first(list, "vcount");
    double[] vcount = counts == null ? null : file.numbers(counts);
    boolean threes = list.getTagName().equals("triangles");
    for (Element p : ColladaFile.children(list, "p")) {
      double[] v = file.numbers(p);
      int corners = v.length / stride;
      int from = 0;
      for (int f = 0; from < corners; f++) {
        boolean known = vcount != null && f < vcount.length;
        int n = threes ? 3 : known ? (int) vcount[f] : corners;
        if (n < 1 || from + n > corners) {
          throw new Refusal("The COLLADA file has a face whose corners are not all there.");
        }
        face(v, range(from, n), List.of());
        from += n;
      }
    }
  }

  private void polygons() {
    for (Element p : ColladaFile.children(list, "p")) {
      face(file.numbers(p), range(0, file.numbers(p).length / stride), List.of());
    }
    for (Element ph : ColladaFile.children(list, "ph")) {
      Element p = ColladaFile.first(ph, "p");
      if (p != null) {
        List<double[]> holes = ColladaFile.children(ph, "h").stream().map(file::numbers).toList();
        face(file.numbers(p), range(0, file.numbers(p).length / stride), holes);
      }
    }
  }

  private void strip(double[] v) {
    for (int i = 0; i + 2 < v.length / stride; i++) {
      boolean odd = i % 2 == 1;
      face(v, new int[] {i, odd ? i + 2 : i + 1, odd ? i + 1 : i + 2}, List.of());
    }
  }

  private void fan(double[] v) {
    for (int i = 1; i + 1 < v.length / stride; i++) {
      face(v, new int[] {0, i, i + 1}, List.of());
    }
  }

  private static int[] range(int from, int n) {
    int[] all = new int[n];
    for (int i = 0; i < n; i++) {
      all[i] = from + i;
    }
    return all;
  }

  private void face(double[] v, int[] corners, List<double[]> holes) {
    boolean placed = pictured && places != null;
    float[] uv = placed ? new float[2 * corners.length] : null;
    List<Vec> face = new ArrayList<>(corners.length);
    for (int i = 0; i < corners.length; i++) {
      int at = corners[mirrored ? corners.length - 1 - i : i] * stride;
      face.add(point((int) v[at + offset]));
      if (uv != null) {
        int k = (int) v[at + placeOffset] * placeWidth;
        boolean there = k >= 0 && k + Math.min(2, placeWidth) <= places.length;
        uv[2 * i] = there ? (float) places[k] : 0;
        uv[2 * i + 1] = there && placeWidth > 1 ? (float) (1 - places[k + 1]) : 0;
      }
    }
    if (holes.isEmpty()) {
      out.face(material, face, uv);
      return;
    }
    List<List<Vec>> rings = new ArrayList<>();
    for (double[] hole : holes) {
      List<Vec> ring = new ArrayList<>();
      for (int i = 0; i < hole.length / stride; i++) {
        ring.add(point((int) hole[i * stride + offset]));
      }
      rings.add(ring);
    }
    out.faceWithHoles(material, face, rings);
  }

  private Vec point(int k) {
    if (k < 0 || 3 * k + 2 >= xyz.length) {
      throw new Refusal("The COLLADA file has a face whose corner is not there.");
    }
    return new Vec(xyz[3 * k], xyz[3 * k + 1], xyz[3 * k + 2]);
  }
}
