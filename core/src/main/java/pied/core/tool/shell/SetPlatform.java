package pied.core.tool.shell;

import static pied.core.edit.EditSession.need;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import org.locationtech.jts.geom.Envelope;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.space.Outlines;
import pied.core.space.PartName;
import pied.core.space.Platform;
import pied.core.space.Shell;
import pied.core.space.Spot;
import pied.core.units.Refusal;

/**
 * A platform.
 *
 * @param at its middle
 * @param to its middle read from the datum, instead
 * @param outline of any form, instead of a rectangle
 */
@JsonTypeName("platform")
@RecordBuilder
public record SetPlatform(
    @Nullable String part,
    @Nullable PlanPoint at,
    @Nullable Place3 to,
    @Nullable List<PlanPoint> outline,
    @Nullable Amount width,
    @Nullable Amount depth,
    @Nullable Amount height)
    implements ShellEdit {
  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    Shell shell = w.shell();
    Platform now = part == null ? null : ShellWork.find(shell.platforms(), part);
    List<Spot> figure = figure(w, now);
    Envelope box = box(figure);
    double fx = w.length(width, box.getWidth()) / box.getWidth();
    double fz = w.length(depth, box.getHeight()) / box.getHeight();
    if (!(fx > 0 && fz > 0)) {
      throw new Refusal("A platform measures more than 0.");
    }
    Spot middle =
        new Spot((box.getMinX() + box.getMaxX()) / 2, (box.getMinY() + box.getMaxY()) / 2);
    Spot wanted = w.place(to, at, middle, "at");
    Spot target =
        at != null && now == null
            ? inside(shell, wanted, box.getWidth() * fx / 2, box.getHeight() * fz / 2)
            : wanted;
    List<Spot> next =
        figure.stream()
            .map(
                p ->
                    new Spot(
                        ShellWork.tidy(target.x() + (p.x() - middle.x()) * fx),
                        ShellWork.tidy(target.z() + (p.z() - middle.z()) * fz)))
            .toList();
    String id = now != null ? now.id() : shell.freeId("platform");
    Platform made = new Platform(id, next, w.length(height, now == null ? 0.2 : now.height()));
    return w.done(
        shell.withPlatforms(ShellWork.put(shell.platforms(), made)),
        new PartName(PartName.PartKind.platform, id));
  }

  private List<Spot> figure(ShellWork w, Platform now) {
    if (outline != null) {
      return Outlines.clockwise(outline.stream().map(p -> w.spot(p, null)).toList());
    }
    if (now != null) {
      return now.outline();
    }
    Spot middle = w.spot(need(at, "at"), null);
    return List.of(
        middle.plus(-1, -0.5), middle.plus(1, -0.5), middle.plus(1, 0.5), middle.plus(-1, 0.5));
  }

  /** A point moved in so that a rectangle about it stays within the extent of the floor. */
  private static Spot inside(Shell shell, Spot p, double halfWidth, double halfDepth) {
    Envelope e = shell.within().getEnvelopeInternal();
    double x = Math.max(e.getMinX() + halfWidth, Math.min(e.getMaxX() - halfWidth, p.x()));
    double z = Math.max(e.getMinY() + halfDepth, Math.min(e.getMaxY() - halfDepth, p.z()));
    return new Spot(x, z);
  }

  private static Envelope box(List<Spot> outline) {
    Envelope e = new Envelope();
    outline.forEach(p -> e.expandToInclude(p.x(), p.z()));
    return e;
  }
}
