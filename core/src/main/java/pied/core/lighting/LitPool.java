package pied.core.lighting;

import java.util.ArrayList;
import java.util.List;
import pied.core.catalog.Light;
import pied.core.light.Beam;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Space;
import pied.core.units.LengthUnit;

/**
 * Where the light of a lantern falls.
 *
 * @param from where it comes from
 * @param at where its axis meets something
 * @param reach the throw: how far that is, metres
 * @param diameter of the pool square to the axis, at the edge of the field, metres
 * @param lux in the middle of it, on what is square to the axis
 * @param ring its edge where it lies on the level of that point, as a figure of the plan
 * @param words throw, diameter and lux
 */
public record LitPool(
    String piece,
    Vec from,
    Vec at,
    double reach,
    double diameter,
    double lux,
    List<Vec> ring,
    String words) {
  private static final int SIDES = 36;

  /** Those of all lanterns that shine out of their front and can be seen, burning or not. */
  public static List<LitPool> of(Space space, LengthUnit unit) {
    List<LitPool> all = new ArrayList<>();
    for (Piece p : space.pieces()) {
      Light light = LampLight.of(space, p);
      if (light != null && light.way() == Light.LightWay.front && !space.hidden(p)) {
        LitPool pool = of(space, p, light, unit);
        if (pool != null) {
          all.add(pool);
        }
      }
    }
    return all;
  }

  private static LitPool of(Space space, Piece p, Light light, LengthUnit unit) {
    LampSources.LampRay ray = LampSources.ray(space, p);
    if (ray == null) {
      return null;
    }
    Beam beam = light.beam();
    double half = Math.toRadians(beam.field() / 2);
    double wide = 2 * ray.reach() * Math.tan(half);
    double lux = beam.candela(light.lumens() * p.lamp().burning()) / (ray.reach() * ray.reach());
    String words =
        "%s throw, %s across%s"
            .formatted(
                unit.fine(ray.reach()),
                unit.fine(wide),
                lux > 0 ? ", " + Math.round(lux) + " lx" : "");
    return new LitPool(
        p.id(),
        ray.from(),
        ray.at(),
        ray.reach(),
        wide,
        lux,
        ring(ray.from(), ray.way(), half, ray.at().y()),
        words);
  }

  /** Where the edge of a cone meets a level; what does not, far away. */
  private static List<Vec> ring(Vec from, Vec way, double half, double level) {
    Vec side = Math.abs(way.y()) > 0.99 ? new Vec(1, 0, 0) : Vec.UP.cross(way).unit();
    Vec up = way.cross(side).unit();
    List<Vec> ring = new ArrayList<>();
    for (int i = 0; i < SIDES; i++) {
      double a = 2 * Math.PI * i / SIDES;
      Vec out = side.times(Math.cos(a)).plus(up.times(Math.sin(a)));
      Vec d = way.times(Math.cos(half)).plus(out.times(Math.sin(half)));
      double t = d.y() < -0.02 ? (level - from.y()) / d.y() : LampSources.FAR;
      ring.add(from.plus(d.times(Math.min(LampSources.FAR, Math.max(0, t)))));
    }
    return ring;
  }
}
