package pied.core.solid;

import java.util.Arrays;
import pied.core.Tolerance;

/**
 * A mesh as it is turned to the way of a sweep. What is turned the same but for rounding is one.
 *
 * @param mesh what a mesh is known by; the key does not hold on to the mesh
 * @param turn from its own frame into that of the way: nine numbers, row by row, in {@link #GRAIN}
 */
record SweepKey(Object mesh, long[] turn, SweepFacing facing) {
  /** At the end of a mesh of 10 m a hundredth of {@link SweepTree#PAD}. */
  private static final double GRAIN = Tolerance.NONE;

  static SweepKey of(Mesh mesh, double[] turn, SweepFacing facing) {
    return new SweepKey(
        mesh.self(), Arrays.stream(turn).mapToLong(v -> Math.round(v / GRAIN)).toArray(), facing);
  }

  @Override
  public boolean equals(Object o) {
    return o instanceof SweepKey k
        && k.mesh == mesh
        && k.facing == facing
        && Arrays.equals(k.turn, turn);
  }

  @Override
  public int hashCode() {
    return 31 * (31 * System.identityHashCode(mesh) + Arrays.hashCode(turn)) + facing.hashCode();
  }

  @Override
  public String toString() {
    return "sweep " + facing;
  }
}
