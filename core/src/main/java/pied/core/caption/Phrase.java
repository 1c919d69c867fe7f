package pied.core.caption;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.Map;

/**
 * A part of the caption.
 *
 * @param text what is read
 * @param label what it is, for a tooltip and for those who listen; null for plain text
 * @param edit for a field or a swatch: the edit that typing into it makes, lacking one value; for
 *     an action: the edit it makes
 * @param slot where in that edit the typed text goes, with dots between names
 * @param piece for a word: the piece it names, so that a click can select it
 * @param part for a word: the part of the shell it names, likewise
 * @param colour for a swatch: its colour
 * @param options for a choice: what else it can be
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Phrase(
    Kind kind,
    String text,
    String label,
    Map<String, Object> edit,
    String slot,
    String piece,
    String part,
    String colour,
    List<Option> options) {
  /** Sorts of phrases. */
  public enum Kind {
    text,
    field,
    word,
    choice,
    action,
    swatch
  }

  /** One of several, and the edit that makes it so. */
  public record Option(String text, Map<String, Object> edit) {}

  private static Phrase of(Kind kind, String text, String label) {
    return new Phrase(kind, text, label, null, null, null, null, null, null);
  }

  static Phrase text(String text) {
    return of(Kind.text, text, null);
  }

  static Phrase field(String text, String label, String slot, Map<String, Object> edit) {
    return new Phrase(Kind.field, text, label, edit, slot, null, null, null, null);
  }

  static Phrase word(String text, String piece) {
    return new Phrase(Kind.word, text, null, null, null, piece, null, null, null);
  }

  static Phrase part(String text, String part) {
    return new Phrase(Kind.word, text, null, null, null, null, part, null, null);
  }

  static Phrase choice(String text, String label, List<Option> options) {
    return new Phrase(Kind.choice, text, label, null, null, null, null, null, options);
  }

  static Phrase action(String text, Map<String, Object> edit) {
    return new Phrase(Kind.action, text, null, edit, null, null, null, null, null);
  }

  static Phrase swatch(String part, String colour, Map<String, Object> edit) {
    return new Phrase(Kind.swatch, part, part, edit, "colour", null, null, colour, null);
  }
}
