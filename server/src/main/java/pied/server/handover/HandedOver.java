package pied.server.handover;

/** Something about to be handed over: of a space, or of a project. */
interface HandedOver {
  Wanted wanted();

  /** The same for the same bytes. */
  String tag();

  /** How the file is called where it is kept. */
  String name();

  /** How many steps it takes, about. */
  int steps();
}
