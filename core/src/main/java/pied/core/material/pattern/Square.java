package pied.core.material.pattern;

/** What repeats after the same length to the right and upward. */
sealed interface Square extends Pattern permits Mottle, Cells, Veins, Streaks {
  /** Of a repeat, metres. */
  double size();

  @Override
  default double width() {
    return size();
  }

  @Override
  default double height() {
    return size();
  }
}
