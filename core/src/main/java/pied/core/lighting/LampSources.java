package pied.core.lighting;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.catalog.Light;
import pied.core.light.Beam;
import pied.core.light.LinearColour;
import pied.core.light.Shutters;
import pied.core.lighting.LampSource.Blades;
import pied.core.material.pattern.Tint;
import pied.core.piece.Aim;
import pied.core.piece.Piece;
import pied.core.recipe.Head;
import pied.core.show.LampCurve;
import pied.core.solid.Bodies.RayMet;
import pied.core.solid.Vec;
import pied.core.space.Space;

/**
 * Where the light of lamps comes from: from the middle of each thing that glows on them. Places are
 * worked out once for each lamp and anew only for what was moved.
 */
public final class LampSources {
  /** The densest filter lets so much of each colour through. */
  private static final double DENSE = 0.004;

  /** Farther than this light is not followed, metres. */
  static final double FAR = 60;

  private LampSources() {}

  /** All that burn in a space and can be seen, in the order of the lamps. */
  public static List<LampSource> of(Space space) {
    List<LampSource> burning = new ArrayList<>();
    for (Map.Entry<String, List<Vec>> e : allPlaces(space).entrySet()) {
      Piece p = space.piece(e.getKey());
      double share = p.lamp().burning();
      if (e.getValue() != null && share > 0 && !space.hidden(p)) {
        burning.addAll(shining(space, p, e.getValue(), share));
      }
    }
    return burning;
  }

  /** Of each lamp, whatever it is switched to; nothing for what is none. */
  private static Map<String, List<Vec>> allPlaces(Space space) {
    return space.renewedBySolid(
        "lamp sources", (s, p) -> s.article(p).light() == null ? null : places(s, p));
  }

  private static List<LampSource> shining(Space space, Piece p, List<Vec> here, double share) {
    Light light = LampLight.of(space, p);
    LampCurve curve = LampLight.curve(space, p);
    double left = share * passes(p) / here.size();
    Vec way = way(space, p);
    LampSource.Measured measured =
        curve == null ? null : new LampSource.Measured(curve.light(), left, side(p, way));
    LinearColour colour = colour(light, p);
    Blades cut = cut(p, light.beam());
    return here.stream()
        .map(
            at ->
                new LampSource(
                    p.id(), at, way, light.beam(), left * light.lumens(), colour, measured, cut))
        .toList();
  }

  private static @Nullable Blades cut(Piece p, Beam beam) {
    Shutters s = p.lamp().shutters();
    return s == null
        ? null
        : new Blades(s, across(p, new Vec(-1, 0, 0)), across(p, Vec.UP), s.through(beam));
  }

  /** A direction across its light, as its head is turned. */
  static Vec across(Piece p, Vec straight) {
    Head head = p.lamp().head();
    return p.pose().direct(head == null ? straight : head.turned(straight));
  }

  /** Where the half plane at 0° is: to the right of the piece, square to its way. */
  private static Vec side(Piece p, Vec way) {
    Vec right = p.pose().direct(new Vec(1, 0, 0));
    Vec square = right.minus(way.times(right.dot(way)));
    return square.length() > Tolerance.NEAR ? square.unit() : Vec.UP.cross(way).unit();
  }

  /** Where the light of a lamp falls, or would, along its way. */
  static @Nullable LampRay ray(Space space, Piece p) {
    Vec from = middle(allPlaces(space).get(p.id()));
    Vec way = way(space, p);
    RayMet met = met(space, p.id(), from, way);
    return met == null ? null : new LampRay(from, way, met.point(), met.distance());
  }

  /** From where along which way it meets something, and how far that is, metres. */
  record LampRay(Vec from, Vec way, Vec at, double reach) {}

  /** What light meets that goes along a way, of all that can be seen but the lamp itself. */
  static @Nullable RayMet met(Space space, String lamp, Vec from, Vec way) {
    return space.bodies().ray(from, way, FAR, b -> space.seen(b) && !b.id().equals(lamp));
  }

  /**
   * Which way a lamp shines: to what it is aimed at, as near as its yoke lets it; straight ahead
   * where it is aimed at nothing, or that is gone.
   *
   * @return of length 1
   */
  public static Vec way(Space space, Piece p) {
    Head head = head(space, p);
    if (head != null) {
      return p.pose().direct(head.way());
    }
    return p.pose()
        .direct(
            switch (space.article(p).light().way()) {
              case down -> new Vec(0, -1, 0);
              case up -> new Vec(0, 1, 0);
              case front -> new Vec(0, 0, 1);
            });
  }

  /**
   * How the head of a lantern is to be turned so that it looks at what it is aimed at, wherever
   * that is now.
   *
   * @return null for straight ahead
   */
  public static @Nullable Head head(Space space, Piece p) {
    Aim aim = p.lamp().aim();
    if (aim == null || aim.piece() != null && !space.has(aim.piece())) {
      return null;
    }
    Vec way = toward(space, p, aim);
    return way.length() > Tolerance.NEAR ? Head.toward(way) : null;
  }

  /** How far above the level a lantern would have to look, degrees; its yoke may not let it. */
  public static double upward(Space space, Piece p) {
    Aim aim = p.lamp().aim();
    Vec way = aim == null ? Vec.ZERO : toward(space, p, aim);
    return Math.toDegrees(Math.atan2(way.y(), Math.hypot(way.x(), way.z())));
  }

  /** From what its head turns about to what it is aimed at, in the frame of the lantern. */
  private static Vec toward(Space space, Piece p, Aim aim) {
    Vec to = aim.piece() == null ? aim.at() : space.piece(aim.piece()).pose().apply(aim.at());
    return p.pose().unapply(to).minus(space.shapes().pivot(p));
  }

  /** The colour of its light behind its filter. */
  private static LinearColour colour(Light light, Piece p) {
    LinearColour own = LinearColour.of(light.kelvin());
    if (p.lamp().filter() == null) {
      return own;
    }
    double[] f = Tint.linear(p.lamp().filter());
    return LinearColour.of(
        own.red() * Math.max(f[0], DENSE),
        own.green() * Math.max(f[1], DENSE),
        own.blue() * Math.max(f[2], DENSE));
  }

  /** What is left of its light behind its filter, of 1. */
  static double passes(Piece p) {
    if (p.lamp().filter() == null) {
      return 1;
    }
    double[] f = Tint.linear(p.lamp().filter());
    return Math.max(DENSE, LinearColour.luminance(f[0], f[1], f[2]));
  }

  private static List<Vec> places(Space space, Piece p) {
    return space.shapes().glowing(p).stream().map(p.pose()::apply).toList();
  }

  private static Vec middle(List<Vec> at) {
    return at.stream().reduce(Vec.ZERO, Vec::plus).times(1.0 / at.size());
  }
}
