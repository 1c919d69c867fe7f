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
    boolean cut = !p.lamp().blades().passes(0, 0);
    double lux =
        cut ? 0 : beam.candela(light.lumens() * p.lamp().burning()) / (ray.reach() * ray.reach());
    String words =
        "%s throw, %s across%s"
            .formatted(
                unit.fine(ray.reach()),
                unit.fine(wide),
                lux > 0 ? ", " + Math.round(lux) + " lx" : "");
    return new LitPool(
        p.id(), ray.from(), ray.at(), ray.reach(), wide, lux, ring(p, ray, Math.tan(half)), words);
  }

  /** Where the edge of what leaves it meets the level of the pool; what does not, far away. */
  private static List<Vec> ring(Piece p, LampSources.LampRay ray, double tan) {
    Vec right = LampSources.across(p, new Vec(-tan, 0, 0));
    Vec up = LampSources.across(p, new Vec(0, tan, 0));
    Vec from = ray.from();
    double level = ray.at().y();
    return p.lamp().blades().outline().stream()
        .map(c -> ray.way().plus(right.times(c[0])).plus(up.times(c[1])).unit())
        .map(
            d -> {
              double t = d.y() < -0.02 ? (level - from.y()) / d.y() : LampSources.FAR;
              return from.plus(d.times(Math.min(LampSources.FAR, Math.max(0, t))));
            })
        .toList();
  }
}
