package pied.core.tool.finish;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.material.Colours;
import pied.core.material.Finish;
import pied.core.piece.Piece;
import pied.core.units.Refusal;

/**
 * Gives a finish part of pieces a colour, or with null its own again; what it is made of stays.
 *
 * @param colour as #RRGGBB or a plain name
 */
@JsonTypeName("recolour")
@RecordBuilder
public record Recolour(List<String> pieces, String part, @Nullable String colour) implements Edit {
  @Override
  public String ofParts() {
    return WhyNot.LOOKS;
  }

  @Override
  public void make(EditSession session) {
    String read = read(colour);
    session.alter(session.chosen(pieces), p -> one(p, session.space().article(p), read));
  }

  private Piece one(Piece p, Article article, @Nullable String read) {
    Finish now = p.finishes().of(part);
    Finish next = now == null ? Finish.of(read) : now.withColour(read);
    return p.withFinishes(p.finishes().with(part, article.finish(part, next)));
  }

  /**
   * A colour as somebody wrote it, as it is kept.
   *
   * @throws Refusal if it is none
   */
  static @Nullable String read(@Nullable String colour) {
    if (colour == null) {
      return null;
    }
    String read = Colours.read(colour);
    if (read == null) {
      throw new Refusal(
          "“{}” is no colour; write a plain name such as moss green or dark blue, or #RRGGBB such"
              + " as #B4674B.",
          colour.length() > 40 ? colour.substring(0, 40) + "…" : colour);
    }
    return read;
  }
}
