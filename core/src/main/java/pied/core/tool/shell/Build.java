package pied.core.tool.shell;

import com.fasterxml.jackson.annotation.JsonTypeName;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pied.core.Nullable;
import pied.core.edit.Amount;
import pied.core.space.Shell;
import pied.core.space.Skirting;
import pied.core.space.Stage;
import pied.core.units.Refusal;

/**
 * Measures of the whole.
 *
 * @param skirtingHeight 0 for no skirting
 * @param rake of a stage: "5 %", "1:20" or rise in metres a metre
 * @param level of the stage floor above the auditorium
 */
@JsonTypeName("build")
@RecordBuilder
public record Build(
    @Nullable Amount height,
    @Nullable Amount thickness,
    @Nullable Amount skirtingHeight,
    @Nullable Amount skirtingDepth,
    @Nullable Amount north,
    @Nullable Amount level,
    @Nullable String rake,
    @Nullable Amount apronWidth,
    @Nullable Amount apronDepth,
    @Nullable Amount apronCurve)
    implements ShellEdit {
  private static final Pattern PERCENT = Pattern.compile("\\s*([0-9]+(?:[.,][0-9]+)?)\\s*%\\s*");
  private static final Pattern RATIO =
      Pattern.compile("\\s*1\\s*(?::|/|in)\\s*([0-9]+(?:[.,][0-9]+)?)\\s*");

  @Override
  public ShellWork.ShellResult rebuild(ShellWork w) {
    Shell shell = w.shell();
    Skirting s = shell.skirting();
    if (skirtingHeight != null || skirtingDepth != null) {
      double h = w.length(skirtingHeight, s == null ? 0.08 : s.height());
      double d = w.length(skirtingDepth, s == null ? 0.015 : s.depth());
      s = h == 0 ? null : new Skirting(h, d);
    }
    Shell next =
        shell
            .withMeasures(
                w.length(height, shell.height()), w.length(thickness, shell.thickness()), s)
            .withDatum(
                shell.datum(), north == null ? shell.north() : north.angle(shell.north()) % 360);
    return w.done(stage(w, next), null);
  }

  /** With what is particular to a stage. */
  private Shell stage(ShellWork w, Shell next) {
    boolean apron = apronWidth != null || apronDepth != null || apronCurve != null;
    if (level == null && rake == null && !apron) {
      return next;
    }
    Stage stage = w.stage();
    Stage.Apron a = stage.apron();
    if (apron) {
      double wide = w.length(apronWidth, a == null ? next.extent().x() : a.width());
      double deep = w.length(apronDepth, a == null ? 0 : a.depth());
      double curve = w.length(apronCurve, a == null ? 0 : a.curve());
      a = deep == 0 ? null : new Stage.Apron(wide, deep, curve);
    }
    return next.withStage(
        new Stage(
            w.length(level, stage.level()),
            rake == null ? stage.rake() : rake(rake),
            a,
            stage.seats()));
  }

  /**
   * A rake as it is written: a percentage, a ratio, or the rise a metre.
   *
   * @return metres a metre
   */
  public static double rake(String text) {
    Matcher percent = PERCENT.matcher(text);
    if (percent.matches()) {
      return number(percent.group(1)) / 100;
    }
    Matcher ratio = RATIO.matcher(text);
    if (ratio.matches() && number(ratio.group(1)) > 0) {
      return 1 / number(ratio.group(1));
    }
    try {
      return Double.parseDouble(text.strip().replace(',', '.'));
    } catch (NumberFormatException e) {
      throw new Refusal("“{}” is not a rake. Type 5 %, 1:20 or 0.05.", text);
    }
  }

  private static double number(String text) {
    return Double.parseDouble(text.replace(',', '.'));
  }
}
