package pied.core;

import java.util.Set;

/** Names that tell things apart. */
public final class Names {
  private Names() {}

  /** The name itself, or with the first number from 2 behind it that is not taken. */
  public static String free(String name, Set<String> taken) {
    return free(name, 1, taken);
  }

  /**
   * The same, where some numbers are known to be taken.
   *
   * @param from the first to be tried; 1 for the name itself
   */
  public static String free(String name, int from, Set<String> taken) {
    if (from <= 1 && !taken.contains(name)) {
      return name;
    }
    int n = Math.max(2, from);
    while (taken.contains(name + " " + n)) {
      n++;
    }
    return name + " " + n;
  }

  /** The number behind a name that {@link #free} made of another; 1 for none. */
  public static int number(String free, String name) {
    return free.equals(name) ? 1 : Integer.parseInt(free.substring(name.length() + 1));
  }

  /** The name without a number behind it. */
  public static String bare(String name) {
    return name.replaceAll(" \\d+$", "");
  }
}
