package pied.core.space;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.solid.Vec;

/** Where pieces are that are repeated: in a row, along a path, around something, strewn about. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "as")
@JsonSubTypes({
  @JsonSubTypes.Type(value = Rule.Row.class, name = "row"),
  @JsonSubTypes.Type(value = Rule.Trail.class, name = "trail"),
  @JsonSubTypes.Type(value = Rule.Ring.class, name = "ring"),
  @JsonSubTypes.Type(value = Rule.Scatter.class, name = "scatter"),
})
public sealed interface Rule {
  /** The same somewhere else. */
  Rule moved(Motion m);

  /** What they are called: row, trail, ring, scatter. */
  String called();

  /**
   * A distance from one to the next.
   *
   * @param by metres
   * @param middles whether between middles, and not between sides
   */
  record Apart(double by, boolean middles) {}

  /** Which way pieces on a path or around something look. */
  enum Facing {
    /** Along the path. */
    along,
    /** Into the room; toward what they are around. */
    inward,
    outward,
    /** All the same way. */
    fixed
  }

  /**
   * A row, or rows behind one another, and over one another.
   *
   * @param at where the first is
   * @param turn of all of them, degrees
   * @param way from one to the next, level or up, of length 1
   * @param count in a row; how many fit where there is a length
   * @param length metres from end to end that are filled; null to go by the count
   * @param evened whether the gaps grow until the length is just filled
   * @param rows behind the first, each as far behind as it says
   * @param tiers over one another
   * @param staggered whether every other row is half a place to the side
   */
  @RecordBuilder
  record Row(
      Vec at,
      double turn,
      Vec way,
      int count,
      Apart apart,
      @Nullable Double length,
      boolean evened,
      int rows,
      Apart rowsApart,
      int tiers,
      Apart tiersApart,
      boolean staggered)
      implements Rule, RuleRowBuilder.With {
    @Override
    public Row moved(Motion m) {
      return withAt(m.of(at)).withTurn(turn + m.turn()).withWay(m.direct(way));
    }

    @Override
    public String called() {
      return rows > 1 || tiers > 1 ? "block" : "row";
    }
  }

  /**
   * Along a path.
   *
   * @param path its corners on the plan
   * @param closed whether it ends where it begins
   * @param along what it was taken from, such as "wall A"; null if it was drawn
   * @param count how many; null to go by the distance
   * @param apart from one to the next; null to go by the count
   * @param spaced whether both hold: that many, so far apart, from where it begins; else they are
   *     spread over all of it where there is a count
   * @param offset from the path to the sides of the pieces, to its right as one looks at the plan
   *     and goes along; middles on the path where it is null
   * @param turn degrees; of all if they face the same way, else more than that
   * @param high at which they are, or from which they come to rest, metres
   */
  @RecordBuilder
  record Trail(
      List<Spot> path,
      boolean closed,
      @Nullable String along,
      @Nullable Integer count,
      @Nullable Apart apart,
      boolean spaced,
      @Nullable Double offset,
      Facing facing,
      double turn,
      double high)
      implements Rule, RuleTrailBuilder.With {
    public Trail {
      path = List.copyOf(path);
    }

    @Override
    public Trail moved(Motion m) {
      double t = facing == Facing.fixed ? turn + m.turn() : turn;
      return withPath(path.stream().map(m::of).toList()).withTurn(t);
    }

    @Override
    public String called() {
      return "trail";
    }
  }

  /**
   * Around something.
   *
   * @param at its middle on the plan
   * @param around the name of the piece, and id; null for a point
   * @param outline of that on the plan, convex; none for a point
   * @param gap to the outline, or to the point, metres, on the plan
   * @param radius from the middle to the places instead, metres; null to go by the gap
   * @param from where it begins, degrees as a turn, seen from the middle
   * @param arc degrees that it reaches over; 360 for all around
   * @param turn degrees; as for a trail
   * @param high as for a trail
   */
  @RecordBuilder
  record Ring(
      Spot at,
      @Nullable String around,
      List<Spot> outline,
      int count,
      double gap,
      @Nullable Double radius,
      Facing facing,
      double from,
      double arc,
      double turn,
      double high)
      implements Rule, RuleRingBuilder.With {
    public Ring {
      outline = List.copyOf(outline);
    }

    @Override
    public Ring moved(Motion m) {
      double t = facing == Facing.fixed ? turn + m.turn() : turn;
      return withAt(m.of(at))
          .withOutline(outline.stream().map(m::of).toList())
          .withFrom(from + m.turn())
          .withTurn(t);
    }

    @Override
    public String called() {
      return "ring";
    }
  }

  /**
   * Strewn about, none nearer to another than need be.
   *
   * @param onto ids of the pieces on which they lie; none for the floor
   * @param outline on the floor that holds them; none for all of the floor
   * @param about the point they gather about; null for none
   * @param radius how far from that they reach, metres
   * @param count how many are wanted
   * @param density how many to the square metre instead; null to go by the count
   * @param least gap between any two, metres
   * @param turn degrees of all of them
   * @param turning by how much each is turned more or less than that at most, degrees
   * @param sizing by how much each is larger or smaller at most; 0.1 for a tenth
   * @param off least gap to all that is there, metres
   * @param seed another one strews them otherwise
   */
  @RecordBuilder
  record Scatter(
      List<String> onto,
      List<Spot> outline,
      @Nullable Spot about,
      double radius,
      int count,
      @Nullable Double density,
      double least,
      double turn,
      double turning,
      double sizing,
      double off,
      long seed)
      implements Rule, RuleScatterBuilder.With {
    public Scatter {
      onto = List.copyOf(onto);
      outline = List.copyOf(outline);
    }

    @Override
    public Scatter moved(Motion m) {
      return withAbout(about == null ? null : m.of(about))
          .withOutline(outline.stream().map(m::of).toList())
          .withTurn(turn + m.turn());
    }

    @Override
    public String called() {
      return "scatter";
    }
  }
}
