package pied.core.space;

import pied.core.piece.On;

/** How carriers are called in sentences. */
final class CarrierNames {
  private CarrierNames() {}

  static String of(Space space, On on) {
    return switch (on.kind()) {
      case floor -> space.shell().stage() == null ? "the floor" : "the stage floor";
      case ceiling -> space.nameOf(PartName.CEILING);
      case wall -> space.nameOf(PartName.wall(on.id()));
      case platform -> space.nameOf(space.shell().platformOrFlight(on.id()));
      case bar -> space.nameOf(new PartName(PartName.PartKind.bar, on.id()));
      case opening -> space.nameOf(PartName.opening(on.id()));
      case piece -> space.piece(on.id()).name();
      case held, nothing -> "nothing";
    };
  }
}
