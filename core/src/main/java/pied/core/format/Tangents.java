package pied.core.format;

import pied.core.Tolerance;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;

/** Which way "to the right" runs on a skin with a texture, vertex by vertex, as glTF has it. */
final class Tangents {
  private Tangents() {}

  /**
   * One for every vertex that is written, of length 1 and across its normal; that of all triangles
   * at it on the whole. Nothing is written the other way round, so that all have the sign +1.
   *
   * @param at numbers of the corners of the mesh
   * @param places two numbers for every corner: to the right and down
   */
  static Vec[] of(Mesh mesh, int[] at, Shared shared, float[] places) {
    Vec[] sum = new Vec[shared.corners().length];
    java.util.Arrays.fill(sum, Vec.ZERO);
    for (int i = 0; i + 2 < at.length; i += 3) {
      Vec right = right(mesh, at, places, i);
      for (int k = 0; k < 3; k++) {
        int v = shared.indices()[i + k];
        sum[v] = sum[v].plus(right);
      }
    }
    for (int v = 0; v < sum.length; v++) {
      int n = 3 * mesh.corners()[at[shared.corners()[v]]];
      float[] normals = mesh.normals();
      sum[v] = across(sum[v], new Vec(normals[n], normals[n + 1], normals[n + 2]));
    }
    return sum;
  }

  private static Vec right(Mesh mesh, int[] at, float[] places, int i) {
    Vec p = mesh.vertex(mesh.corners()[at[i]]);
    Vec ab = mesh.vertex(mesh.corners()[at[i + 1]]).minus(p);
    Vec ac = mesh.vertex(mesh.corners()[at[i + 2]]).minus(p);
    double u1 = places[2 * i + 2] - places[2 * i];
    double v1 = places[2 * i + 3] - places[2 * i + 1];
    double u2 = places[2 * i + 4] - places[2 * i];
    double v2 = places[2 * i + 5] - places[2 * i + 1];
    double det = u1 * v2 - u2 * v1;
    Vec way = ab.times(v2).minus(ac.times(v1)).times(Math.signum(det));
    return way.length() > Tolerance.NONE ? way.unit() : Vec.ZERO;
  }

  private static Vec across(Vec way, Vec normal) {
    Vec n = normal.length() > Tolerance.FINE ? normal.unit() : Vec.UP;
    Vec flat = way.minus(n.times(way.dot(n)));
    if (flat.length() > Tolerance.FINE) {
      return flat.unit();
    }
    Vec any = Math.abs(n.y()) < 0.9 ? Vec.UP : new Vec(1, 0, 0);
    return any.cross(n).unit();
  }
}
