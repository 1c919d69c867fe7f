package pied.core.edit;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import java.util.Map;
import pied.core.carry.Question;
import pied.core.measure.Side;
import pied.core.solid.Vec;

/** One thing done to a space, as data. Pieces are named by id. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "do")
@JsonSubTypes({
  @JsonSubTypes.Type(value = Edit.Place.class, name = "place"),
  @JsonSubTypes.Type(value = Edit.PutDown.class, name = "putDown"),
  @JsonSubTypes.Type(value = Edit.MoveBy.class, name = "moveBy"),
  @JsonSubTypes.Type(value = Edit.MoveTo.class, name = "moveTo"),
  @JsonSubTypes.Type(value = Edit.SetDistance.class, name = "setDistance"),
  @JsonSubTypes.Type(value = Edit.Settle.class, name = "settle"),
  @JsonSubTypes.Type(value = Edit.SettleOnto.class, name = "settleOnto"),
  @JsonSubTypes.Type(value = Edit.Beside.class, name = "beside"),
  @JsonSubTypes.Type(value = Edit.Level.class, name = "level"),
  @JsonSubTypes.Type(value = Edit.Attach.class, name = "attach"),
  @JsonSubTypes.Type(value = Edit.Turn.class, name = "turn"),
  @JsonSubTypes.Type(value = Edit.Resize.class, name = "size"),
  @JsonSubTypes.Type(value = Edit.Rename.class, name = "rename"),
  @JsonSubTypes.Type(value = Edit.Recolour.class, name = "recolour"),
  @JsonSubTypes.Type(value = Edit.Copy.class, name = "copy"),
  @JsonSubTypes.Type(value = Edit.Remove.class, name = "remove"),
  @JsonSubTypes.Type(value = Edit.LeanOver.class, name = "lean"),
  @JsonSubTypes.Type(value = Edit.BringIn.class, name = "bringIn"),
  @JsonSubTypes.Type(value = ShellEdit.Outline.class, name = "outline"),
  @JsonSubTypes.Type(value = ShellEdit.MoveCorner.class, name = "moveCorner"),
  @JsonSubTypes.Type(value = ShellEdit.AddCorner.class, name = "addCorner"),
  @JsonSubTypes.Type(value = ShellEdit.RemoveCorner.class, name = "removeCorner"),
  @JsonSubTypes.Type(value = ShellEdit.MoveWall.class, name = "moveWall"),
  @JsonSubTypes.Type(value = ShellEdit.WallLength.class, name = "wallLength"),
  @JsonSubTypes.Type(value = ShellEdit.WallThickness.class, name = "wallThickness"),
  @JsonSubTypes.Type(value = ShellEdit.Build.class, name = "build"),
  @JsonSubTypes.Type(value = ShellEdit.Rows.class, name = "seats"),
  @JsonSubTypes.Type(value = ShellEdit.SetOpening.class, name = "opening"),
  @JsonSubTypes.Type(value = ShellEdit.SetPartition.class, name = "partition"),
  @JsonSubTypes.Type(value = ShellEdit.SetColumn.class, name = "column"),
  @JsonSubTypes.Type(value = ShellEdit.SetPlatform.class, name = "platform"),
  @JsonSubTypes.Type(value = ShellEdit.SetFlight.class, name = "flight"),
  @JsonSubTypes.Type(value = ShellEdit.SetBar.class, name = "bar"),
  @JsonSubTypes.Type(value = ShellEdit.ShiftPart.class, name = "shift"),
  @JsonSubTypes.Type(value = ShellEdit.RemoveParts.class, name = "removeParts"),
  @JsonSubTypes.Type(value = ShellEdit.SetDatum.class, name = "datum"),
  @JsonSubTypes.Type(value = ShellEdit.Paint.class, name = "paint"),
})
@JsonInclude(JsonInclude.Include.NON_NULL)
public interface Edit {
  /** A line of sight. */
  record Sight(Vec from, Vec along) {}

  /** A point of the plan, metres. */
  record PlanPoint(Amount x, Amount z) {}

  /** New measures; what is missing stays. */
  record Measures(Amount width, Amount depth, Amount height) {}

  /**
   * A place read from the datum, or a way to go; what is missing stays. On a stage one may say it
   * in its words, each of which takes the place of x or z.
   */
  record Place3(
      Amount x,
      Amount y,
      Amount z,
      Amount stageLeft,
      Amount stageRight,
      Amount upstage,
      Amount downstage) {
    public Place3(Amount x, Amount y, Amount z) {
      this(x, y, z, null, null, null, null);
    }
  }

  /**
   * Puts an article into the space, by its mounting, at a point of the plan or where a sight meets
   * something.
   *
   * @param piece id for the new piece, or null to have one made
   * @param turn degrees, or null for the usual
   */
  record Place(
      String piece,
      String article,
      Measures size,
      PlanPoint at,
      Sight ray,
      Amount turn,
      String name,
      Map<String, String> finishes)
      implements Edit {}

  /**
   * Puts down what is carried, where it was last seen.
   *
   * @param piece id for a new piece, or null to have one made
   */
  record PutDown(Question carry, String piece) implements Edit {}

  /**
   * Moves pieces across (x), up (y) and deep (z); what they carry goes along.
   *
   * @param stops true: what stands stops at what is in the way; up and down it goes to the next
   *     surface there is
   */
  record MoveBy(List<String> pieces, Place3 by, Boolean stops) implements Edit {
    public MoveBy(List<String> pieces, Place3 by) {
      this(pieces, by, null);
    }
  }

  /** Moves one piece to a place read from the datum. */
  record MoveTo(String piece, Place3 to) implements Edit {}

  /** Moves one piece so that a side of it is so far from what is next that way. */
  record SetDistance(String piece, Side side, Amount distance) implements Edit {}

  /** Lets pieces come to rest: down onto what is beneath, or up out of what they are sunk in. */
  record Settle(List<String> pieces) implements Edit {}

  /**
   * Lets pieces come to rest on one thing, wherever they are: kept apart from one another and moved
   * sideways no more than needed.
   *
   * @param onto the piece that is to carry them; null for the floor
   */
  record SettleOnto(List<String> pieces, String onto) implements Edit {}

  /**
   * Sets pieces beside the lead, which is the last of them and stays; one after the other.
   *
   * @param side of the lead; top for above
   * @param gap between the sides; null for none
   * @param flush the sides that are in one line: front or back; null for the middles
   * @param stay true: in the other direction they stay where they are
   */
  record Beside(List<String> pieces, Side side, Amount gap, Side flush, Boolean stay)
      implements Edit {}

  /**
   * Brings pieces to the height of the lead, the last of them.
   *
   * @param side top, or under, which is to be level
   */
  record Level(List<String> pieces, Side side) implements Edit {}

  /**
   * Attaches pieces to another where they are, so that they go where it goes; null: takes them off.
   */
  record Attach(List<String> pieces, String to) implements Edit {}

  /** Turns pieces about their own middles, to an angle or by one. */
  record Turn(List<String> pieces, Amount to, Amount by) implements Edit {}

  /**
   * Gives pieces a size.
   *
   * @param hold the side that stays where it is; null: a side that touches something stays, else
   *     the middle; and the underside (of what hangs, the top)
   */
  record Resize(List<String> pieces, Measures size, Side hold) implements Edit {}

  /** Names a piece. */
  record Rename(String piece, String name) implements Edit {}

  /** Gives a finish part of pieces a colour, or with null its own again. */
  record Recolour(List<String> pieces, String part, String colour) implements Edit {}

  /** Copies pieces with all they carry; null for the usual place beside. */
  record Copy(List<String> pieces, Place3 by) implements Edit {}

  /**
   * Leans pieces over.
   *
   * @param toward direction from a piece's own front, degrees; null for the one it has
   * @param by degrees out of the upright; null for what it has
   * @param withFloor true: so that it stands square on the floor beneath, be it raked
   */
  record LeanOver(List<String> pieces, Amount toward, Amount by, Boolean withFloor)
      implements Edit {}

  /** Brings pieces that lie outside to the nearest free place inside. */
  record BringIn(List<String> pieces) implements Edit {}

  /** Removes pieces; what they carried comes to rest on what is beneath. */
  record Remove(List<String> pieces) implements Edit {}
}
