package pied.core.space;

/** A part of a shell that is built into it and can be altered and taken away by itself. */
public sealed interface Part permits Opening, Partition, Column, Platform, Flight, Bar {
  /** Known by this among those of its kind, such as "column 1". */
  String id();

  /** What its body is known by. */
  PartName name();

  /**
   * Looks whether it can be built.
   *
   * @throws pied.core.Refusal if not, in words
   */
  void check(ShellCheck check);
}
