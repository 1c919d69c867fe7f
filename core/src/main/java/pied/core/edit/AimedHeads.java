package pied.core.edit;

import java.util.List;
import java.util.Objects;
import pied.core.lighting.LampSources;
import pied.core.piece.Piece;
import pied.core.recipe.Head;

/** The heads of lanterns look at what they are aimed at, wherever that and they are now. */
final class AimedHeads {
  private AimedHeads() {}

  static void follow(EditSession session) {
    for (Piece p : session.space().pieces()) {
      if (p.lamp().aim() != null || p.lamp().head() != null) {
        Head head = LampSources.head(session.space(), p);
        if (!Objects.equals(head, p.lamp().head())) {
          session.follows(p.id());
          session.alter(List.of(p.id()), q -> q.withLamp(q.lamp().withHead(head)));
        }
      }
    }
  }
}
