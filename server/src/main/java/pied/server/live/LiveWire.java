package pied.server.live;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Offer;
import pied.core.piece.Piece;
import pied.server.space.SpaceWire.Aside;
import pied.server.space.SpaceWire.Changed;

/** What goes over the live channel. The web client's types are generated from it. */
public final class LiveWire {
  private LiveWire() {}

  /** What goes from the server to a window. */
  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "is")
  @JsonSubTypes({
    @JsonSubTypes.Type(value = Present.class, name = "present"),
    @JsonSubTypes.Type(value = Done.class, name = "done"),
    @JsonSubTypes.Type(value = CarryAnswer.class, name = "answer"),
    @JsonSubTypes.Type(value = Carried.class, name = "carried"),
    @JsonSubTypes.Type(value = PutAside.class, name = "aside")
  })
  public sealed interface Message {}

  /** The revision of the space as a line begins: what happened before is read anew. */
  public record Present(long revision) implements Message {}

  /** What was done. */
  public record Done(Changed changed) implements Message {}

  /** The space was removed, or (null) brought back. */
  public record PutAside(@Nullable Aside aside) implements Message {}

  /** A question of one who carries something; the newest answer counts. */
  public record CarryQuestion(long ask, String unit, pied.core.carry.CarryAsk carry) {}

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
      @Nullable pied.core.carry.CarryResult carry,
      String refused,
      List<Offer> offers)
      implements Message {}

  /** What somebody else carries in the same space; empty once it is put down. */
  public record Carried(String carrier, List<Piece> carried) implements Message {}
}
