package pied.core.format;

import java.util.Arrays;
import pied.core.solid.Mesh;

/**
 * Corners of a mesh that are the same in all that is said of them, counted once.
 *
 * @param indices for every corner the number of the one it is the same as
 * @param corners of these the first, as numbers in the list of corners
 */
record Shared(int[] indices, int[] corners) {
  /**
   * Finds them. Cost: linear in the corners, times how many ways a vertex is seen.
   *
   * @param at numbers of corners of the mesh
   * @param places what is said of every corner besides its vertex, two numbers each; or null
   */
  static Shared of(Mesh mesh, int[] at, float[]... places) {
    int[] latest = new int[mesh.xyz().length / 3];
    Arrays.fill(latest, -1);
    int[] before = new int[at.length];
    int[] first = new int[at.length];
    int[] indices = new int[at.length];
    int n = 0;
    for (int i = 0; i < at.length; i++) {
      int vertex = mesh.corners()[at[i]];
      int found = latest[vertex];
      while (found >= 0 && !same(i, first[found], places)) {
        found = before[found];
      }
      if (found < 0) {
        found = n++;
        first[found] = i;
        before[found] = latest[vertex];
        latest[vertex] = found;
      }
      indices[i] = found;
    }
    return new Shared(indices, Arrays.copyOf(first, n));
  }

  private static boolean same(int i, int j, float[][] places) {
    for (float[] p : places) {
      if (p != null && (p[2 * i] != p[2 * j] || p[2 * i + 1] != p[2 * j + 1])) {
        return false;
      }
    }
    return true;
  }
}
