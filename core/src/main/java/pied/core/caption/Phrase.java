package pied.core.caption;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.Map;

/**
 * A part of the caption.
 *
 * @param text what is read
 * @param label what it is, for a tooltip and for those who listen; null for plain text
 * @param edit for a field or a swatch: the edit that typing into it makes, lacking one value
 * @param slot where in that edit the typed text goes, with dots between names
 * @param piece for a word: the piece it names, so that a click can select it
 * @param colour for a swatch: its colour
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Phrase(
    Kind kind,
    String text,
    String label,
    Map<String, Object> edit,
    String slot,
    String piece,
    String colour) {
  /** Sorts of phrases. */
  public enum Kind {
    text,
    field,
    word,
    swatch
  }

  static Phrase text(String text) {
    return new Phrase(Kind.text, text, null, null, null, null, null);
  }

  static Phrase field(String text, String label, String slot, Map<String, Object> edit) {
    return new Phrase(Kind.field, text, label, edit, slot, null, null);
  }

  static Phrase word(String text, String piece) {
    return new Phrase(Kind.word, text, null, null, null, piece, null);
  }

  static Phrase swatch(String part, String colour, Map<String, Object> edit) {
    return new Phrase(Kind.swatch, part, part, edit, "colour", null, colour);
  }
}
