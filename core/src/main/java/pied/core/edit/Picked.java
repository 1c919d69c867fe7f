package pied.core.edit;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.solid.Body;
import pied.core.solid.Box;
import pied.core.space.Opening;
import pied.core.space.PartName;
import pied.core.space.Space;
import pied.core.units.Refusal;

/**
 * What an edit is for: pieces, and parts of the shell, each once. A part is named by the text of
 * its {@link PartName}.
 *
 * @param pieces ids, the lead last
 */
public record Picked(List<String> pieces, List<PartName> parts) {
  public Picked {
    pieces = List.copyOf(pieces);
    parts = List.copyOf(parts);
  }

  /**
   * Finds what is named. A group may be named in place of all that is in it.
   *
   * @throws Refusal if nothing was named, something is not there, or more than a space holds
   */
  static Picked of(Space space, List<String> ids) {
    if (ids == null || ids.isEmpty()) {
      throw new Refusal("No piece was named.");
    }
    if (ids.size() > EditSession.MOST_PIECES) {
      throw new Refusal(
          "A space holds at most {} pieces; more were named.", EditSession.MOST_PIECES);
    }
    Set<String> pieces = new LinkedHashSet<>();
    Set<PartName> parts = new LinkedHashSet<>();
    for (String id : ids) {
      if (space.has(id)) {
        pieces.add(id);
      } else if (space.filing().group(id) != null) {
        pieces.addAll(space.members(id));
        parts.addAll(space.filing().partsIn(id));
      } else if (isBuilt(space, id)) {
        parts.add(PartName.read(id));
      } else {
        space.piece(id); // says that it is not there
      }
    }
    return new Picked(List.copyOf(pieces), List.copyOf(parts));
  }

  /** Whether a text names a part that is built into the shell. */
  public static boolean isPart(Space space, String id) {
    return id != null && id.indexOf(':') > 0 && space.shell().part(PartName.read(id)) != null;
  }

  /** Whether a text names something of the shell, also a wall or a corner of its outline. */
  static boolean isBuilt(Space space, String id) {
    return id != null
        && id.indexOf(':') > 0
        && space.shell().partNames().contains(PartName.read(id));
  }

  /** The upright box about all of it, with what sits in walls where its hole is. */
  public Box box(Space space) {
    Stream<Box> of = pieces.stream().map(space::piece).map(p -> box(space, p));
    Stream<Box> built = parts.stream().map(p -> box(space, p));
    return Stream.concat(of, built).reduce(Box::union).orElseThrow();
  }

  private static Box box(Space space, Piece p) {
    return p.pose().box(space.shapes().mesh(p).box());
  }

  private static Box box(Space space, PartName name) {
    if (space.shell().part(name) instanceof Opening o) {
      double[] all =
          o.corners(space.shell()).stream()
              .flatMapToDouble(v -> DoubleStream.of(v.x(), v.y(), v.z()))
              .toArray();
      return Box.around(all);
    }
    return space.shellBodies().stream()
        .filter(b -> name.equals(b.name()))
        .map(Body::box)
        .findFirst()
        .orElseThrow();
  }

  /** Whether only pieces are meant. */
  public boolean onlyPieces() {
    return parts.isEmpty();
  }

  /** Ids of the pieces that stand on, hang from or sit in some parts, but not what those carry. */
  public static List<String> carriedBy(Space space, List<PartName> parts) {
    List<String> on = new ArrayList<>();
    if (!parts.isEmpty()) {
      Set<PartName> all = Set.copyOf(parts);
      for (Piece p : space.pieces()) {
        if (all.contains(carrier(space, p.on()))) {
          on.add(p.id());
        }
      }
    }
    return on;
  }

  private static PartName carrier(Space space, On on) {
    return switch (on.kind()) {
      case wall -> PartName.wall(on.id());
      case platform -> space.shell().platformOrFlight(on.id());
      case bar -> new PartName(PartName.PartKind.bar, on.id());
      case opening -> PartName.opening(on.id());
      default -> PartName.FLOOR;
    };
  }
}
