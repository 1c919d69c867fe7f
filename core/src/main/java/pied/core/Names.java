package pied.core;

import java.util.Set;

/** Names that tell things apart. */
public final class Names {
  private Names() {}

  /** The name itself, or with the first number from 2 behind it that is not taken. */
  public static String free(String name, Set<String> taken) {
    if (!taken.contains(name)) {
      return name;
    }
    int n = 2;
    while (taken.contains(name + " " + n)) {
      n++;
    }
    return name + " " + n;
  }
}
