package pied.core.still;

import pied.core.Tolerance;
import pied.core.solid.Mesh;
import pied.core.solid.Pose;
import pied.core.solid.SceneTree.SceneHit;
import pied.core.solid.Vec;
import pied.core.still.StillScene.SceneBody;

/**
 * A point that a path has met: where it is, which way it looks, and what is there. One a thread.
 */
final class MetPoint {
  /** A bent normal looks at least so much toward whoever looks at it, cosine. */
  private static final double LEAST = 0.02;

  final double[] at = new double[3];

  /** Of the face, on the side from where one looks. */
  final double[] facing = new double[3];

  /** By which it is shaded. */
  final double[] normal = new double[3];

  final double[] colour = new double[3];
  double rough;
  double open;
  LitSurface surface;
  int body;
  int part;

  private final float[] dots = new float[4];
  private final double[] e1 = new double[3];
  private final double[] e2 = new double[3];
  private final double[] place = new double[6];

  /**
   * Sets it up.
   *
   * @param body that was met
   * @param wide how wide what is looked at together is there, metres
   */
  void set(SceneBody b, int body, SceneHit hit, double[] from, double[] way, double wide) {
    boolean back = shape(b, body, hit, from, way);
    Mesh mesh = b.mesh();
    System.arraycopy(surface.colour(), 0, colour, 0, 3);
    rough = surface.rough();
    open = surface.open();
    if (surface.tiled() != null) {
      print(mesh, b.pose(), hit, wide, back);
    }
    toward(way);
  }

  /**
   * Sets up what shape it has, and nothing of how it looks.
   *
   * @return whether one looks at its back
   */
  boolean shape(SceneBody b, int body, SceneHit hit, double[] from, double[] way) {
    this.body = body;
    Mesh mesh = b.mesh();
    part = mesh.partOf()[hit.triangle];
    surface = b.surfaces()[part];
    for (int k = 0; k < 3; k++) {
      at[k] = from[k] + hit.distance * way[k];
    }
    face(mesh, b.pose(), hit.triangle);
    boolean back = Frames.dot(facing, way) > 0;
    shade(mesh, b.pose(), hit, back);
    return back;
  }

  private void edges(Mesh mesh, int triangle) {
    double[] p = mesh.xyz();
    int a = 3 * mesh.corners()[3 * triangle];
    int b = 3 * mesh.corners()[3 * triangle + 1];
    int c = 3 * mesh.corners()[3 * triangle + 2];
    for (int k = 0; k < 3; k++) {
      e1[k] = p[b + k] - p[a + k];
      e2[k] = p[c + k] - p[a + k];
    }
  }

  private void face(Mesh mesh, Pose pose, int triangle) {
    edges(mesh, triangle);
    put(
        pose,
        e1[1] * e2[2] - e1[2] * e2[1],
        e1[2] * e2[0] - e1[0] * e2[2],
        e1[0] * e2[1] - e1[1] * e2[0],
        facing);
  }

  private static void put(Pose pose, double x, double y, double z, double[] to) {
    Vec v = pose.direct(new Vec(x, y, z));
    to[0] = v.x();
    to[1] = v.y();
    to[2] = v.z();
    Frames.unit(to);
  }

  private void shade(Mesh mesh, Pose pose, SceneHit hit, boolean back) {
    float[] n = mesh.normals();
    if (n == null) {
      System.arraycopy(facing, 0, normal, 0, 3);
    } else {
      int[] c = mesh.corners();
      int i = 3 * c[3 * hit.triangle];
      int j = 3 * c[3 * hit.triangle + 1];
      int k = 3 * c[3 * hit.triangle + 2];
      double w = 1 - hit.u - hit.v;
      double x = w * n[i] + hit.u * n[j] + hit.v * n[k];
      double y = w * n[i + 1] + hit.u * n[j + 1] + hit.v * n[k + 1];
      double z = w * n[i + 2] + hit.u * n[j + 2] + hit.v * n[k + 2];
      if (x * x + y * y + z * z > Tolerance.FINE) {
        put(pose, x, y, z, normal);
      } else {
        System.arraycopy(facing, 0, normal, 0, 3);
      }
      if (Frames.dot(normal, facing) < 0) {
        flip(normal);
      }
    }
    if (back) {
      flip(facing);
      flip(normal);
    }
  }

