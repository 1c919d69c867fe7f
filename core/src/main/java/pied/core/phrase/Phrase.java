package pied.core.phrase;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Blank;
import pied.core.edit.Edit;
import pied.core.material.Appearance;
import pied.core.material.Finish;
import pied.core.material.FinishWords;

/** A part of a caption: what is read there, and what one can do with it. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
  @JsonSubTypes.Type(value = Phrase.PhraseText.class, name = "text"),
  @JsonSubTypes.Type(value = Phrase.PhraseField.class, name = "field"),
  @JsonSubTypes.Type(value = Phrase.PhraseWord.class, name = "word"),
  @JsonSubTypes.Type(value = Phrase.PhraseChoice.class, name = "choice"),
  @JsonSubTypes.Type(value = Phrase.PhraseMore.class, name = "more"),
  @JsonSubTypes.Type(value = Phrase.PhraseSetting.class, name = "setting"),
  @JsonSubTypes.Type(value = Phrase.PhraseAction.class, name = "action"),
  @JsonSubTypes.Type(value = Phrase.PhraseSwatch.class, name = "swatch"),
})
@JsonInclude(JsonInclude.Include.NON_NULL)
public sealed interface Phrase {
  /** What is read. */
  String text();

  /** Words to be read only. */
  record PhraseText(String text) implements Phrase {}

  /**
   * A value that can be typed anew.
   *
   * @param label what it is, for a tooltip and for those who listen
   * @param hint what may be typed, to be read as one begins to type; null where any number may
   * @param fixed whether it is as it is, and the hint says why
   */
  record PhraseField(String text, String label, Blank blank, @Nullable String hint, boolean fixed)
      implements Phrase {}

  /**
   * A name.
   *
   * @param piece that it names, so that a click can select it; or null
   * @param part of the shell that it names, likewise
   */
  record PhraseWord(String text, @Nullable String piece, @Nullable String part) implements Phrase {}

  /**
   * What it is of several things.
   *
   * @param options all that it can be
   */
  record PhraseChoice(String text, String label, List<Option> options) implements Phrase {}

  /**
   * What else can be said of it; it is no part of the sentence.
   *
   * @param options all that can be
   */
  record PhraseMore(String text, String label, List<Option> options) implements Phrase {}

  /** The sentence that is read, without what can only be pressed. */
  static String said(List<Phrase> phrases) {
    StringBuilder all = new StringBuilder();
    for (Phrase p : phrases) {
      if (!(p instanceof PhraseMore) && !(p instanceof PhraseAction)) {
        all.append(p.text());
      }
    }
    return all.toString().strip();
  }

  /** One of several, and the edit that makes it so. */
  record Option(String text, Edit edit) {}

  /**
   * How one goes about with it: it changes nothing by itself.
   *
   * @param name of what is set, as a handling has it
   * @param values what it can be set to; none: a mark of the box
   */
  record PhraseSetting(String text, String label, String name, List<PhraseValue> values)
      implements Phrase {}

  /** One of several things it can be set to. */
  record PhraseValue(String text, String value) {}

  /** Something to do. */
  record PhraseAction(String text, Edit edit) implements Phrase {}

  /**
   * How a part looks, that can be chosen anew.
   *
   * @param text what the part is called
   * @param words what it is made of
   * @param colour as #RRGGBB
   * @param sample where a picture of it is had; null where its colour says it all
   * @param pieces whose part it is; null for one of the shell
   * @param part key of the part
   * @param blank takes a colour
   */
  record PhraseSwatch(
      String text,
      String words,
      String colour,
      @Nullable String sample,
      @Nullable List<String> pieces,
      String part,
      Blank blank)
      implements Phrase {}

  // ---- made in fewer words

  static Phrase text(String text) {
    return new PhraseText(text);
  }

  static Phrase field(String text, String label, String slot, Edit edit) {
    return field(text, label, slot, edit, null);
  }

  static Phrase field(String text, String label, String slot, Edit edit, @Nullable String hint) {
    return new PhraseField(text, label, new Blank(edit, slot), hint, false);
  }

  static Phrase fixed(String text, String label, String slot, Edit edit, String why) {
    return new PhraseField(text, label, new Blank(edit, slot), why, true);
  }

  static Phrase word(String text, String piece) {
    return new PhraseWord(text, piece, null);
  }

  static Phrase part(String text, String part) {
    return new PhraseWord(text, null, part);
  }

  /**
   * How a part looks.
   *
   * @param pieces whose part it is; null for one of the shell
   * @param shown complete
   * @param edit whose "colour" is typed
   */
  static Phrase swatch(
      String name, @Nullable List<String> pieces, String part, Finish shown, Edit edit) {
    return new PhraseSwatch(
        name,
        FinishWords.of(shown),
        shown.colour(),
        Appearance.sample(shown),
        pieces,
        part,
        new Blank(edit, "colour"));
  }
}
