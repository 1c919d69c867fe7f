package pied.core.tool.keep;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.catalog.Article;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.material.Finish;
import pied.core.material.Finishes;
import pied.core.piece.Lean;
import pied.core.piece.Piece;
import pied.core.size.Measure;
import pied.core.tool.layer.ToLayer;
import pied.core.tool.size.OutOfRange;
import pied.core.tool.size.SizeAs;
import pied.core.tool.turn.LeanOver;
import pied.core.tool.turn.TurnAs;
import pied.core.units.Refusal;

/**
 * Gives pieces what the lead has, which is the last of them and stays as it is.
 *
 * @param traits what they take of it
 * @param measures of its size; null for all three
 * @param beyond as in {@link SizeAs}
 */
@JsonTypeName("asLead")
@RecordBuilder
public record AsLead(
    List<String> pieces,
    List<Trait> traits,
    @Nullable List<Measure> measures,
    @Nullable OutOfRange beyond)
    implements Edit, AsLeadBuilder.With {

  /** What can be taken of the lead. */
  public enum Trait {
    size,
    lean,
    turn,
    finishes,
    layer
  }

  @Override
  public void make(EditSession session) {
    List<String> ids = session.chosen(pieces);
    if (ids.size() < 2) {
      throw new Refusal("Select what is to be as another, and that one last.");
    }
    Piece lead = session.piece(ids.get(ids.size() - 1));
    List<String> others = ids.subList(0, ids.size() - 1);
    for (Trait t : Trait.values()) { // it leans before it is turned, whatever the order asked in
      if (EditSession.need(traits, "traits").contains(t)) {
        take(session, t, ids, others, lead);
      }
    }
  }

  private void take(
      EditSession session, Trait t, List<String> ids, List<String> others, Piece lead) {
    switch (t) {
      case size -> new SizeAs(ids, measures, null, null, beyond).make(session);
      case lean -> {
        Lean l = lead.lean();
        new LeanOver(others, Amount.of(l.toward()), Amount.of(l.by()), null).make(session);
      }
      case turn -> new TurnAs(ids, null).make(session);
      case finishes -> session.alter(others, p -> finished(p, lead, session));
      default -> new ToLayer(others, session.space().layer(lead).id(), null).make(session);
    }
  }

  /** With the finishes of the lead on the parts that both have. */
  private static Piece finished(Piece p, Piece lead, EditSession session) {
    Article own = session.space().article(p);
    Article of = session.space().article(lead);
    Finishes all = p.finishes();
    boolean any = false;
    for (String part : of.finishes().keySet()) {
      if (own.finishes().containsKey(part)) {
        any = true;
        Finish wanted = of.look(part, lead.finishes()).finish();
        Finish natural = own.finishes().get(part).finish();
        all = all.with(part, own.finish(part, wanted.but(natural)));
      }
    }
    if (!any) {
      throw new Refusal("{} has no part that is finished like one of {}.", p.name(), lead.name());
    }
    return p.withFinishes(all);
  }
}
