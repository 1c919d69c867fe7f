package pied.core.carry;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import pied.core.Nullable;
import pied.core.material.Finishes;
import pied.core.measure.Side;
import pied.core.place.Target;
import pied.core.size.Size;
import pied.core.solid.Vec;
import pied.core.space.Spot;
import pied.core.space.Validity;
import pied.core.units.Refusal;

/**
 * What one asks while carrying. A question stands for itself: it is answered the same however one
 * came there.
 *
 * @param pieces what is carried, the lead last; what stands on them comes along
 * @param article instead: a new piece of this article
 * @param size of the new piece; null for its natural size
 * @param finishes of the new piece that differ from its own; may be null
 * @param copy whether copies are carried and the pieces stay
 * @param picked the point of the space where it was picked up, which follows the pointer; null for
 *     the middle of its underside
 * @param since instead: what the pointer pointed at when it was picked up; it moves by what that
 *     moves. May be null
 * @param at what the pointer points at: a point of the plan,
 * @param ray or a line of sight
 * @param level whether the sight is that of an elevation or a section, in whose plane it is carried
 * @param down so many levels below the topmost on the plan: shelf boards, the floor
 * @param near so near something holds, metres; 0 for nothing holds
 * @param free whether it goes through things
 * @param each whether each comes to rest for itself
 * @param tops whether it goes onto whatever carries, and not only where it stands by habit
 * @param meet whether and how its mark, the nearest to where it was picked up, goes exactly to the
 *     mark, the edge or the face that is pointed at; null for not
 * @param against the side that goes flat onto the face that is pointed at; null for none
 * @param keep the one direction it is kept to; null for any
 * @param turn by which it is turned, degrees; null while nobody has turned it: a new piece that
 *     stands with its back to walls turns to the wall that is near, then
 * @param typed a number that was typed; null for none
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record CarryAsk(
    @Nullable List<String> pieces,
    @Nullable String article,
    @Nullable Size size,
    @Nullable Finishes finishes,
    boolean copy,
    @Nullable Vec picked,
    @Nullable Since since,
    @Nullable Spot at,
    @Nullable CarrySight ray,
    boolean level,
    int down,
    double near,
    boolean free,
    boolean each,
    boolean tops,
    @Nullable CarryMeet meet,
    @Nullable Side against,
    @Nullable CarryKeep keep,
    @Nullable Double turn,
    @Nullable CarryTyped typed) {

  /** Most pieces in one hand: as many as a space holds. */
  public static final int MOST = 20_000;

  /** A line of sight. */
  public record CarrySight(Vec from, Vec along) {}

  /** What the pointer pointed at: a point of the plan, or a line of sight. */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  public record Since(@Nullable Spot at, @Nullable CarrySight ray, boolean level) {
    public Since {
      if ((at == null) == (ray == null) || at != null && !Validity.near(at.at(0))) {
        throw new Refusal("Say what the pointer pointed at when it was picked up.");
      }
      if (ray != null) {
        Validity.sight(ray.from(), ray.along());
      }
    }
  }

  /** By how much it is turned by hand, degrees. */
  double by() {
    return turn == null ? 0 : turn;
  }

  /** The same, picked up at a point. */
  CarryAsk withPicked(@Nullable Vec point) {
    return new CarryAsk(
        pieces, article, size, finishes, copy, point, null, at, ray, level, down, near, free, each,
        tops, meet, against, keep, turn, typed);
  }

  /** As it was when it was picked up: with the pointer there, held by nothing. */
  CarryAsk begun() {
    return new CarryAsk(
        pieces,
        article,
        size,
        finishes,
        copy,
        null,
        null,
        since.at(),
        since.ray(),
        since.level(),
        0,
        0,
        true,
        false,
        tops,
        null,
        null,
        null,
        0.0,
        null);
  }

  /**
   * A number that was typed.
   *
   * @param slot of the measure that is meant: "moved", a side, "underside", "upperside" or "turn"
   * @param way for "moved": the direction, of length 1
   */
  public record CarryTyped(String slot, String text, @Nullable Vec way) {}

  /** How mark meets mark. */
  public enum CarryMeet {
    /** turned as it is */
    mark("mark to mark"),
    /**
     * turned, no more than needed, so that one of its sides there lies flat against a face there
     */
    faces("mark to mark, faces meeting"),
    /** turned, no more than needed, so that one of its edges there runs along an edge there */
    edges("mark to mark, edges together");

    private final String words;

    CarryMeet(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** One direction that a carry is kept to. */
  public enum CarryKeep {
    along("along the wall"),
    away("away from the wall"),
    across("across"),
    deep("deep"),
    height("up and down");

    private final String words;

    CarryKeep(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** What is pointed at. */
  Target target() {
    return at != null
        ? new Target.OnPlan(at)
        : new Target.TargetSight(ray.from(), ray.along().unit());
  }

  /** Pieces carried on the plan. */
  public static CarryAsk onPlan(List<String> pieces, Spot at, double near) {
    return new CarryAsk(
        pieces, null, null, null, false, null, null, at, null, false, 0, near, false, false, false,
        null, null, null, null, null);
  }

  /** Pieces put onto one of the surfaces over a point of the plan, so many from the top. */
  public static CarryAsk onLevel(List<String> pieces, Spot at, int down) {
    return new CarryAsk(
        pieces, null, null, null, false, null, null, at, null, false, down, 0, false, false, false,
        null, null, null, null, null);
  }

  /** Pieces carried in the plane of a level drawing, held by nothing. */
  public static CarryAsk level(List<String> pieces, CarrySight sight) {
    return new CarryAsk(
        pieces, null, null, null, false, null, null, null, sight, true, 0, 0, false, false, false,
        null, null, null, null, null);
  }

  public CarryAsk {
    if (pieces != null && pieces.stream().anyMatch(java.util.Objects::isNull)) {
      throw new Refusal("One of the pieces that are carried has no id.");
    }
    pieces = pieces == null ? List.of() : List.copyOf(pieces);
    if (pieces.isEmpty() == (article == null)) {
      throw new Refusal("Say which pieces are carried, or of which article a new one is.");
    }
    if ((at == null) == (ray == null)) {
      throw new Refusal("Say what the pointer points at: a point of the plan or a line of sight.");
    }
    if (ray != null) {
      Validity.sight(ray.from(), ray.along());
    }
    boolean lost =
        at != null && !Validity.near(at.at(0))
            || picked != null && !Validity.near(picked)
            || turn != null && !(Math.abs(turn) <= 1e5);
    if (lost) {
      throw new Refusal("The pointer points nowhere.");
    }
    if (typed != null && (typed.slot() == null || typed.text() == null)) {
      throw new Refusal("Say what was typed, and for which measure.");
    }
    if (pieces.size() > MOST) {
      throw new Refusal("No more than {} pieces can be carried at once.", MOST);
    }
    near = near > 0 ? Math.min(near, 0.5) : 0;
    down = Math.max(0, down);
  }
}
