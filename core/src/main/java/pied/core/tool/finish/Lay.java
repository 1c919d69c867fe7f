package pied.core.tool.finish;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.WhyNot;
import pied.core.material.Finish;
import pied.core.material.Laying;
import pied.core.material.Material;
import pied.core.material.Materials;
import pied.core.piece.Piece;
import pied.core.space.Shell;
import pied.core.space.ShellBodies;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/**
 * How the pattern of a part lies; what is missing stays.
 *
 * @param pieces whose part it is; null for one of the shell
 * @param width of one plank, tile, stripe or picture
 * @param turn counter-clockwise as one looks at it
 * @param across by how much it begins to the right
 * @param up by how much it begins higher
 * @param joint how wide the joints are
 * @param second the second colour: a plain name or #RRGGBB
 */
@JsonTypeName("lay")
@RecordBuilder
public record Lay(
    @Nullable List<String> pieces,
    String part,
    @Nullable Amount width,
    @Nullable Amount turn,
    @Nullable Amount across,
    @Nullable Amount up,
    @Nullable Amount joint,
    @Nullable String second)
    implements Edit {
  @Override
  public String ofParts() {
    return WhyNot.LOOKS;
  }

  @Override
  public void make(EditSession session) {
    need(part, "part");
    LengthUnit unit = session.unit();
    if (pieces == null) {
      Shell shell = session.space().shell();
      Decorate.natural(shell, part);
      Finish shown = ShellBodies.looks(shell).get(part);
      new Decorate(part, laid(shown, unit)).make(session);
      return;
    }
    session.alter(session.chosen(pieces), p -> one(p, session));
  }

  private Piece one(Piece p, EditSession session) {
    Finish natural = session.space().article(p).natural(part);
    Finish own = p.finishes().of(part);
    Finish shown = own == null ? natural : own.over(natural);
    Finish next = Given.own(laid(shown, session.unit()), natural, shown, session.space().shapes());
    return p.withFinishes(p.finishes().with(part, next));
  }

  private Finish laid(Finish shown, LengthUnit unit) {
    Material m = Materials.of(shown.material());
    if (!m.patterned()) {
      throw new Refusal("{} has no pattern that could lie otherwise.", m.name());
    }
    Laying l = shown.laying();
    return shown.withLaid(
        new Laying(
            length(width, l.width(), m.unit(), unit),
            turn == null ? l.turn() : Double.valueOf(turn.angle(l.turn() == null ? 0 : l.turn())),
            length(across, l.across(), 0, unit),
            length(up, l.up(), 0, unit),
            length(joint, l.joint(), m.joint(), unit),
            second == null ? l.second() : Recolour.read(second)));
  }

  private static @Nullable Double length(
      @Nullable Amount typed, @Nullable Double now, double usual, LengthUnit unit) {
    return typed == null ? now : Double.valueOf(typed.length(unit, now == null ? usual : now));
  }
}
