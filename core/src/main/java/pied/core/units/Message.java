package pied.core.units;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.function.Function;

/**
 * A sentence that is written where nobody knows yet in which unit it will be read: what kind of
 * sentence it is, and what it is about. It becomes words at the edge, by {@link #in}.
 *
 * @param code its text with a gap, {@code {}}, for each argument: always the same for the same kind
 *     of message, so that a program can tell one from another
 * @param arguments what goes into the gaps, in order: texts, whole numbers, lengths, and messages
 */
public record Message(String code, List<Object> arguments) {
  private static final String GAP = "{}";

  /**
   * A length in a message.
   *
   * @param withUnit whether its unit stands with it; "0.40 to 0.60 m" has it once
   */
  public record MessageLength(double metres, boolean withUnit) {
    /** As it is read in a unit. */
    public String in(LengthUnit unit) {
      String text = unit.fine(metres);
      // feet and inches have their signs in them
      return withUnit && unit != LengthUnit.FT ? text + " " + unit.sign() : text;
    }
  }

  public Message {
    arguments = arguments.stream().map(Message::argument).toList();
  }

  /** What may change later is taken as it is now. */
  private static Object argument(Object a) {
    boolean lasts =
        a instanceof MessageLength
            || a instanceof Message
            || a instanceof Integer
            || a instanceof Long;
    return lasts ? a : String.valueOf(a);
  }

  /**
   * A message.
   *
   * @param text with a gap for each argument; without arguments it is the whole of it
   */
  public static Message of(String text, Object... arguments) {
    return new Message(text, Arrays.asList(arguments));
  }

  /** A length, metres, with its unit. */
  public static MessageLength length(double metres) {
    return new MessageLength(metres, true);
  }

  /** A length, metres, without its unit, where one with it follows. */
  public static MessageLength bare(double metres) {
    return new MessageLength(metres, false);
  }

  /** Several as one, with something between them. */
  public static Message join(String between, List<?> all) {
    List<Object> parts = new ArrayList<>(all);
    return new Message(String.join(between, Collections.nCopies(all.size(), GAP)), parts);
  }

  /** The sentence as it is read in a unit. */
  public String in(LengthUnit unit) {
    return written(l -> l.in(unit));
  }

  /** The sentence with its lengths written in some way. */
  public String written(Function<MessageLength, String> lengths) {
    if (arguments.isEmpty()) {
      return code;
    }
    StringBuilder words = new StringBuilder();
    int from = 0;
    for (Object a : arguments) {
      int gap = code.indexOf(GAP, from);
      if (gap < 0) {
        throw new IllegalStateException("More arguments than gaps: " + code);
      }
      words.append(code, from, gap).append(read(a, lengths));
      from = gap + GAP.length();
    }
    return words.append(code, from, code.length()).toString();
  }

  private static String read(Object a, Function<MessageLength, String> lengths) {
    if (a instanceof MessageLength l) {
      return lengths.apply(l);
    }
    return a instanceof Message m ? m.written(lengths) : a.toString();
  }

  /** What goes into the gaps as it is read in a unit, in order. */
  public List<String> argumentsIn(LengthUnit unit) {
    return arguments.stream().map(a -> read(a, l -> l.in(unit))).toList();
  }

  /** Read in metres. */
  @Override
  public String toString() {
    return in(LengthUnit.M);
  }
}
