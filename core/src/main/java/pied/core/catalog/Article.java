package pied.core.catalog;

import java.util.List;
import java.util.Map;
import java.util.Set;
import pied.core.Nullable;
import pied.core.material.Finish;
import pied.core.material.FinishPart;
import pied.core.material.Finishes;
import pied.core.material.Look;
import pied.core.recipe.Buildable;
import pied.core.size.Measure;
import pied.core.size.Size;
import pied.core.units.Refusal;

/**
 * One entry of the catalog.
 *
 * @param kind branches from the general to the particular, with slashes
 * @param words other words people look for it by
 * @param about a rule of thumb about its size or use; may be empty
 * @param standsOn for what stands: "floor", "tops" or both
 * @param carries whether its upper faces may carry other pieces
 * @param usualUnderside for what is fixed to a wall: height of its underside above the floor at
 *     natural size, metres
 * @param usualMiddle likewise of its middle; the one that is not given is NaN
 * @param finishes its finish parts by key, in order
 * @param weight at natural size, kg; 0 if not known
 * @param cost of one at natural size, in whatever money; 0 if not known
 * @param supplier who it is had from; empty if not known
 * @param light null if it is no lamp
 * @param clearances the free room it needs
 * @param project the project that brought it in; null for what ships with Pied
 */
public record Article(
    String id,
    String name,
    String kind,
    List<String> words,
    String about,
    Mounting mounting,
    Set<String> standsOn,
    boolean carries,
    double usualUnderside,
    double usualMiddle,
    Size size,
    Sizing sizing,
    Map<String, FinishPart> finishes,
    double weight,
    double cost,
    String supplier,
    @Nullable Light light,
    List<Clearance> clearances,
    Buildable recipe,
    @Nullable String project) {
  /** What is no thicker than this is walked over, metres. */
  private static final double WALKED_OVER = 0.04;

  /** A ceiling as low as they are, from which what hangs is shown, metres. */
  private static final double OVERHEAD = 2.4;

  /** What is wider is large, metres. */
  private static final double LARGE = 0.5;

  /** Kinds of what is large and stands with its back to a wall. */
  private static final List<String> BACKED =
      List.of(
          "seating/sofas",
          "beds/beds",
          "storage/",
          "desks/",
          "kitchen/",
          "bath/toilets",
          "bath/basins",
          "tables/side");

  /** What is thinner has no thickness one would order, metres. */
  private static final double FLAT = 0.002;

  /** How high its underside is at natural size, where it is shown on its card, metres. */
  public double shownAt() {
    return switch (mounting) {
      case HANGS -> Math.max(0, OVERHEAD - size.height());
      case WALL ->
          Double.isNaN(usualMiddle)
              ? Double.isNaN(usualUnderside) ? 0 : usualUnderside
              : Math.max(0, usualMiddle - size.height() / 2);
      default -> 0;
    };
  }

  /** Whether it hangs by a length of its own: by a cord or a chain, or as cloth. */
  public boolean hangsByLength() {
    Sizing.SizingRule high = sizing.rule(Measure.height);
    return mounting == Mounting.HANGS && high.most() > high.least();
  }

  /** Whether it is cloth that hangs, whose hem may reach the floor. */
  public boolean hasHem() {
    return hangsByLength() && finishes.containsKey("cloth");
  }

  /**
   * Whether it can be made this size.
   *
   * @param name how it is called in the refusal
   * @throws pied.core.units.Refusal if not
   */
  public void check(String name, Size wanted) {
    sizing.check(name, wanted, size);
  }

  /** Whether it has next to nothing that way by nature, such as a cloth or a sheet of paper. */
  public boolean isFlat(Measure m) {
    return m.of(size) < FLAT;
  }

  /** The size nearest to one that it comes in. */
  public Size nearest(Size wanted) {
    return sizing.nearest(wanted, size);
  }

  /**
   * A finish for one of its parts, as it is kept.
   *
   * @throws pied.core.units.Refusal if it has no such part, or that is no finish
   */
  public Finish finish(String part, Finish finish) {
    natural(part);
    return finish.checked();
  }

  /**
   * How one of its parts looks as it comes.
   *
   * @throws pied.core.units.Refusal if it has no such part
   */
  public Finish natural(String part) {
    if (part == null || !finishes.containsKey(part)) {
      String shown = part == null ? "" : part.length() > 40 ? part.substring(0, 40) + "…" : part;
      throw new Refusal(
          "{} has no part “{}”; it has {}.", name, shown, String.join(", ", finishes.keySet()));
    }
    return finishes.get(part).finish();
  }

  /**
   * The same for several parts.
   *
   * @param own null for none
   */
  public Finishes finishes(@Nullable Finishes own) {
    return own == null ? Finishes.NONE : own.each(this::finish);
  }

  /** What one of its parts looks like on a piece with these finishes. */
  public Look look(String part, Finishes own) {
    FinishPart f = finishes.get(part);
    Look natural =
        f == null
            ? new Look(part, Finish.CARD, recipe.pictures().get(part))
            : new Look(f.name(), f.finish(), recipe.pictures().get(part));
    return natural.with(own.of(part));
  }

  /** What it weighs at a size, reckoned by the room it takes, kg; 0 if not known. */
  public double weight(Size at) {
    return weight * room(at) / room(size);
  }

  private static double room(Size s) {
    return s.width() * s.depth() * s.height();
  }

  public boolean standsOnTops() {
    return standsOn.contains("tops");
  }

  /**
   * Whether it is thin and lies flat on the floor, so that other things stand on it, or half on it.
   */
  public boolean liesFlat() {
    return mounting == Mounting.STANDS
        && !standsOnTops()
        && carries
        && size.height() <= WALKED_OVER;
  }

  /** Whether it is large and stands with its back to a wall, as a bed or a wardrobe does. */
  public boolean backsToWalls() {
    return mounting == Mounting.STANDS
        && !standsOnTops()
        && size.width() > LARGE
        && BACKED.stream().anyMatch(kind::startsWith);
  }

  /** Height of the underside above the floor when fixed to a wall at this height, metres. */
  public double usualHeight(double height) {
    return Double.isNaN(usualMiddle) ? usualUnderside : Math.max(0, usualMiddle - height / 2);
  }
}
