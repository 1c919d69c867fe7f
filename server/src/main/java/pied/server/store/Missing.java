package pied.server.store;

/** Something asked for is not there; in a sentence. */
public final class Missing extends RuntimeException {
  private static final long serialVersionUID = 1;

  public Missing(String what) {
    super(what);
  }
}