  private static void flip(double[] v) {
    for (int k = 0; k < 3; k++) {
      v[k] = -v[k];
    }
  }

  /** What is seen of a bent normal never looks away. */
  private void toward(double[] way) {
    double cos = -Frames.dot(normal, way);
    if (cos < LEAST) {
      for (int k = 0; k < 3; k++) {
        normal[k] -= (LEAST - cos) * way[k];
      }
      Frames.unit(normal);
    }
  }

  /** What repeats on it, or is printed. */
  private void print(Mesh mesh, Pose pose, SceneHit hit, double wide, boolean back) {
    LitSurface.TiledSurface t = surface.tiled();
    lies(mesh, t, hit.triangle);
    double w = 1 - hit.u - hit.v;
    double u = w * place[0] + hit.u * place[2] + hit.v * place[4];
    double v = w * place[1] + hit.u * place[3] + hit.v * place[5];
    double many = wide / t.width() * t.dots();
    t.colours().at(u, v, many, dots);
    for (int k = 0; k < 3; k++) {
      colour[k] = dots[k];
    }
    if (t.holes()) {
      open = 1 - (1 - open) * dots[3];
    }
    if (t.roughs() != null) {
      t.roughs().at(u, v, many, dots);
      rough = dots[1];
    }
    if (t.normals() != null) {
      t.normals().at(u, v, many, dots);
      bend(pose, back);
    }
  }

  private void lies(Mesh mesh, LitSurface.TiledSurface t, int triangle) {
    if (t.pictured()) {
      for (int k = 0; k < 6; k++) {
        place[k] = mesh.uv()[6 * triangle + k];
      }
      return;
    }
    float[] from = t.along() ? mesh.mapping().along() : mesh.mapping().upright();
    double[] m = t.matrix();
    for (int k = 0; k < 3; k++) {
      double x = from[6 * triangle + 2 * k];
      double y = from[6 * triangle + 2 * k + 1];
      place[2 * k] = m[0] * x + m[1] * y + m[2];
      place[2 * k + 1] = m[3] * x + m[4] * y + m[5];
    }
  }

  /** Bends the normal as the tile says: red to the right of it, green up, blue out. */
  private void bend(Pose pose, boolean back) {
    double du1 = place[2] - place[0];
    double dv1 = place[3] - place[1];
    double du2 = place[4] - place[0];
    double dv2 = place[5] - place[1];
    double det = du1 * dv2 - du2 * dv1;
    if (Math.abs(det) < Tolerance.NONE) {
      return;
    }
    double[] right = new double[3];
    double[] up = new double[3];
    put(
        pose,
        (dv2 * e1[0] - dv1 * e2[0]) / det,
        (dv2 * e1[1] - dv1 * e2[1]) / det,
        (dv2 * e1[2] - dv1 * e2[2]) / det,
        right);
    put(
        pose,
        -(du1 * e2[0] - du2 * e1[0]) / det,
        -(du1 * e2[1] - du2 * e1[1]) / det,
        -(du1 * e2[2] - du2 * e1[2]) / det,
        up);
    double x = 2 * dots[0] - 1;
    double y = 2 * dots[1] - 1;
    double z = Math.max(0.1, 2 * dots[2] - 1);
    double side = back ? -1 : 1;
    for (int k = 0; k < 3; k++) {
      normal[k] = z * normal[k] + side * (x * right[k] + y * up[k]);
    }
    Frames.unit(normal);
  }
}
