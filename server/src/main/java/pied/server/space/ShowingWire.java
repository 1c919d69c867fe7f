package pied.server.space;

import java.util.ArrayList;
import java.util.List;
import pied.core.Nullable;
import pied.core.light.Sky;
import pied.core.lighting.CurveFigure;
import pied.core.lighting.LampLine;
import pied.core.lighting.Lighting;
import pied.core.lighting.LitPool;
import pied.core.lighting.SunStudy;
import pied.core.show.Day;
import pied.core.show.LampCurve;
import pied.core.show.LightLook;
import pied.core.show.ViewMark;
import pied.core.show.Viewpoint;
import pied.core.solid.Vec;
import pied.core.space.ReadyViewpoints;
import pied.core.space.Space;
import pied.core.tool.light.LampsMeant;

/** How spaces are shown: their day, looks, viewpoints, and their light. */
public final class ShowingWire {
  private ShowingWire() {}

  /**
   * How a space is shown.
   *
   * @param viewpoints those that people keep first, then those that every space has
   * @param marks of those that people keep, on the plan
   * @param circuits names of what lamps are switched with
   * @param curves photometric files
   */
  public record ShowingView(
      DayView day,
      List<LookView> looks,
      List<Viewpoint> viewpoints,
      List<ViewMark> marks,
      List<String> circuits,
      List<CurveView> curves) {
    static ShowingView of(Space space) {
      List<Viewpoint> all = new ArrayList<>(space.showing().viewpoints());
      all.addAll(ReadyViewpoints.of(space.shell()));
      return new ShowingView(
          DayView.of(space.showing().day()),
          space.showing().looks().stream().map(LookView::of).toList(),
          all,
          ViewMark.of(space.showing().viewpoints()),
          LampsMeant.circuits(space),
          space.showing().curves().stream().map(CurveView::of).toList());
    }
  }

  /**
   * A day.
   *
   * @param date ISO 8601
   * @param clock the hour as clocks show it
   */
  public record DayView(
      double latitude,
      double longitude,
      double zone,
      String date,
      double hour,
      String clock,
      Sky sky) {
    static DayView of(Day d) {
      return new DayView(
          d.latitude(),
          d.longitude(),
          d.zone(),
          d.date().toString(),
          d.hour(),
          Day.clock(d.hour()),
          d.sky());
    }
  }

  /**
   * A look.
   *
   * @param fade seconds
   * @param burning how many lamps burn in it
   */
  public record LookView(
      String id, String name, double fade, @Nullable DayView day, int lamps, int burning) {
    static LookView of(LightLook l) {
      int burning = (int) l.levels().values().stream().filter(v -> v.on() && v.level() > 0).count();
      DayView day = l.day() == null ? null : DayView.of(l.day());
      return new LookView(l.id(), l.name(), l.fade(), day, l.levels().size(), burning);
    }
  }

  /** A photometric file. */
  public record CurveView(String id, String name, double lumens, double watts, CurveFigure figure) {
    static CurveView of(LampCurve c) {
      return new CurveView(
          c.id(), c.name(), c.light().lumens(), c.light().watts(), CurveFigure.of(c.light()));
    }
  }

  /** How a space is lit. */
  public record LightView(long revision, Lighting light) {}

  /**
   * All lamps of a space, those alike in one line.
   *
   * @param lumens of all that burn
   * @param watts they take
   * @param pools where the light of lanterns falls
   */
  public record LampsView(
      long revision, List<LampLine> lines, double lumens, double watts, List<LitPool> pools) {}

  /** Where the sun falls at a moment. */
  public record SunView(long revision, SunStudy study) {}

  /** How long the sun is on a point, in a sentence. */
  public record SunHours(long revision, List<SunStudy.SunSpan> spans, String words) {}

  /**
   * Where one stands who walks.
   *
   * @param feet null where there is no place to stand
   */
  public record WalkView(long revision, @Nullable Vec feet) {}
}
