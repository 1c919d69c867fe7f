package pied.core.units;

/** Texts that may be kept: whole letters, none that steer a machine, and not too many. */
public final class Text {
  /** Longest name of anything, letters. */
  public static final int LONGEST_NAME = 120;

  private Text() {}

  /** With its first letter a capital one. */
  public static String capital(String s) {
    return s.isEmpty() ? s : Character.toUpperCase(s.charAt(0)) + s.substring(1);
  }

  /**
   * A name as it is kept: without spaces around it.
   *
   * @param what it is the name of: "A piece"
   * @throws Refusal if it is none, in words
   */
  public static String name(String what, String name) {
    if (name == null || name.isBlank()) {
      throw new Refusal("{} needs a name of at least one letter.", what);
    }
    if (!whole(name)) {
      throw new Refusal("That name has half a letter in it, which cannot be kept; type it anew.");
    }
    if (name.length() > LONGEST_NAME) {
      throw new Refusal(
          "A name may have up to {} letters; this one has {}.", LONGEST_NAME, name.length());
    }
    String clean = clean(name).strip();
    if (clean.isEmpty()) {
      throw new Refusal("{} needs a name of at least one letter.", what);
    }
    return clean;
  }

  /**
   * Whether every letter is whole: no half of a surrogate pair, which has no form in UTF-8 (Unicode
   * 15, section 3.9, D91).
   */
  public static boolean whole(String text) {
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (Character.isHighSurrogate(c)
          && i + 1 < text.length()
          && Character.isLowSurrogate(text.charAt(i + 1))) {
        i++;
      } else if (Character.isSurrogate(c)) {
        return false;
      }
    }
    return true;
  }

  /**
   * The text with a stand-in for every half letter, and a space for everything that steers a
   * machine or the direction of what is read, and for signs of private use, which mean something
   * else to everybody.
   */
  public static String clean(String text) {
    StringBuilder b = new StringBuilder(text.length());
    text.codePoints()
        .forEach(
            c -> {
              boolean half = c >= Character.MIN_SURROGATE && c <= Character.MAX_SURROGATE;
              b.appendCodePoint(half ? 0xFFFD : steers(c) ? ' ' : c);
            });
    return b.toString();
  }

  /** As it came in, but without signs of private use and such as turn what is read about. */
  public static String readable(String text) {
    if (text.codePoints().noneMatch(Text::meansNothing)) {
      return text;
    }
    StringBuilder b = new StringBuilder(text.length());
    text.codePoints().filter(c -> !meansNothing(c)).forEach(b::appendCodePoint);
    return b.toString();
  }

  private static boolean steers(int c) {
    return Character.isISOControl(c) || meansNothing(c);
  }

  private static boolean meansNothing(int c) {
    return Character.getType(c) == Character.PRIVATE_USE
        || c >= 0x202A && c <= 0x202E
        || c >= 0x2066 && c <= 0x2069
        || (c & 0xFFFE) == 0xFFFE;
  }
}
