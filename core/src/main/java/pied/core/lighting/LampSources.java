package pied.core.lighting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.catalog.Article;
import pied.core.catalog.Light;
import pied.core.light.LinearColour;
import pied.core.material.pattern.Tint;
import pied.core.piece.Aim;
import pied.core.piece.Piece;
import pied.core.show.LampCurve;
import pied.core.solid.Bodies.RayMet;
import pied.core.solid.Mesh;
import pied.core.solid.Vec;
import pied.core.space.Space;

/**
 * Where the light of lamps comes from: from the middle of each thing that glows on them. Places are
 * worked out once for each lamp and anew only for what was moved.
 */
public final class LampSources {
  /** Most of one lamp; what glows in more places does so from these. */
  private static final int MOST = 6;

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
    Vec way = way(space, p, middle(here));
    LampSource.Measured measured =
        curve == null ? null : new LampSource.Measured(curve.light(), left, side(p, way));
    LinearColour colour = colour(light, p);
    return here.stream()
        .map(
            at ->
                new LampSource(
                    p.id(), at, way, light.beam(), left * light.lumens(), colour, measured))
        .toList();
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
    Vec way = way(space, p, from);
    RayMet met = met(space, p.id(), from, way);
    return met == null ? null : new LampRay(from, way, met.point(), met.distance());
  }

  /** From where along which way it meets something, and how far that is, metres. */
  record LampRay(Vec from, Vec way, Vec at, double reach) {}

  /** What light meets that goes along a way, of all that can be seen but the lamp itself. */
  static @Nullable RayMet met(Space space, String lamp, Vec from, Vec way) {
    return space.bodies().ray(from, way, FAR, b -> space.seen(b) && !b.id().equals(lamp));
  }

  private static Vec middle(List<Vec> at) {
    return at.stream().reduce(Vec.ZERO, Vec::plus).times(1.0 / at.size());
  }

  /**
   * Which way a lamp shines: to what it is aimed at, wherever that is now; straight ahead should
   * that be gone.
   *
   * @return of length 1
   */
  public static Vec way(Space space, Piece p) {
    return way(space, p, middle(places(space, p)));
  }

  private static Vec way(Space space, Piece p, Vec from) {
    Light light = space.article(p).light();
    Aim aim = p.lamp().aim();
    if (aim != null && (aim.piece() == null || space.has(aim.piece()))) {
      Vec to = aim.piece() == null ? aim.at() : space.piece(aim.piece()).pose().apply(aim.at());
      Vec way = to.minus(from);
      if (way.length() > Tolerance.NEAR) {
        return way.unit();
      }
    }
    return p.pose()
        .direct(
            switch (light.way()) {
              case down -> new Vec(0, -1, 0);
              case up -> new Vec(0, 1, 0);
              case front -> new Vec(0, 0, 1);
            });
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
    return glowing(space.article(p), p, space.shapes().mesh(p)).stream()
        .map(p.pose()::apply)
        .toList();
  }

  /** Middles of the things that glow, in the frame of the piece; the middle of all for none. */
  static List<Vec> glowing(Article article, Piece p, Mesh mesh) {
    boolean[] glows = new boolean[mesh.parts().size()];
    for (int i = 0; i < glows.length; i++) {
      glows[i] = article.look(mesh.parts().get(i), p.finishes()).finish().emission() > 0;
    }
    int[] welded = mesh.welded();
    int[] root = joined(mesh, welded, glows);
    Map<Integer, double[]> boxes = new HashMap<>();
    int[] corners = mesh.corners();
    for (int c = 0; c < corners.length; c++) {
      if (glows[mesh.partOf()[c / 3]]) {
        double[] box =
            boxes.computeIfAbsent(
                top(root, welded[corners[c]]), k -> new double[] {1e9, 1e9, 1e9, -1e9, -1e9, -1e9});
        Vec v = mesh.vertex(corners[c]);
        double[] xyz = {v.x(), v.y(), v.z()};
        for (int k = 0; k < 3; k++) {
          box[k] = Math.min(box[k], xyz[k]);
          box[k + 3] = Math.max(box[k + 3], xyz[k]);
        }
      }
    }
    List<Vec> middles =
        boxes.values().stream()
            .map(b -> new Vec((b[0] + b[3]) / 2, (b[1] + b[4]) / 2, (b[2] + b[5]) / 2))
            .sorted(
                Comparator.comparingDouble(Vec::x)
                    .thenComparingDouble(Vec::y)
                    .thenComparingDouble(Vec::z))
            .toList();
    return middles.isEmpty() ? List.of(mesh.box().centre()) : few(middles);
  }

  /** Corners that hang together by what glows have one root. */
  private static int[] joined(Mesh mesh, int[] welded, boolean[] glows) {
    int[] root = new int[welded.length];
    for (int i = 0; i < root.length; i++) {
      root[i] = i;
    }
    int[] corners = mesh.corners();
    for (int c = 0; c < corners.length; c += 3) {
      if (glows[mesh.partOf()[c / 3]]) {
        join(root, welded[corners[c]], welded[corners[c + 1]]);
        join(root, welded[corners[c]], welded[corners[c + 2]]);
      }
    }
    return root;
  }

  /** So many at most: each stands for those next to it. */
  private static List<Vec> few(List<Vec> all) {
    if (all.size() <= MOST) {
      return all;
    }
    List<Vec> some = new ArrayList<>();
    for (int i = 0; i < MOST; i++) {
      List<Vec> these = all.subList(i * all.size() / MOST, (i + 1) * all.size() / MOST);
      some.add(middle(these));
    }
    return some;
  }

  private static void join(int[] root, int a, int b) {
    root[top(root, a)] = top(root, b);
  }

  private static int top(int[] root, int i) {
    int at = i;
    while (root[at] != at) {
      root[at] = root[root[at]];
      at = root[at];
    }
    return at;
  }
}
