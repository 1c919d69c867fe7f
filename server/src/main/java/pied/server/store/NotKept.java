package pied.server.store;

/** Something could not be kept for good; the message says why and what to do, for the person. */
public final class NotKept extends RuntimeException {
  private static final long serialVersionUID = 1;
  private final boolean full;

  public NotKept(String why, boolean full, Throwable cause) {
    super(why, cause);
    this.full = full;
  }

  /** Whether it is for want of room on the disk. */
  public boolean full() {
    return full;
  }
}
