package pied.core.material.pattern;

/** What there is at one place of a pattern; written over by the next. */
public final class Spot {
  /** 0 for the first colour to 1 for the second. */
  double mix;

  /** How much lighter than its colour, as a power of e; 0 for the colour itself. */
  double light;

  /** How far it stands out, metres. */
  double height;

  /** How much rougher than the material on the whole. */
  double rough;

  /** Whether nothing is there. */
  boolean hole;

  void clear() {
    mix = 0;
    light = 0;
    height = 0;
    rough = 0;
    hole = false;
  }

  public double mix() {
    return mix;
  }

  public double light() {
    return light;
  }

  /** How far it stands out, metres. */
  public double height() {
    return height;
  }

  public boolean hole() {
    return hole;
  }

  /** A joint with a rounded edge: what is nearer to it than half of it is joint. */
  void joint(double away, double joint, double deep) {
    if (joint <= 0) {
      return;
    }
    double in = away - joint / 2;
    double ease = Math.max(joint / 2, deep);
    if (in < 0) {
      clear();
      mix = 1;
      height = -deep;
      rough = 0.15;
    } else if (in < ease) {
      double t = 1 - in / ease;
      height -= deep * t * t * 0.6;
    }
  }
}
