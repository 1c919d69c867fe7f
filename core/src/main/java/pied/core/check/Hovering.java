package pied.core.check;

import java.util.List;
import pied.core.catalog.Mounting;
import pied.core.piece.On;
import pied.core.piece.Piece;
import pied.core.space.Space;
import pied.core.tool.move.HoldThere;
import pied.core.tool.move.Settle;

/** What touches nothing that could carry it. */
final class Hovering implements PieceCheck.Glance {
  @Override
  public List<Snag> of(Space space, Piece p, On on) {
    if (!on.equals(On.NOTHING) || p.on().equals(On.HELD_SO)) {
      return List.of();
    }
    Mounting mounting = space.article(p).mounting();
    Remedy remedy =
        mounting == Mounting.OPENING
            ? null
            : new Remedy("Let it come to rest", List.of(new Settle(List.of(p.id()))));
    String words = p.name() + words(mounting);
    Remedy silence =
        p.on().held()
            ? new Remedy("It is meant to be so", List.of(new HoldThere(List.of(p.id()))))
            : null;
    return List.of(new Snag(p.id(), Snag.SnagKind.hovers, words, null, remedy, silence));
  }

  private static String words(Mounting mounting) {
    return switch (mounting) {
      case STANDS -> " stands on nothing.";
      case WALL -> " does not touch a wall.";
      case HANGS -> " does not reach the ceiling.";
      case OPENING -> " does not sit in an opening.";
    };
  }
}
