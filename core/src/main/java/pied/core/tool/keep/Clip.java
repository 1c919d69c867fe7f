package pied.core.tool.keep;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import pied.core.edit.EditSession;
import pied.core.piece.Keeping;
import pied.core.piece.Piece;
import pied.core.space.Group;
import pied.core.space.Space;
import pied.core.tool.keep.Paste.Bundle;
import pied.core.tool.keep.Paste.PastedPiece;
import pied.core.units.Refusal;

/**
 * Pieces as they are held ready to be pasted, here or in another space.
 *
 * @param pieces those that were chosen, in their order, after all that stands on them
 * @param groups the groups they are in, and those about these
 */
public record Clip(List<PastedPiece> pieces, List<Bundle> groups) {
  /**
   * @param chosen ids of pieces, the lead last
   * @throws Refusal if none was chosen, or one is not there
   */
  public static Clip of(Space space, List<String> chosen) {
    if (EditSession.need(chosen, "pieces").isEmpty()) {
      throw new Refusal("Nothing is selected that could be copied.");
    }
    chosen.forEach(space::piece); // says which is not there
    Set<String> all = new LinkedHashSet<>(space.carriedBy(Set.copyOf(chosen)));
    all.addAll(chosen);
    List<Piece> pieces = all.stream().map(space::piece).toList();
    Set<String> groups = new LinkedHashSet<>();
    pieces.forEach(p -> groups.addAll(space.filing().about(p.keeping().group())));
    return new Clip(
        pieces.stream().map(Clip::piece).toList(),
        groups.stream().map(space.filing()::group).map(Clip::bundle).toList());
  }

  private static PastedPiece piece(Piece p) {
    Keeping k = p.keeping();
    return new PastedPiece(
        p.id(),
        p.article(),
        p.name(),
        p.size(),
        p.form().mirrored(),
        p.form().stretched(),
        p.at(),
        p.turn(),
        p.stance().lean(),
        p.on(),
        p.attached(),
        p.finishes(),
        k.layer(),
        k.group());
  }

  private static Bundle bundle(Group g) {
    return new Bundle(g.id(), g.name(), g.in());
  }
}
