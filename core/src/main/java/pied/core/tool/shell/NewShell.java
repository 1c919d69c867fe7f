package pied.core.tool.shell;

import java.util.List;
import java.util.Map;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.material.Finishes;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.Outlines;
import pied.core.space.Shell;
import pied.core.space.ShellCheck;
import pied.core.space.Skirting;
import pied.core.space.Spot;
import pied.core.space.Stage;
import pied.core.units.LengthUnit;
import pied.core.units.Refusal;

/**
 * What a new room or stage is built from; what is missing is as usual.
 *
 * @param form of the outline; a rectangle if missing
 * @param cutWidth of the part cut out of an L or U, or of the stem of a T
 * @param cutDepth of the part cut out of an L or U, or of the bar of a T
 * @param skirtingHeight 0 or missing for none
 * @param stage makes a stage of it
 */
public record NewShell(
    @Nullable OutlineForm form,
    Amount width,
    Amount depth,
    Amount height,
    @Nullable Amount cutWidth,
    @Nullable Amount cutDepth,
    @Nullable Amount thickness,
    @Nullable Amount skirtingHeight,
    @Nullable OfStage stage) {
  /** Outlines to begin with. */
  public enum OutlineForm {
    rectangle,
    l,
    t,
    u
  }

  /**
   * What is particular to a stage.
   *
   * @param level of its floor above the auditorium
   * @param rake as it is written: "5 %", "1:20"
   * @param openingWidth of the proscenium; 0 for an open stage without one
   * @param apronDepth from the setting line to the front edge; 0 for none
   * @param apronCurve how far the front edge draws back at the sides
   * @param rows of seats; 0 for none
   */
  public record OfStage(
      @Nullable Amount level,
      @Nullable String rake,
      @Nullable Amount openingWidth,
      @Nullable Amount openingHeight,
      @Nullable Amount wall,
      @Nullable Amount apronDepth,
      @Nullable Amount apronCurve,
      @Nullable Integer rows) {}

  private static final double PROSCENIUM_WALL = 0.35;

  /** Usual depth of a skirting board, metres. */
  private static final double SKIRTING = 0.015;

  /**
   * The shell.
   *
   * @throws Refusal if it cannot be built
   */
  public Shell build(LengthUnit unit) {
    double w = measure(width, "width", unit);
    double d = measure(depth, "depth", unit);
    double h = measure(height, "height", unit);
    try {
      return ShellCheck.checked(stage == null ? room(w, d, h, unit) : stage(w, d, h, unit));
    } catch (Refusal e) {
      throw e.in(unit);
    }
  }

  private static double measure(Amount a, String name, LengthUnit unit) {
    if (a == null) {
      throw new Refusal("A new space needs a {}.", name);
    }
    double v = a.length(unit, 0);
    if (!(v >= 0.5 && v <= ShellCheck.MOST)) {
      throw new Refusal(
          "A space measures {} to {} each way; its {} was to be {}.",
          unit.fine(0.5),
          unit.fine(ShellCheck.MOST),
          name,
          unit.fine(v));
    }
    return v;
  }

  private static double or(Amount a, double usual, LengthUnit unit) {
    return a == null ? usual : a.length(unit, usual);
  }

  private Shell room(double w, double d, double h, LengthUnit unit) {
    double cw = or(cutWidth, w / 2, unit);
    double cd = or(cutDepth, d / 2, unit);
    List<Spot> outline =
        switch (form == null ? OutlineForm.rectangle : form) {
          case rectangle -> Outlines.rectangle(w, d);
          case l -> Outlines.l(w, d, cw, cd);
          case t -> Outlines.t(w, d, cw, cd);
          case u -> Outlines.u(w, d, cw, cd);
        };
    double skirting = or(skirtingHeight, 0, unit);
    return new Shell(outline, h, or(thickness, 0.2, unit), List.of(), Finishes.NONE)
        .withMeasures(
            h, or(thickness, 0.2, unit), skirting == 0 ? null : new Skirting(skirting, SKIRTING));
  }

  private Shell stage(double w, double d, double h, LengthUnit unit) {
    List<Spot> outline =
        List.of(new Spot(-w / 2, -d), new Spot(w / 2, -d), new Spot(w / 2, 0), new Spot(-w / 2, 0));
    double opening = or(stage.openingWidth, Math.min(0.65 * w, w - 1), unit);
    double wall = opening == 0 ? 0 : or(stage.wall, PROSCENIUM_WALL, unit);
    double high = or(stage.openingHeight, Math.min(0.7 * h, 0.62 * opening), unit);
    double depth = or(stage.apronDepth, 1.2, unit);
    if (opening > w) {
      throw new Refusal(
          "The proscenium opening of {} is wider than the stage, which is {}.",
          unit.fine(opening),
          unit.fine(w));
    }
    if (opening > 0 && depth < wall) {
      depth = wall; // the floor goes on at least through the opening
    }
    List<Opening> openings = opening == 0 ? List.of() : List.of(proscenium(w, opening, high));
    return new Shell(
        outline,
        h,
        or(thickness, 0.2, unit),
        Map.of("C", wall),
        openings,
        null,
        null,
        null,
        null,
        null,
        null,
        house(opening == 0 ? w : Math.min(w, opening + 1), depth, unit),
        Vec.ZERO,
        0,
        Finishes.NONE);
  }

  private static Opening proscenium(double w, double opening, double high) {
    double from = (w - opening) / 2;
    return new Opening(
        Opening.PROSCENIUM, Opening.OpeningKind.opening, "C", from, opening, 0, high);
  }

  /**
   * The apron and the seats before it.
   *
   * @param across how wide the apron is, metres
   */
  private Stage house(double across, double depth, LengthUnit unit) {
    Stage.Apron apron =
        depth == 0 ? null : new Stage.Apron(across, depth, or(stage.apronCurve, 0, unit));
    int rows = stage.rows == null ? 8 : stage.rows;
    Stage.Seats seats =
        rows == 0 ? null : new Stage.Seats(2.5, 0.9, 0.12, rows, Math.max(1, across));
    double rake = stage.rake == null ? 0 : Build.rake(stage.rake);
    return new Stage(or(stage.level, 0.9, unit), rake, apron, seats);
  }
}
