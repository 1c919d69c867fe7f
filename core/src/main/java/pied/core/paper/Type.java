package pied.core.paper;

/** How wide type is, about: enough to keep texts clear of one another. */
final class Type {
  private Type() {}

  /** Width of a text, in the unit of its size. */
  static double width(String text, double size) {
    double em = 0;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c == 'i' || c == 'l' || c == 'j' || c == '.' || c == ',' || c == '\'' || c == '|') {
        em += 0.28;
      } else if (c == ' ' || c == 't' || c == 'f' || c == 'r' || c == '-') {
        em += 0.36;
      } else if (c == 'm' || c == 'w' || c == 'M' || c == 'W') {
        em += 0.88;
      } else {
        em += Character.isUpperCase(c) ? 0.68 : 0.57;
      }
    }
    return em * size;
  }

  /** As much of a text as has room, with dots where it ends. */
  static String fitting(String text, double size, double room) {
    if (width(text, size) <= room) {
      return text;
    }
    String s = text;
    while (s.length() > 1 && width(s + "…", size) > room) {
      s = s.substring(0, s.length() - 1);
    }
    return s.stripTrailing() + "…";
  }
}
