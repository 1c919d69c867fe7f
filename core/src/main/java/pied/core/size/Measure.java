package pied.core.size;

/** The three measures of a piece, in the order in which they are written. */
public enum Measure {
  width("wide"),
  depth("deep"),
  height("high");

  private final String words;

  Measure(String words) {
    this.words = words;
  }

  /** As after a number: "0.60 wide". */
  public String words() {
    return words;
  }

  public double of(Size s) {
    return switch (this) {
      case width -> s.width();
      case depth -> s.depth();
      case height -> s.height();
    };
  }

  /** The size with this measure instead. */
  public Size with(Size s, double v) {
    return new Size(
        this == width ? v : s.width(),
        this == depth ? v : s.depth(),
        this == height ? v : s.height());
  }
}
