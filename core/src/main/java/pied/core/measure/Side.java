package pied.core.measure;

import pied.core.size.Measure;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/** The six sides of a piece, by its own directions; left and right as one looks at its front. */
public enum Side {
  left(-1, 0, 0, "on its left"),
  right(1, 0, 0, "on its right"),
  front(0, 0, 1, "in front of it"),
  back(0, 0, -1, "behind it"),
  top(0, 1, 0, "above it"),
  under(0, -1, 0, "below it");

  private final Vec outward;
  private final String words;

  Side(double x, double y, double z, String words) {
    outward = new Vec(x, y, z);
    this.words = words;
  }

  /**
   * The side of this name.
   *
   * @throws Refusal if there is none
   */
  public static Side of(String name) {
    for (Side s : values()) {
      if (s.name().equals(name)) {
        return s;
      }
    }
    throw new Refusal("“{}” is no distance that is shown.", name);
  }

  /** Direction out of this side, in the piece's own frame. */
  public Vec outward() {
    return outward;
  }

  public String words() {
    return words;
  }

  /** The measure from this side to the one opposite. */
  public Measure measure() {
    return switch (this) {
      case left, right -> Measure.width;
      case front, back -> Measure.depth;
      case top, under -> Measure.height;
    };
  }

  /** What it is called: "its left side", "its underside". */
  public String called() {
    return switch (this) {
      case left, right -> name() + " side";
      case under -> "underside";
      default -> name();
    };
  }

  public Side opposite() {
    return switch (this) {
      case left -> right;
      case right -> left;
      case front -> back;
      case back -> front;
      case top -> under;
      case under -> top;
    };
  }

  /** Middle of this side of a box of this size standing at zero. */
  public Vec middle(Size s) {
    return new Vec(
        outward.x() * s.width() / 2,
        s.height() / 2 * (1 + outward.y()),
        outward.z() * s.depth() / 2);
  }
}
