package pied.core.edit;

/** Why something is not done to parts of the shell, to follow “Platform 1 is built in: ”. */
public final class WhyNot {
  /** Where nothing better can be said. */
  public static final String PIECES = "this is done to pieces alone";

  /** Of what turns. */
  public static final String TURNED = "it is turned only where its sentence names a direction";

  /** Of what sizes. */
  public static final String SIZED = "its measures are typed in its own sentence";

  /** Of what brings something to rest. */
  public static final String RESTS = "it stays where it is built, and what is on it goes with it";

  /** Of what gives a colour or a finish. */
  public static final String LOOKS = "its colour is chosen on the leaf Shell";

  /** Of mirroring. */
  public static final String MIRRORED = "make a twin of it instead";

  /** Of what puts an article in its place. */
  public static final String ARTICLE = "it is no article of the catalog";

  private WhyNot() {}
}
