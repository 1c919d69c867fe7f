package pied.server.space;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pied.core.units.Message;

/**
 * What a step did, in words, as it is kept: one text in which a length, metres, stands between two
 * signs of the private use area of Unicode, which no text that comes in has.
 */
final class StoredWords {
  /** Longest that is kept, letters. */
  private static final int LONGEST = 1000;

  private static final Pattern LENGTH =
      Pattern.compile("\uE000([bl])(-?\\d{1,9}(?:\\.\\d{1,20})?(?:E-?\\d{1,3})?)\uE001");

  private StoredWords() {}

  static String write(Message m) {
    String words = m.written(l -> "\uE000" + (l.withUnit() ? "l" : "b") + l.metres() + "\uE001");
    return words.length() > LONGEST ? words.substring(0, LONGEST - 1) + "…" : words;
  }

  static Message read(String words) {
    List<Object> parts = new ArrayList<>();
    int from = 0;
    Matcher m = LENGTH.matcher(words);
    while (m.find()) {
      parts.add(words.substring(from, m.start()));
      double metres = Double.parseDouble(m.group(2));
      parts.add(m.group(1).equals("l") ? Message.length(metres) : Message.bare(metres));
      from = m.end();
    }
    parts.add(words.substring(from));
    return Message.join("", parts);
  }
}
