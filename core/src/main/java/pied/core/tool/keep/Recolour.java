package pied.core.tool.keep;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.catalog.Article;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.material.Finish;
import pied.core.piece.Piece;

/** Gives a finish part of pieces a colour, or with null its own again. */
@JsonTypeName("recolour")
@RecordBuilder
public record Recolour(List<String> pieces, String part, String colour) implements Edit {
  @Override
  public String ofParts() {
    return WhyNot.LOOKS;
  }

  @Override
  public void make(EditSession session) {
    session.alter(session.chosen(pieces), p -> one(p, session.space().article(p)));
  }

  private Piece one(Piece p, Article article) {
    Finish now = p.finishes().of(part);
    Finish next = now == null ? Finish.of(colour) : now.withColour(colour);
    return p.withFinishes(p.finishes().with(part, article.finish(part, next)));
  }
}
