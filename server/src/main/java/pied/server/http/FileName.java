package pied.server.http;

/** Names of files that leave. */
public final class FileName {
  private FileName() {}

  /** A name as that of a file on any machine; another where nothing is left of it. */
  public static String of(String name, String otherwise) {
    String plain = name.replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]+", " ").strip();
    return plain.isEmpty() ? otherwise : plain;
  }
}
