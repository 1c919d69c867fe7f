package pied.core.tool.finish;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.material.Finish;
import pied.core.piece.Piece;
import pied.core.piece.Shapes;
import pied.core.space.Space;

/**
 * Gives a finish part of pieces a finish.
 *
 * @param part key of the part
 * @param finish what is missing is as its material has it, or without one stays; null for as it
 *     comes
 * @param alike to whom else it is given; null to nobody
 * @param before what the part of the first had of its own before, for those that are just like it;
 *     null for nothing
 */
@JsonTypeName("finish")
@RecordBuilder
public record GiveFinish(
    List<String> pieces,
    String part,
    @Nullable Finish finish,
    @Nullable Alike alike,
    @Nullable Finish before)
    implements Edit, GiveFinishBuilder.With {

  /** Who else is meant. */
  public enum Alike {
    /** All of the same article whose part had the same finish. */
    like,
    /** All of the same article. */
    article
  }

  @Override
  public String ofParts() {
    return WhyNot.LOOKS;
  }

  @Override
  public void make(EditSession session) {
    need(part, "part");
    session.alter(all(session), p -> one(p, session));
  }

  private List<String> all(EditSession session) {
    List<String> ids = session.chosen(pieces);
    if (alike == null) {
      return ids;
    }
    Piece first = session.piece(ids.get(0));
    Set<String> more = new LinkedHashSet<>(ids);
    others(session.space(), first, part, alike, before).forEach(p -> more.add(p.id()));
    return session.chosen(new ArrayList<>(more));
  }

  /**
   * Who else is meant: what is locked or hidden is not.
   *
   * @param before what the part of the first had of its own; null for nothing
   */
  static List<Piece> others(
      Space space, Piece first, String part, Alike alike, @Nullable Finish before) {
    Finish was = before == null || before.none() ? null : before;
    List<Piece> all = new ArrayList<>();
    for (Piece p : space.pieces()) {
      boolean same = alike == Alike.article || Objects.equals(p.finishes().of(part), was);
      if (p.article().equals(first.article()) && same && !space.locked(p) && !space.hidden(p)) {
        all.add(p);
      }
    }
    return all;
  }

  private Piece one(Piece p, EditSession session) {
    Shapes shapes = session.space().shapes();
    Article article = session.space().article(p);
    Finish natural = article.natural(part);
    Finish now = p.finishes().of(part);
    Finish shown = now == null ? natural : now.over(natural);
    Finish own = Given.own(Filling.of(finish, p, part, shapes), natural, shown, shapes);
    return p.withFinishes(p.finishes().with(part, own));
  }
}
