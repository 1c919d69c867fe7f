package pied.server.space;

import java.util.Collection;
import java.util.List;
import pied.core.Nullable;
import pied.core.drawing.ShellPlan;
import pied.core.edit.Edit;
import pied.core.edit.Offer;
import pied.core.phrase.Phrase;
import pied.core.piece.Piece;
import pied.core.point.Drawn;
import pied.core.point.Pointed;
import pied.core.point.Pull;
import pied.core.propose.Understood;
import pied.core.register.Begin;
import pied.server.space.MeasuringWire.ReachView;
import pied.server.space.SpaceWire.By;
import pied.server.space.SpaceWire.Changed;

/**
 * What goes over the wire about what would be: questions and proposals, and sentences. The web
 * client's types are generated from it.
 */
public final class ProposalWire {
  private ProposalWire() {}

  /**
   * What is asked before it is done: of edits, of a verb, or of a sentence, one of the three.
   *
   * @param layer id of the layer on which new pieces come
   * @param edits that are tried, or are proposed already
   * @param begin a verb that begins
   * @param text a sentence
   * @param pieces that are selected: a verb or a sentence is for them, the lead last
   * @param point what was clicked: alters the one edit, or is what the verb begins with
   * @param pull a piece of the one edit that is pulled
   * @param back whether the last point that was clicked is taken back
   * @param inHand whether it is about what is pulled or put in: then one is told its caption and
   *     its free distances
   */
  public record ProposeRequest(
      @Nullable String unit,
      @Nullable String layer,
      @Nullable List<Edit> edits,
      @Nullable Begin begin,
      @Nullable String text,
      @Nullable List<String> pieces,
      @Nullable Pointed point,
      @Nullable Pull pull,
      @Nullable Boolean back,
      @Nullable Boolean inHand) {}

  /**
   * What would be, before it is done: the one answer to whatever is asked. Its edits, sent with its
   * ids, do what is shown.
   *
   * @param revision of the space it was tried in
   * @param edits it means; none if a sentence cannot be read
   * @param ids of what they make, in the order in which they make it
   * @param shown what they lead to, in a few letters; null if they cannot be made, and of what is
   *     in hand
   * @param words what is proposed or was understood, to be read, typed into and chosen from; of
   *     what is in hand, the caption it would have
   * @param changed pieces as they would be, put in or altered
   * @param removed ids of pieces that would not be there
   * @param selected ids of the pieces that are selected once it is done
   * @param next with what a sentence could go on
   * @param at where it could be read up to
   * @param wrong why it cannot be read on from there
   * @param refused why it cannot be done
   * @param wanting whether it is refused only since something is still to be clicked
   * @param pointing what can be clicked and pulled
   * @param reach free distances of the piece in hand, as it would be
   * @param plan the plan of the shell, if that would be another one
   * @param part of the shell that would be built or altered
   */
  public record Proposal(
      long revision,
      List<Edit> edits,
      List<String> ids,
      @Nullable String shown,
      List<Phrase> words,
      Collection<Piece> changed,
      Collection<String> removed,
      List<String> said,
      List<String> selected,
      List<Understood.SayNext> next,
      int at,
      @Nullable String wrong,
      @Nullable String refused,
      List<Offer> offers,
      boolean wanting,
      @Nullable PointingView pointing,
      List<ReachView> reach,
      @Nullable ShellPlan plan,
      @Nullable String part) {}

  /**
   * What can be done to a proposal on a drawing.
   *
   * @param hint in words
   * @param pulls whether its pieces can be pulled
   * @param back whether a point can be taken back
   * @param drawn what was clicked
   */
  public record PointingView(String hint, boolean pulls, boolean back, @Nullable Drawn drawn) {}

  /**
   * A sentence, or a text of sentences.
   *
   * @param id of the request; sent twice it is done once
   * @param unit of bare numbers in it; m if left out
   * @param layer id of the layer on which new pieces come
   * @param pieces it is about, the lead last
   */
  public record SayRequest(
      @Nullable String id,
      @Nullable String unit,
      @Nullable String layer,
      @Nullable By by,
      String text,
      @Nullable List<String> pieces) {}

  /**
   * What was said is done.
   *
   * @param selected ids of what it made, or was about
   * @param understood each sentence in other words
   */
  public record Said(Changed changed, List<String> selected, List<String> understood) {}
}
