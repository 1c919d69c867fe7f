package pied.core.still;

import java.util.ArrayList;
import java.util.List;
import pied.core.light.Beam;
import pied.core.light.LinearColour;
import pied.core.lighting.LampSource;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.Vec;
import pied.core.still.StillScene.SceneBody;
import pied.core.still.StillScene.ShiningBody;

/** Small scenes of which one knows what light there is. */
final class Boxes {
  static final LinearColour WHITE = LinearColour.of(1, 1, 1);

  private Boxes() {}

  static SceneBody body(Mesh mesh, LitSurface s) {
    return new SceneBody(mesh, Pose.HERE, new LitSurface[] {s}, false, false);
  }

  static SceneBody box(Vec a, Vec b, LitSurface s) {
    return body(Mesh.ofBox(a, b), s);
  }

  /** A four-sided sheet. */
  static SceneBody sheet(Vec a, Vec across, Vec up, LitSurface s) {
    Vec b = a.plus(across);
    Vec c = b.plus(up);
    Vec d = a.plus(up);
    double[] xyz = {
      a.x(), a.y(), a.z(), b.x(), b.y(), b.z(), c.x(), c.y(), c.z(), d.x(), d.y(), d.z()
    };
    return body(Mesh.of(xyz, new int[] {0, 1, 2, 0, 2, 3}), s);
  }

  /** A level floor at zero, five metres to each side. */
  static SceneBody floor(LitSurface s) {
    return sheet(new Vec(-5, 0, -5), new Vec(0, 0, 10), new Vec(10, 0, 0), s);
  }

  static ShiningBody lamp(Vec at, double lumens, double radius) {
    return new ShiningBody(
        new LampSource("lamp", at, Vec.DOWN, Beam.ROUND, lumens, WHITE), radius, -1);
  }

  static StillScene scene(List<SceneBody> bodies, List<ShiningBody> lamps, Outdoors outdoors) {
    return new StillScene(bodies, lamps, outdoors, false);
  }

  /** A closed room from zero to a corner: floor, ceiling and walls, each of its own. */
  static List<SceneBody> room(Vec size, LitSurface... of) {
    List<SceneBody> all = new ArrayList<>();
    double t = 0.2;
    Vec o = new Vec(-t, -t, -t);
    Vec s = size.plus(new Vec(t, t, t));
    all.add(box(o, new Vec(s.x(), 0, s.z()), of[0]));
    all.add(box(new Vec(-t, size.y(), -t), s, of[1 % of.length]));
    all.add(box(o, new Vec(0, s.y(), s.z()), of[2 % of.length]));
    all.add(box(new Vec(size.x(), -t, -t), s, of[3 % of.length]));
    all.add(box(o, new Vec(s.x(), s.y(), 0), of[4 % of.length]));
    all.add(box(new Vec(-t, -t, size.z()), s, of[5 % of.length]));
    return all;
  }

  /** What comes to an eye, in the mean of so many paths: red, green and blue, cd/m². */
  static double[] seen(StillScene scene, Vec eye, Vec target, int paths) {
    return seen(scene, null, eye, target, paths);
  }

  static double[] seen(StillScene scene, LightCells cells, Vec eye, Vec target, int paths) {
    PathTracer t = new PathTracer(scene, cells, Double.POSITIVE_INFINITY);
    PathSamples s = new PathSamples();
    double[] from = Outdoors.numbers(eye);
    double[] way = Outdoors.numbers(target.minus(eye).unit());
    double[] rgb = new double[3];
    double[] sum = new double[3];
    for (int i = 0; i < paths; i++) {
      s.begin(7, i, 0);
      s.pair();
      t.trace(from, way, 1e-4, s, rgb);
      for (int k = 0; k < 3; k++) {
        sum[k] += rgb[k] / paths;
      }
    }
    return sum;
  }

  static double lux(StillScene scene, Vec at, Vec face, double share) {
    return new LuxMeter(scene).at(at, face, share).lux();
  }
}
