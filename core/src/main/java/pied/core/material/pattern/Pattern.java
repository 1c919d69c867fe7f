package pied.core.material.pattern;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;

/**
 * What a material shows at every place of it. It repeats without an end: what is at x is also at x
 * plus its width, and likewise upward. It is a function of the place alone, so that everybody who
 * asks gets the same.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "of")
@JsonSubTypes({
  @JsonSubTypes.Type(value = Grain.class, name = "grain"),
  @JsonSubTypes.Type(value = Boards.class, name = "boards"),
  @JsonSubTypes.Type(value = Herringbone.class, name = "herringbone"),
  @JsonSubTypes.Type(value = Chevron.class, name = "chevron"),
  @JsonSubTypes.Type(value = Basket.class, name = "basket"),
  @JsonSubTypes.Type(value = Courses.class, name = "courses"),
  @JsonSubTypes.Type(value = Hexagons.class, name = "hexagons"),
  @JsonSubTypes.Type(value = Weave.class, name = "weave"),
  @JsonSubTypes.Type(value = Mottle.class, name = "mottle"),
  @JsonSubTypes.Type(value = Cells.class, name = "cells"),
  @JsonSubTypes.Type(value = Veins.class, name = "veins"),
  @JsonSubTypes.Type(value = Stripes.class, name = "stripes"),
  @JsonSubTypes.Type(value = Sprigs.class, name = "sprigs"),
  @JsonSubTypes.Type(value = Lattice.class, name = "lattice"),
  @JsonSubTypes.Type(value = Streaks.class, name = "streaks")
})
public sealed interface Pattern
    permits Blocks, Square, Grain, Courses, Hexagons, Weave, Stripes, Sprigs, Lattice {

  /** How wide one repeat is, metres. */
  double width();

  /** How high one repeat is, metres. */
  double height();

  /**
   * How wide what one counts in it is: a plank, a tile, a stripe, metres. Typing another makes all
   * of it larger or smaller.
   */
  default double unit() {
    return width();
  }

  /** How wide the joints are as it comes, metres; 0 where it has none. */
  default double joint() {
    return 0;
  }

  /** How many dots its tile is wide: enough for what is finest in it. */
  default int dots() {
    return 256;
  }

  /** Whether light falls on it as on something uneven; else it is printed. */
  default boolean uneven() {
    return true;
  }

  /** Whether it is rougher in some places than in others. */
  default boolean variesInRoughness() {
    return false;
  }

  /** Whether it has holes one looks through. */
  default boolean holes() {
    return false;
  }

  /**
   * The lines by which one draws it: joints of one repeat without their width.
   *
   * @return x1, y1, x2, y2 each, to the right and upward, metres; none where nothing is drawn of it
   */
  default List<double[]> lines() {
    return List.of();
  }

  /**
   * What is at a place.
   *
   * @param x to the right from where it begins, metres, from 0 up to the width
   * @param y upward, metres, from 0 up to the height
   * @param joint how wide the joints are, metres
   * @param out where it is written
   */
  void at(double x, double y, double joint, Spot out);
}
