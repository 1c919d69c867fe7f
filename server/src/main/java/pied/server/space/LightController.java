package pied.server.space;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import pied.core.Nullable;
import pied.core.lighting.LampLine;
import pied.core.lighting.Lighting;
import pied.core.lighting.LitPool;
import pied.core.lighting.SunStudy;
import pied.core.show.Day;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.space.Validity;
import pied.core.tool.light.SetDayBuilder;
import pied.core.units.LengthUnit;
import pied.core.walk.Walk;
import pied.server.space.ShowingWire.LampsView;
import pied.server.space.ShowingWire.LightView;
import pied.server.space.ShowingWire.SunHours;
import pied.server.space.ShowingWire.SunView;
import pied.server.space.ShowingWire.WalkView;

/** How spaces are lit, and walked through. */
@RestController
@RequestMapping("/api/spaces/{id}")
class LightController {
  /** Most lamps that a picture is drawn with. */
  private static final int MOST = 64;

  private final SpaceStore store;

  LightController(SpaceStore store) {
    this.store = store;
  }

  /**
   * The light of sun, sky and lamps.
   *
   * @param most how many lamps shall stand for all there are
   * @param date of another day than that of the space, ISO 8601
   * @param hour of another hour, as clocks show it
   */
  @GetMapping("/light")
  LightView light(
      @PathVariable String id,
      @RequestParam(defaultValue = "16") int most,
      @RequestParam(required = false) @Nullable String date,
      @RequestParam(required = false) @Nullable String hour) {
    OpenSpace.Seen now = store.seen(id);
    Day day = day(now.space(), date, hour);
    int few = Math.max(1, Math.min(MOST, most));
    return new LightView(now.revision(), Lighting.of(now.space(), day, few));
  }

  private static Day day(Space space, @Nullable String date, @Nullable String hour) {
    return SetDayBuilder.builder().date(date).hour(hour).build().of(space.showing().day());
  }

  /** Where the sun falls on the floor. */
  @GetMapping("/sun")
  SunView sun(
      @PathVariable String id,
      @RequestParam(required = false) @Nullable String date,
      @RequestParam(required = false) @Nullable String hour) {
    OpenSpace.Seen now = store.seen(id);
    return new SunView(now.revision(), SunStudy.of(now.space(), day(now.space(), date, hour)));
  }

  /** How long the sun is on a point on the day of the space. */
  @GetMapping("/sun/hours")
  SunHours hours(
      @PathVariable String id,
      @RequestParam double x,
      @RequestParam double y,
      @RequestParam double z) {
    OpenSpace.Seen now = store.seen(id);
    Day day = now.space().showing().day();
    List<SunStudy.SunSpan> spans =
        SunStudy.hours(now.space(), day, Validity.point(new Vec(x, y, z)));
    return new SunHours(now.revision(), spans, SunStudy.said(spans, day));
  }

  /** All lamps. */
  @GetMapping("/lamps")
  LampsView lamps(@PathVariable String id, @RequestParam(defaultValue = "m") String unit) {
    OpenSpace.Seen now = store.seen(id);
    List<LampLine> lines = LampLine.of(now.space());
    return new LampsView(
        now.revision(),
        lines,
        lines.stream().mapToDouble(LampLine::lumens).sum(),
        lines.stream().mapToDouble(LampLine::watts).sum(),
        LitPool.of(now.space(), LengthUnit.of(unit)));
  }

  /**
   * Where one comes to who walks from a point.
   *
   * @param y height of the feet; left out by one who has yet to find a place to stand
   * @param dx how far across, metres
   * @param dz how far deep
   */
  @GetMapping("/walk")
  WalkView walk(
      @PathVariable String id,
      @RequestParam double x,
      @RequestParam(required = false) @Nullable Double y,
      @RequestParam double z,
      @RequestParam(defaultValue = "0") double dx,
      @RequestParam(defaultValue = "0") double dz) {
    OpenSpace.Seen now = store.seen(id);
    Space space = now.space();
    Walk walk = new Walk(space);
    Vec from = Validity.point(new Vec(x, y == null ? 0 : y, z));
    Vec by = Validity.point(new Vec(dx, 0, dz));
    Vec feet = y == null ? walk.stand(x, z) : from;
    return new WalkView(now.revision(), feet == null ? null : walk.go(feet, by));
  }
}
