package pied.core.paper;

import java.util.List;
import pied.core.units.Refusal;

/**
 * A size of paper, lying on its long side (ISO 216).
 *
 * @param width and height, millimetres
 */
public record Paper(String name, double width, double height) {
  public static final List<Paper> ALL =
      List.of(
          new Paper("A4", 297, 210),
          new Paper("A3", 420, 297),
          new Paper("A2", 594, 420),
          new Paper("A1", 841, 594),
          new Paper("A0", 1189, 841));

  /** Scales at which drawings are made, the largest first: 10 is 1:10. */
  public static final List<Integer> SCALES = List.of(10, 20, 25, 50, 100, 200);

  /**
   * The size of this name.
   *
   * @throws Refusal if there is none
   */
  public static Paper of(String name) {
    return ALL.stream()
        .filter(p -> p.name.equalsIgnoreCase(name))
        .findFirst()
        .orElseThrow(
            () -> new Refusal("“{}” is not a size of paper; use A4, A3, A2, A1 or A0.", name));
  }
}
