package pied.server.space;

import com.fasterxml.jackson.databind.JsonNode;
import pied.core.piece.Piece;
import pied.server.store.Json;

/** Pieces as versions before wrote them. */
public final class OldPieces {
  private OldPieces() {}

  public static Piece read(JsonNode piece) {
    return Json.value(piece, StoredChange.Furnishing.class).live();
  }
}
