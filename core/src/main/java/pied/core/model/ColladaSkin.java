package pied.core.model;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.joml.Matrix4d;
import org.joml.Vector3d;
import org.w3c.dom.Element;
import pied.core.Nullable;

/**
 * The skin over the bones of a COLLADA file (1.5, 4.7): each corner is where its bones take it,
 * weighed, as they stand in the scene.
 */
final class ColladaSkin {
  private final ColladaFile file;
  private final Element skin;
  private final Map<Element, Matrix4d> standing;

  /**
   * @param standing where the nodes of the scene stand
   */
  ColladaSkin(ColladaFile file, Element skin, Map<Element, Matrix4d> standing) {
    this.file = file;
    this.skin = skin;
    this.standing = standing;
  }

  /** Moves corners; without bones that can be found they stay as they were bound. */
  double[] moved(double[] xyz) {
    double[] out = xyz.clone();
    Element shape = ColladaFile.first(skin, "bind_shape_matrix");
    if (shape != null && file.numbers(shape).length == 16) {
      ModelNumbers.move(out, matrix(file.numbers(shape), 0));
    }
    List<Matrix4d> bones = bones();
    Element weights = ColladaFile.first(skin, "vertex_weights");
    if (bones != null && weights != null) {
      weigh(out, bones, weights);
    }
    return out;
  }

  static Matrix4d matrix(double[] v, int at) {
    double[] own = new double[16];
    System.arraycopy(v, at, own, 0, 16);
    return new Matrix4d().set(own).transpose();
  }

  private @Nullable Element source(Element of, String semantic) {
    for (Element input : ColladaFile.children(of, "input")) {
      if (input.getAttribute("semantic").equals(semantic)) {
        return file.named(input, "source");
      }
    }
    return null;
  }

  /** Where each bone takes what is bound to it; null if one cannot be found. */
  private @Nullable List<Matrix4d> bones() {
    Element joints = ColladaFile.first(skin, "joints");
    Element names = joints == null ? null : source(joints, "JOINT");
    double[] inverse = joints == null ? null : file.source(source(joints, "INV_BIND_MATRIX"));
    if (names == null || inverse == null) {
      return null;
    }
    Element array = ColladaFile.first(names, "Name_array");
    array = array == null ? ColladaFile.first(names, "IDREF_array") : array;
    if (array == null) {
      return null;
    }
    Map<String, Matrix4d> byName = new HashMap<>();
    standing.forEach(
        (node, at) -> {
          byName.putIfAbsent(node.getAttribute("sid"), at);
          byName.put(node.getAttribute("id"), at);
        });
    List<Matrix4d> all = new ArrayList<>();
    for (String name : array.getTextContent().strip().split("\\s+")) {
      Matrix4d at = byName.get(name);
      if (at == null || inverse.length < 16 * (all.size() + 1)) {
        return null;
      }
      all.add(new Matrix4d(at).mul(matrix(inverse, 16 * all.size())));
    }
    return all;
  }

  private void weigh(double[] xyz, List<Matrix4d> bones, Element weights) {
    double[] share = file.source(source(weights, "WEIGHT"));
    Element counts = ColladaFile.first(weights, "vcount");
    Element list = ColladaFile.first(weights, "v");
    if (share == null || counts == null || list == null) {
      return;
    }
    double[] n = file.numbers(counts);
    double[] v = file.numbers(list);
    int stride = ColladaFile.children(weights, "input").size();
    int at = 0;
    Vector3d p = new Vector3d();
    for (int i = 0; i < n.length && 3 * i + 2 < xyz.length; i++) {
      double[] sum = new double[4];
      for (int k = 0; k < (int) n[i] && at + 1 < v.length; k++, at += stride) {
        int bone = (int) v[at];
        int w = (int) v[at + 1];
        if (bone >= 0 && bone < bones.size() && w >= 0 && w < share.length) {
          bones.get(bone).transformPosition(p.set(xyz[3 * i], xyz[3 * i + 1], xyz[3 * i + 2]));
          sum[0] += share[w] * p.x;
          sum[1] += share[w] * p.y;
          sum[2] += share[w] * p.z;
          sum[3] += share[w];
        }
      }
      for (int k = 0; k < 3 && sum[3] > 0; k++) {
        xyz[3 * i + k] = sum[k] / sum[3];
      }
    }
  }
}
