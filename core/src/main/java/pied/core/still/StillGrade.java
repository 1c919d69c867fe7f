package pied.core.still;

/** How good a picture is to be. */
public enum StillGrade {
  /** In half as many dots each way, to see what it will be. */
  draft(2, 1, 0),
  good(1, 8, 0.03),
  /** As good as one can tell, all light followed to its end. */
  fine(1, 256, 0.01);

  /** Dots of the picture for one of the film, each way. */
  final int coarse;

  /** Most paths of a dot. */
  final int paths;

  /** A square is done when its noise is less, of its light; 0 for never before its paths. */
  final double noise;

  StillGrade(int coarse, int paths, double noise) {
    this.coarse = coarse;
    this.paths = paths;
    this.noise = noise;
  }
}
