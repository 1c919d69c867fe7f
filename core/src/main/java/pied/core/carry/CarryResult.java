package pied.core.carry;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.solid.Vec;

/**
 * Where what is carried is now.
 *
 * @param pieces all that is carried, where they would be put down
 * @param lead id of the one that follows the pointer
 * @param size of the lead, width × depth × height in the unit asked for
 * @param on what would carry the lead
 * @param place where that is, in words: "on Service counter, 0.92 high"
 * @param levels how many surfaces there are over one another at the point of the plan
 * @param mark where the mark is that is nearest to where it was picked up
 * @param start where it was when picked up; null for a new piece
 * @param way the direction in which it is moved, of length 1; null if it has not moved
 * @param turn by which it is turned, degrees
 * @param measures the distances to show, in the order in which one goes through them
 * @param snaps what holds it
 * @param stopped what it was stopped by, in words; empty for nothing
 * @param refused why it cannot be put down here; empty if it can
 * @param said all of this as a sentence, in parts
 * @param ways to choose from, where a distance was typed and it is not known which way; else none
 */
@RecordBuilder
public record CarryResult(
    List<Piece> pieces,
    String lead,
    String size,
    On on,
    String place,
    int levels,
    Vec mark,
    @Nullable Vec start,
    @Nullable Vec way,
    double turn,
    List<CarryMeasure> measures,
    List<CarrySnap> snaps,
    String stopped,
    String refused,
    List<CarriedWords> said,
    List<CarriedWay> ways)
    implements CarryResultBuilder.With {

  /** What a part of the sentence is. */
  public enum CarryTone {
    /** what is carried */
    name,
    text,
    /** a measure, which can be typed */
    number,
    /** how many surfaces there are to choose from */
    levels,
    /** the switches that are on */
    how,
    stopped,
    snapped
  }

  /**
   * A part of the sentence.
   *
   * @param slot for a number: which
   */
  public record CarriedWords(CarryTone tone, String text, @Nullable String slot) {}

  /**
   * A way to go.
   *
   * @param way of length 1
   */
  public record CarriedWay(String words, Vec way) {}

  /**
   * A distance.
   *
   * @param slot "moved", a side, "underside", "upperside" or "turn"
   * @param value metres; of a turn degrees
   * @param text in the unit asked for
   * @param words what it is: "to wall C behind it"
   * @param from where its line begins; null for none
   */
  public record CarryMeasure(
      String slot, double value, String text, String words, @Nullable Vec from, @Nullable Vec to) {}

  /**
   * Something that holds.
   *
   * @param from the line that shows it; null for none
   */
  public record CarrySnap(String words, @Nullable Vec from, @Nullable Vec to) {}
}
