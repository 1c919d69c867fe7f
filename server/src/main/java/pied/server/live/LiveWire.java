package pied.server.live;

import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Offer;
import pied.core.piece.Piece;

/** What goes over the live channel. The web client's types are generated from it. */
public final class LiveWire {
  private LiveWire() {}

  /** A question of one who carries something; the newest answer counts. */
  public record CarryQuestion(long ask, String unit, pied.core.carry.Question carry) {}

  /**
   * What is answered.
   *
   * @param revision of the space it was answered in
   * @param carry null if the question was refused as a whole
   * @param offers what can be done then
   */
  public record CarryAnswer(
      long answer,
      long revision,
      @Nullable pied.core.carry.Answer carry,
      String refused,
      List<Offer> offers) {}

  /** What somebody else carries in the same space; empty once it is put down. */
  public record Carried(String carrier, List<Piece> carried) {}
}
