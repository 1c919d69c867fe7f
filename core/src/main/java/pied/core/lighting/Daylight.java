package pied.core.lighting;

import java.util.ArrayList;
import java.util.List;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.light.LinearColour;
import pied.core.light.Sky;
import pied.core.light.Sun;
import pied.core.show.Day;
import pied.core.solid.Vec;
import pied.core.space.Opening.OpeningKind;
import pied.core.space.Space;
import pied.core.space.Spot;

/**
 * What comes in of a day: through windows and plain openings of the outer walls, past what hangs
 * before them. Doors are taken as shut, and nothing stands outside. A stage has no day.
 */
public final class Daylight {
  /** Samples of an opening, each way. */
  private static final int SAMPLES = 4;

  /** Of a window that is pane, and not frame. */
  private static final double GLAZED = 0.8;

  /** The sky that a window sees, degrees: that of one with nothing before it and a deep reveal. */
  private static final double SEES = 65;

  private final Space space;
  private final Passing passing;
  private final List<OuterOpening> outer;

  Daylight(Space space) {
    this.space = space;
    this.passing = new Passing(space);
    this.outer = OuterOpening.of(space.shell());
  }

  /** Of the light on it so much comes through, if nothing hangs before it, of 1. */
  private static double passes(OuterOpening o) {
    return o.opening().kind() == OpeningKind.window ? GLAZED * Passing.PANE : 1;
  }

  /**
   * The average daylight factor (J. Lynes, Lighting Research and Technology 11, 1979; CIBSE LG10):
   * of the light under the open sky so much is on a level surface within, of 1.
   *
   * @param area of all surfaces of the room, m²
   * @param reflectance of them in the mean
   */
  double factor(double area, double reflectance) {
    double glass = 0;
    for (OuterOpening o : outer) {
      glass += o.opening().width() * o.opening().height() * passes(o) * shade(o, o.wall().inward());
    }
    return Math.min(1, glass * SEES / (area * (1 - reflectance * reflectance)) / 100);
  }

  /**
   * Light of the sun that comes in, lumen.
   *
   * @param lux square to the sun
   */
  double sunIn(Vec toward, double lux) {
    double sum = 0;
    for (OuterOpening o : outer) {
      double slant = -toward.dot(o.wall().inward());
      if (slant > 0 && lux > 0) {
        double area = o.opening().width() * o.opening().height() * passes(o);
        sum += area * slant * lux * reached(o, toward) * shade(o, toward.times(-1));
      }
    }
    return sum;
  }

  /** How much of it is not shaded by what hangs before it within, of 1. */
  private double shade(OuterOpening o, Vec way) {
    double sum = 0;
    for (Vec p : points(o, Tolerance.NEAR)) {
      sum += passing.share(p, way, OuterOpening.BEFORE, b -> space.has(b.id()));
    }
    return sum / (SAMPLES * SAMPLES);
  }

  /** How much of its inner side the sun reaches past the reveals, of 1. */
  private double reached(OuterOpening o, Vec toward) {
    int n = 0;
    for (Vec p : points(o, -Tolerance.NEAR)) {
      Vec out = p.minus(cornerOf(o));
      double depth =
          o.wall().thickness() / Math.max(Tolerance.NEAR, -toward.dot(o.wall().inward()));
      Vec at = out.plus(toward.times(depth));
      double along = at.dot(o.wall().along());
      boolean level = along >= 0 && along <= o.opening().width();
      n += level && at.y() >= 0 && at.y() <= o.opening().height() ? 1 : 0;
    }
    return (double) n / (SAMPLES * SAMPLES);
  }

  private static Vec cornerOf(OuterOpening o) {
    return o.wall().spot(o.opening().from(), 0).at(o.opening().sill());
  }

  private static List<Vec> points(OuterOpening o, double off) {
    List<Vec> all = new ArrayList<>();
    for (int i = 0; i < SAMPLES; i++) {
      Spot s = o.wall().spot(o.opening().from() + o.opening().width() * (i + 0.5) / SAMPLES, off);
      for (int j = 0; j < SAMPLES; j++) {
        all.add(s.at(o.opening().sill() + o.opening().height() * (j + 0.5) / SAMPLES));
      }
    }
    return all;
  }

  /** The sun of a day, square to it; null where it is down or behind clouds, and on a stage. */
  public static @Nullable SunLight sun(Space space, Day day) {
    Sun s = day.sun();
    double lux = day.sky().sunLux(s.altitude(), day.date());
    if (space.shell().stage() != null || !s.isUp() || lux <= 0) {
      return null;
    }
    return new SunLight(
        day.toward(space.shell().north()), lux, LinearColour.of(Sky.sunKelvin(s.altitude())));
  }
}
