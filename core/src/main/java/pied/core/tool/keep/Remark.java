package pied.core.tool.keep;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.edit.BuiltIn;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.edit.Picked;
import pied.core.piece.Keeping;
import pied.core.units.Refusal;
import pied.core.units.Text;

/**
 * Writes a remark beside pieces in the schedule.
 *
 * @param remark empty to take it away
 */
@JsonTypeName("remark")
@RecordBuilder
public record Remark(List<String> pieces, String remark) implements Edit {
  /** Longest remark, letters. */
  public static final int LONGEST = Keeping.LONGEST_REMARK;

  @Override
  public void make(EditSession session) {
    String clean = Text.clean(EditSession.need(remark, "remark")).strip();
    if (clean.length() > LONGEST) {
      throw new Refusal(
          "A remark may have up to {} letters; this one has {}.", LONGEST, clean.length());
    }
    Picked picked = session.picked(pieces);
    session.alter(picked.pieces(), p -> p.withKeeping(p.keeping().withRemark(clean)));
    BuiltIn.keep(session, picked.parts(), k -> k.withKeeping(k.keeping().withRemark(clean)));
  }
}
