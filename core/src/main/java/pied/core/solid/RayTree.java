package pied.core.solid;

/**
 * A tree over the triangles of a mesh that is asked by rays. Rays are followed in floats, from
 * where they come near all there is. Safe for many threads.
 */
abstract class RayTree {
  private final RayStart start;

  RayTree(BoxTree boxes) {
    start = new RayStart(boxes);
  }

  /**
   * The nearest triangle along a ray.
   *
   * @param scratch its distance, u and v are set
   * @return its number among the items in the order of the leaves; -1 for none
   */
  final int nearest(
      double ox,
      double oy,
      double oz,
      double dx,
      double dy,
      double dz,
      double limit,
      WideTree.WalkStack scratch) {
    double from = start.at(ox, oy, oz, dx, dy, dz, limit);
    if (from < 0) {
      return -1;
    }
    int found =
        nearest(
            (float) (ox + from * dx),
            (float) (oy + from * dy),
            (float) (oz + from * dz),
            (float) dx,
            (float) dy,
            (float) dz,
            BoxTree.up(limit - from),
            scratch);
    scratch.distance = (float) (scratch.distance + from);
    return found;
  }

  /** Whether a ray meets anything. */
  final boolean any(
      double ox,
      double oy,
      double oz,
      double dx,
      double dy,
      double dz,
      double limit,
      WideTree.WalkStack scratch) {
    double from = start.at(ox, oy, oz, dx, dy, dz, limit);
    return from >= 0
        && any(
            (float) (ox + from * dx),
            (float) (oy + from * dy),
            (float) (oz + from * dz),
            (float) dx,
            (float) dy,
            (float) dz,
            (float) (limit - from),
            scratch);
  }

  /** The same for a ray that begins near. */
  abstract int nearest(
      float ox,
      float oy,
      float oz,
      float dx,
      float dy,
      float dz,
      float limit,
      WideTree.WalkStack scratch);

  /** Likewise. */
  abstract boolean any(
      float ox,
      float oy,
      float oz,
      float dx,
      float dy,
      float dz,
      float limit,
      WideTree.WalkStack scratch);

  abstract long bytes();
}
