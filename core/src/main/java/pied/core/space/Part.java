package pied.core.space;

import java.util.List;
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
