package pied.core.propose;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Supplier;
import pied.core.Nullable;
import pied.core.caption.Caption;
import pied.core.edit.Edit;
import pied.core.edit.Edits;
import pied.core.edit.Ids;
import pied.core.edit.Outcome;
import pied.core.edit.Picked;
import pied.core.phrase.Phrase;
import pied.core.piece.Piece;
import pied.core.point.Pointed;
import pied.core.register.Pointing;
import pied.core.register.Sentences;
import pied.core.say.Ask;
import pied.core.select.Afterwards;
import pied.core.space.Difference.OfPiece;
import pied.core.space.Space;
import pied.core.units.Deadline;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/**
 * The one answer to every {@link Question}: the edits it means, and what would come of them. Made
 * with the same ids on the same space, the edits lead to the same, so that what is done is what was
 * shown.
 *
 * @param understood the edits, in words, with what could be typed next
 * @param ids of what the edits make, in the order in which they make it
 * @param outcome what would come of them; null if there are none, or they are refused
 * @param refused why they cannot be made; null if they can
 * @param selected ids of the pieces that are selected once it is done
 */
public record Proposal(
    Understood understood,
    List<String> ids,
    @Nullable Outcome outcome,
    @Nullable Refusal refused,
    List<String> selected) {

  /**
   * Answers a question; whatever cannot be done is said in the answer.
   *
   * @param layer id of the layer on which new pieces come; null for the first
   * @param newId makes ids for what is new
   */
  public static Proposal of(
      Space space,
      Question q,
      LengthUnit unit,
      @Nullable String layer,
      Supplier<String> newId,
      Deadline deadline) {
    List<String> about =
        q.pieces().stream().filter(id -> space.has(id) || Picked.isPart(space, id)).toList();
    Understood u;
    try {
      u = understood(space, q, about, unit, newId);
    } catch (Refusal e) {
      List<Edit> asked = q.edits() == null ? List.of() : q.edits();
      return new Proposal(inWords(space, asked, unit), List.of(), null, e.in(unit), about);
    }
    if (u.edits().isEmpty()) {
      return new Proposal(u, List.of(), null, null, u.selected());
    }
    List<String> ids = new ArrayList<>();
    Supplier<String> noted = Ids.noted(u.ids(newId), ids);
    try {
      Outcome out =
          q.text() == null
              ? Edits.apply(space, u.edits(), unit, layer, noted, deadline)
              : Edits.apply(space, u.edits(), unit, layer, noted, deadline, u::called);
      List<String> before = q.text() == null ? about : u.selected();
      return new Proposal(
          u, ids, out, null, Afterwards.selected(out.space(), before, out.change()));
    } catch (Refusal e) {
      return new Proposal(u, List.of(), null, e, u.selected());
    }
  }

  private static Understood understood(
      Space space, Question q, List<String> about, LengthUnit unit, Supplier<String> newId) {
    if (q.text() != null) {
      return Say.understand(new Ask(space, about, unit, newId), q.text());
    }
    if (q.begin() != null) {
      return inWords(
          space, List.of(q.begin().edit(space, unit, q.pieces(), seen(space, q.point()))), unit);
    }
    List<Edit> edits = q.edits();
    List<Edit> meant = edits.size() == 1 ? List.of(pointed(space, unit, edits.get(0), q)) : edits;
    // what is in hand is said by its caption, at every move of the pointer
    return q.inHand() ? wordless(meant) : inWords(space, meant, unit);
  }

  private static @Nullable Pointed seen(Space space, @Nullable Pointed p) {
    return p == null ? null : p.seen(space);
  }

  private static Edit pointed(Space space, LengthUnit unit, Edit edit, Question q) {
    if (q.pull() != null) {
      return Pointing.pulled(space, unit, edit, q.pull());
    }
    if (q.point() != null) {
      return Pointing.at(space, unit, edit, q.point().seen(space));
    }
    return q.back() ? Pointing.back(edit) : edit;
  }

  private static Understood wordless(List<Edit> edits) {
    return new Understood(edits, List.of(), List.of(), List.of(), 0, null);
  }

  /** Edits, said as a sentence would; what no sentence says stays without words. */
  private static Understood inWords(Space space, List<Edit> edits, LengthUnit unit) {
    List<Phrase> words = edits.size() == 1 ? Sentences.write(space, edits.get(0), unit) : null;
    return new Understood(edits, words == null ? List.of() : words, List.of(), List.of(), 0, null);
  }

  /**
   * What is in hand while something is pulled or put in: the first piece that is new, or else the
   * first that is another; null for none, and where the shell is another, since what follows that
   * is not in hand.
   */
  public @Nullable Piece hand() {
    return outcome == null || outcome.change().shell()
        ? null
        : outcome
            .change()
            .pieces()
            .filter(d -> d.after() != null)
            .min(Comparator.comparing(OfPiece::altered))
            .map(OfPiece::piece)
            .orElse(null);
  }

  /**
   * The caption that what is in hand would have, or the part of the shell that is built.
   *
   * @param name of the space
   */
  public List<Phrase> caption(String name, LengthUnit unit) {
    if (outcome == null) {
      return List.of();
    }
    if (outcome.change().shell() && outcome.part() != null) {
      return Caption.of(outcome.space(), outcome.part(), unit);
    }
    Piece hand = hand();
    List<String> ids = hand == null ? List.of() : List.of(hand.id());
    return Caption.of(outcome.space(), name, ids, unit);
  }
}
