package pied.core.space;

import java.util.List;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/** A part of a shell that is built into it and can be altered and taken away by itself. */
public sealed interface Part permits Opening, Partition, Column, Platform, Flight, Bar {
  /** Known by this among those of its kind, such as "column 1". */
  String id();

  /** What its body is known by. */
  PartName name();

  /**
   * Looks whether it can be built.
   *
   * @throws Refusal if not, in words
   */
  void check(ShellCheck check);

  /** A point that goes where it goes; null for what goes along a wall only. */
  @Nullable
  Vec anchor();

  /** The same under another id. */
  Part called(String other);

  /**
   * So far elsewhere; what sits in a wall goes along that.
   *
   * @throws Refusal if it cannot go up or down, and that is said
   */
  Part moved(Vec by, Shell shell);

  /**
   * As its twin is, under another id.
   *
   * @throws Refusal if there can be none
   */
  Part image(Twin by, Shell shell, String other);

  /** What it is called by in the words of the place: its sort, without a number. */
  default String sort() {
    return pied.core.Names.bare(id());
  }

  /** What stands on the floor goes neither up nor down. */
  private static void level(Part part, Vec by) {
    if (by.y() != 0) {
      throw new Refusal(
          "The {} stands on the floor and goes neither up nor down; type its height.", part.id());
    }
  }

  /** A point so far elsewhere, for what stands on the floor. */
  static Spot moved(Part part, Spot at, Vec by) {
    level(part, by);
    return tidy(at.plus(by.x(), by.z()));
  }

  /** The image of a point of the plan. */
  static Spot image(Twin by, Spot at) {
    Vec v = by.image(at.at(0));
    return tidy(new Spot(v.x(), v.z()));
  }

  /** Whether a line of twins runs straight across or straight deep, or they are turned. */
  static boolean square(Twin by) {
    return by.turned()
        || Math.abs(by.way().x()) < Tolerance.SAME
        || Math.abs(by.way().z()) < Tolerance.SAME;
  }

  /** Without the dust of the arithmetic. */
  static Spot tidy(Spot p) {
    return new Spot(tidy(p.x()), tidy(p.z()));
  }

  /** Without the dust of the arithmetic. */
  static double tidy(double v) {
    return Math.rint(v * 1e9) / 1e9 + 0.0;
  }

  /**
   * The part of this id.
   *
   * @throws Refusal if there is none
   */
  static <P extends Part> P find(List<P> all, String id) {
    return all.stream()
        .filter(p -> p.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new Refusal("There is no “{}” in this space.", id));
  }
}
