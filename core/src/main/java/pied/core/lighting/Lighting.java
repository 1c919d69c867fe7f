package pied.core.lighting;

import java.util.List;
import java.util.Map;
import pied.core.Nullable;
import pied.core.catalog.Light;
import pied.core.light.LinearColour;
import pied.core.light.Sun;
import pied.core.material.Finish;
import pied.core.material.pattern.Tint;
import pied.core.show.Day;
import pied.core.solid.Bodies.RayMet;
import pied.core.space.Shell;
import pied.core.space.ShellBodies;
import pied.core.space.Space;

/**
 * How a space is lit. Colours are as they look to an eye that is used to the light around it.
 *
 * @param azimuth of the sun, degrees clockwise from north
 * @param altitude of the sun above the horizon, degrees
 * @param sun null where it is down or behind clouds
 * @param sky light under the open sky, without the sun, lux
 * @param skyColour of that
 * @param around light from all around within, as walls, floor and ceiling throw it back and the sky
 *     comes in, lux
 * @param aroundColour of that
 * @param used light that an eye gets used to, lux: that around, or where lamps throw far more than
 *     that, a share of it
 * @param lumens of all lamps that burn
 * @param watts they take
 * @param lamps few that stand for all
 */
public record Lighting(
    double azimuth,
    double altitude,
    @Nullable SunLight sun,
    double sky,
    LinearColour skyColour,
    double around,
    LinearColour aroundColour,
    double used,
    double lumens,
    double watts,
    List<DrawnLamp> lamps) {
  /** Of the strongest direct light an eye gets used to so much. */
  private static final double DIRECT = 0.25;

  /** How far the eye goes from the light around to that. */
  private static final double BRIGHT = 0.65;

  /** No eye gets used to less, lux: what is dark is dark. */
  private static final double LEAST = 3;

  /** A table is so far beneath a lamp at least, metres. */
  private static final double TABLE = 1.2;

  private static final LinearColour WHITE = new LinearColour(1, 1, 1);

  /**
   * What the walls throw back goes after the sphere of R. Ulbricht (1900), as lighting engineers
   * reckon the indirect part: light that meets a surface of reflectance ρ for the first time gives
   * ρ / (A (1 − ρ)) of itself to each square metre.
   *
   * @param most how many lamps shall stand for all
   */
  public static Lighting of(Space space, Day day, int most) {
    Shell shell = space.shell();
    double area = 2 * shell.area() + shell.perimeter() * shell.height();
    double back = reflectance(shell);
    Sun s = day.sun();
    SunLight sun = Daylight.sun(space, day);
    double sky = day.sky().skyLux(s.altitude());
    List<LampSource> lamps = LampSources.of(space);
    double thrown = back / (area * (1 - back));

    Daylight in = new Daylight(space);
    MixedLight around = new MixedLight();
    LinearColour ofSky = LinearColour.of(day.sky().kelvin());
    around.add(sky * in.factor(area, back), ofSky);
    if (sun != null) {
      around.add(in.sunIn(sun.toward(), sun.lux()) * thrown, sun.colour());
    }
    lamps.forEach(l -> around.add(l.leaving() * thrown, l.colour()));
    LinearColour used = around.colour();
    List<DrawnLamp> few =
        FewSources.of(lamps, most).stream()
            .map(l -> DrawnLamp.of(l, used, thrown(space, l)))
            .toList();
    return new Lighting(
        s.azimuth(),
        s.altitude(),
        sun == null ? null : new SunLight(sun.toward(), sun.lux(), sun.colour().seenIn(used)),
        sky,
        ofSky.seenIn(used),
        around.lux,
        used.seenIn(used),
        used(around.lux, few),
        lamps.stream().mapToDouble(LampSource::leaving).sum(),
        Power.watts(space),
        few);
  }

  /** The light that a lamp throws where it is aimed, or on a table beneath it, lux. */
  private static double thrown(Space space, LampSource l) {
    double far = TABLE;
    if (space.article(space.piece(l.piece())).light().way() == Light.LightWay.front) {
      RayMet met = LampSources.met(space, l.piece(), l.at(), l.way());
      far = met == null ? LampSources.FAR : Math.max(TABLE, met.distance());
    }
    return l.candela() / (far * far);
  }

  /** What an eye gets used to between the light around and the strongest there is. */
  private static double used(double around, List<DrawnLamp> lamps) {
    double most = DIRECT * lamps.stream().mapToDouble(DrawnLamp::lux).max().orElse(0);
    double least = Math.max(around, LEAST);
    return most <= least ? least : Math.pow(least, 1 - BRIGHT) * Math.pow(most, BRIGHT);
  }

  /** Of floor, walls and ceiling in the mean, by their areas; openings throw nothing back. */
  static double reflectance(Shell shell) {
    Map<String, Finish> looks = ShellBodies.looks(shell);
    double floor = shell.area();
    double walls = shell.perimeter() * shell.height();
    double sum =
        floor * of(looks, "floor") + floor * of(looks, "ceiling") + walls * of(looks, "wall");
    double mean = sum / (2 * floor + walls);
    return Math.max(0.05, Math.min(0.85, mean));
  }

  private static double of(Map<String, Finish> looks, String part) {
    Finish f = looks.getOrDefault(part, Finish.CARD);
    double[] c = Tint.linear(f.colour() == null ? Finish.CARD.colour() : f.colour());
    return LinearColour.luminance(c[0], c[1], c[2]);
  }

  /** Light of several colours. */
  private static final class MixedLight {
    private double lux;
    private double red;
    private double green;
    private double blue;

    void add(double more, LinearColour c) {
      lux += more;
      red += more * c.red();
      green += more * c.green();
      blue += more * c.blue();
    }

    LinearColour colour() {
      return lux <= 0 ? WHITE : LinearColour.of(red, green, blue);
    }
  }
}
