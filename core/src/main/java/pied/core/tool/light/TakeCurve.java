package pied.core.tool.light;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.edit.Edit;
import pied.core.edit.EditSession;
import pied.core.light.Photometry;
import pied.core.show.LampCurve;
import pied.core.units.Refusal;
import pied.core.units.Text;

/**
 * Takes in a photometric file by LM-63 or EULUMDAT, and gives it to lamps.
 *
 * @param name how it is called; null for as it calls itself
 * @param text of the file
 * @param pieces ids of lamps; null for none yet
 */
@JsonTypeName("takeCurve")
@RecordBuilder
public record TakeCurve(@Nullable String name, String text, @Nullable List<String> pieces)
    implements Edit {
  @Override
  public void make(EditSession session) {
    Photometry light = Photometry.read(EditSession.need(text, "text"));
    List<LampCurve> all = session.space().showing().curves();
    LampCurve curve = all.stream().filter(c -> c.light().equals(light)).findFirst().orElse(null);
    if (curve == null) {
      if (all.size() >= LampCurve.MOST) {
        throw new Refusal(
            "A space keeps up to {} photometric files; remove one first.", LampCurve.MOST);
      }
      String own = light.name().isBlank() ? name : light.name();
      String called =
          Text.name("A curve", own == null || own.isBlank() ? "Curve" : Text.clean(own));
      curve = new LampCurve(session.newId(), called, light);
      session.show(session.space().showing().with(curve));
    }
    if (pieces != null && !pieces.isEmpty()) {
      SetLampsBuilder.builder().pieces(pieces).curve(curve.id()).build().make(session);
    }
  }
}
