package pied.core.tool.shell;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import pied.core.Nullable;
import pied.core.measure.Marks;
import pied.core.solid.Vec;
import pied.core.space.Spot;
import pied.core.units.Refusal;

/**
 * Puts the datum somewhere.
 *
 * @param to in the directions of the space
 * @param mark true: on the nearest mark of the shell or of a piece within {@code within} metres
 */
@JsonTypeName("datum")
@RecordBuilder
public record SetDatum(@Nullable Place3 to, @Nullable Boolean mark, @Nullable Double within)
    implements ShellEdit {
  /** A mark no farther away than this is meant, metres. */
  private static final double NEAR = 0.3;

  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    need(to, "to");
    Vec now = w.shell().datum();
    Vec wanted =
        new Vec(w.length(to.x(), now.x()), w.length(to.y(), now.y()), w.length(to.z(), now.z()));
    List<String> said = new ArrayList<>();
    if (Boolean.TRUE.equals(mark)) {
      Spot near = new Spot(wanted.x(), wanted.z());
      Marks.NamedMark found = Marks.nearest(w.space(), near, within == null ? NEAR : within);
      if (found != null) {
        wanted = found.at();
        said.add("The datum is on " + found.words() + ".");
      }
    }
    if (!wanted.finite() || wanted.length() > 1000) {
      throw new Refusal("The datum would be too far away.");
    }
    return new ShellWork.ShellResult(
        w.shell().withDatum(wanted, w.shell().north()), Map.of(), said, null);
  }
}
