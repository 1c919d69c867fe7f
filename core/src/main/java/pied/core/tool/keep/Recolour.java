package pied.core.tool.keep;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import pied.core.catalog.Article;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.piece.Piece;

/** Gives a finish part of pieces a colour, or with null its own again. */
@JsonTypeName("recolour")
@RecordBuilder
public record Recolour(List<String> pieces, String part, String colour) implements Edit {
  @Override
  public void make(EditSession session) {
    session.alter(session.chosen(pieces), p -> one(p, session.space().article(p)));
  }

  private Piece one(Piece p, Article article) {
    Map<String, String> next = new HashMap<>(p.finishes());
    if (colour == null) {
      article.finish(part, "#000000"); // it must have that part
      next.remove(part);
    } else {
      next.put(part, article.finish(part, colour));
    }
    return p.withFinishes(next);
  }
}
