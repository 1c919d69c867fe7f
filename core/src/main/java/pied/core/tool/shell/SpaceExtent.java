package pied.core.tool.shell;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.edit.Amount;
import pied.core.solid.Vec;
import pied.core.space.Shell;
import pied.core.units.Refusal;

/**
 * How wide and how deep a space is, of which there is one each. It grows away from the datum: a
 * stage upstage from its setting line, and to both sides of its centre line; a room away from where
 * its positions are read.
 *
 * @param width across
 * @param depth deep
 */
@JsonTypeName("extent")
@RecordBuilder
public record SpaceExtent(@Nullable Amount width, @Nullable Amount depth) implements ShellEdit {
  private static final Vec ACROSS = new Vec(1, 0, 0);
  private static final Vec DEEP = new Vec(0, 0, 1);

  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    OutlineWork outline = w.outline();
    grow(w, outline, ACROSS, width);
    grow(w, outline, DEEP, depth);
    return outline.kept();
  }

  private static void grow(ShellWork w, OutlineWork outline, Vec way, @Nullable Amount to) {
    if (to == null) {
      return;
    }
    Shell shell = w.shell();
    double high = shell.outline().stream().mapToDouble(s -> s.at(0).dot(way)).max().orElseThrow();
    double low = shell.outline().stream().mapToDouble(s -> s.at(0).dot(way)).min().orElseThrow();
    double wanted = w.length(to, high - low);
    if (!(wanted > 0)) {
      throw new Refusal("A space is wider and deeper than 0.");
    }
    double by = wanted - (high - low);
    double datum = shell.stage() == null ? shell.datum().dot(way) : 0;
    double above = high - datum;
    double below = datum - low;
    if (Math.abs(above - below) < Tolerance.FINE) {
      outline.grow(way, by / 2);
      outline.grow(way.times(-1), by / 2);
    } else {
      outline.grow(above > below ? way : way.times(-1), by);
    }
  }
}
