package pied.core.solid;

/** A tree over the triangles of a mesh that is asked by rays. Safe for many threads. */
interface RayTree {
  /**
   * The nearest triangle along a ray.
   *
   * @param scratch its distance, u and v are set
   * @return its number among the items in the order of the leaves; -1 for none
   */
  int nearest(
      double ox,
      double oy,
      double oz,
      double dx,
      double dy,
      double dz,
      double limit,
      WideTree.WalkStack scratch);

  /** Whether a ray meets anything. */
  boolean any(
      double ox,
      double oy,
      double oz,
      double dx,
      double dy,
      double dz,
      double limit,
      WideTree.WalkStack scratch);

  long bytes();
}
