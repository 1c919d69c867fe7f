package pied.core.solid;

/** Which triangles of a mesh count in a sweep: all, or those that look along or against the way. */
enum SweepFacing {
  ALL,
  ALONG,
  AGAINST
}
