package pied.core.check;

import java.util.ArrayList;
import java.util.List;
import pied.core.catalog.Mounting;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.place.Resting;
import pied.core.place.Support;
import pied.core.solid.Body;
import pied.core.space.Space;
import pied.core.space.Spot;

/**
 * Something wrong with a piece.
 *
 * @param words a sentence that says what
 */
public record Snag(String piece, Kind kind, String words) {
  /** Sorts of snags. */
  public enum Kind {
    hovers,
    overlaps,
    outside,
    unstable
  }

  /** All snags of a space, in the order of its pieces; two that overlap are named once. */
  public static List<Snag> of(Space space) {
    List<Snag> snags = new ArrayList<>();
    for (Piece p : space.pieces()) {
      On on = Resting.of(space, p).carrier(p.pose());
      boolean inWall = on.kind() == On.Kind.opening;
      if (!inWall && !space.shell().holds(new Spot(p.at().x(), p.at().z()))
          || p.at().y() + p.size().height() < 0
          || p.at().y() > space.shell().height()) {
        snags.add(new Snag(p.id(), Kind.outside, p.name() + " is outside the room."));
        continue;
      }
      if (on.equals(On.NOTHING)) {
        snags.add(new Snag(p.id(), Kind.hovers, p.name() + hovering(space.article(p).mounting())));
      }
      boolean raised = on.kind() == On.Kind.piece || on.kind() == On.Kind.platform;
      boolean free = space.article(p).mounting() == Mounting.STANDS && !p.held();
      if (free && raised && !Support.stable(space, p)) {
        snags.add(
            new Snag(
                p.id(),
                Kind.unstable,
                p.name() + " would tip off " + space.nameOf(on) + ": its middle is not over it."));
      }
      for (Body other :
          space
              .bodies()
              .overlapping(
                  space.shapes().mesh(p),
                  p.pose(),
                  Resting.CONTACT,
                  b ->
                      !b.id().equals(p.id())
                          && (!space.has(b.id()) || b.id().compareTo(p.id()) > 0))) {
        snags.add(
            new Snag(
                p.id(), Kind.overlaps, p.name() + " overlaps " + space.nameOf(other.id()) + "."));
      }
    }
    return snags;
  }

  private static String hovering(Mounting mounting) {
    return switch (mounting) {
      case STANDS -> " stands on nothing.";
      case WALL -> " does not touch a wall.";
      case HANGS -> " does not reach the ceiling.";
      case OPENING -> " does not sit in an opening.";
    };
  }
}
