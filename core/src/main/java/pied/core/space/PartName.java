package pied.core.space;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Set;
import pied.core.piece.On;
import pied.core.solid.Body;
import pied.core.solid.Named;

/**
 * What a part of the shell is known by, and its body; as text "floor", "wall:A", "opening:door 1".
 *
 * @param id of the part among those of its kind; empty for what there is one of
 */
public record PartName(PartKind kind, String id) implements Named {
  /** Sorts of parts. */
  public enum PartKind {
    floor,
    ceiling,
    auditorium,
    /** of the outline, or a partition */
    wall,
    skirting,
    opening,
    column,
    platform,
    flight,
    bar,
    /** of the outline, by its number from 0; it has no body */
    corner,
    /** none that there is */
    other
  }

  public static final PartName FLOOR = new PartName(PartKind.floor, "");
  public static final PartName CEILING = new PartName(PartKind.ceiling, "");
  public static final PartName AUDITORIUM = new PartName(PartKind.auditorium, "");

  private static final Set<PartKind> SINGLE =
      Set.of(PartKind.floor, PartKind.ceiling, PartKind.auditorium);

  /** The name that this is the text of; of the kind {@link PartKind#other} if it is none. */
  @JsonCreator
  public static PartName read(String text) {
    int colon = text.indexOf(':');
    String kind = colon < 0 ? text : text.substring(0, colon);
    for (PartKind k : PartKind.values()) {
      if (k != PartKind.other && k.name().equals(kind) && SINGLE.contains(k) == colon < 0) {
        return new PartName(k, text.substring(colon < 0 ? text.length() : colon + 1));
      }
    }
    return new PartName(PartKind.other, text);
  }

  /** The part that a body is; null if it is a piece. */
  public static PartName of(Body body) {
    return body.name() instanceof PartName p ? p : null;
  }

  /** Whether a body is a part of one of these kinds. */
  public static boolean is(Body body, PartKind... kinds) {
    if (body.name() instanceof PartName p) {
      for (PartKind k : kinds) {
        if (p.kind == k) {
          return true;
        }
      }
    }
    return false;
  }

  public static PartName wall(String name) {
    return new PartName(PartKind.wall, name);
  }

  public static PartName skirting(String wall) {
    return new PartName(PartKind.skirting, wall);
  }

  public static PartName opening(String id) {
    return new PartName(PartKind.opening, id);
  }

  public static PartName corner(int number) {
    return new PartName(PartKind.corner, String.valueOf(number));
  }

  /** What it is as a carrier; of an opening or a column the floor. */
  public On carrier() {
    return switch (kind) {
      case ceiling -> On.CEILING;
      case wall, skirting -> On.wall(id);
      case bar -> On.bar(id);
      case platform, flight -> On.platform(id);
      default -> On.FLOOR;
    };
  }

  @Override
  @JsonValue
  public String text() {
    return kind == PartKind.other
        ? id
        : SINGLE.contains(kind) ? kind.name() : kind.name() + ":" + id;
  }

  @Override
  public String toString() {
    return text();
  }
}
