package pied.core.edit;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import pied.core.Nullable;
import pied.core.solid.Vec;

/**
 * One thing done to a space, as data with its rule; each in the room of its tool. Pieces are named
 * by id. An edit has its name on it, and what no tool of the register brings cannot come in.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "do")
@JsonInclude(JsonInclude.Include.NON_NULL)
public interface Edit {
  /**
   * Makes it, on the working copy.
   *
   * @throws pied.core.units.Refusal if it cannot be done; the working copy is worthless then
   */
  void make(EditSession session);

  /** A line of sight. */
  record Sight(Vec from, Vec along) {}

  /** Why it is not done to parts of the shell; as in {@link WhyNot}. */
  default String ofParts() {
    return WhyNot.PIECES;
  }

  /** A point of the plan, metres. */
  record PlanPoint(@Nullable Amount x, @Nullable Amount z) {}

  /**
   * New measures; what is missing stays.
   *
   * @param whole one entry for all of it, as it is typed without choosing a measure: a factor is of
   *     all three, "0.42 x 0.42 x 0.66" is each of them, and a length alone the width
   */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record Measures(
      @Nullable Amount width,
      @Nullable Amount depth,
      @Nullable Amount height,
      @Nullable Amount whole) {
    public Measures(@Nullable Amount width, @Nullable Amount depth, @Nullable Amount height) {
      this(width, depth, height, null);
    }
  }

  /**
   * A place read from the datum, or a way to go; what is missing stays. On a stage one may say it
   * in its words, each of which takes the place of x or z.
   */
  record Place3(
      @Nullable Amount x,
      @Nullable Amount y,
      @Nullable Amount z,
      @Nullable Amount stageLeft,
      @Nullable Amount stageRight,
      @Nullable Amount upstage,
      @Nullable Amount downstage) {
    public Place3(Amount x, Amount y, Amount z) {
      this(x, y, z, null, null, null, null);
    }

    /** The same, with every minus a sign. */
    public Place3 absolute() {
      return new Place3(
          Amount.absolute(x),
          Amount.absolute(y),
          Amount.absolute(z),
          Amount.absolute(stageLeft),
          Amount.absolute(stageRight),
          Amount.absolute(upstage),
          Amount.absolute(downstage));
    }
  }
}
