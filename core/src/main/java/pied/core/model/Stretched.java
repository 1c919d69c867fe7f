package pied.core.model;

import java.util.Map;
import pied.core.recipe.Buildable;
import pied.core.size.Size;
import pied.core.solid.Mesh;

/**
 * A model that was brought in: sized by stretching it.
 *
 * @param mesh at its natural size, the middle of its underside at zero
 * @param pictures on its parts, by their names
 */
public record Stretched(Mesh mesh, Size natural, Map<String, byte[]> pictures)
    implements Buildable {
  /** At its natural size. */
  public static Stretched of(Mesh mesh, Map<String, byte[]> pictures) {
    return new Stretched(mesh, Arrival.size(mesh), pictures);
  }

  @Override
  public Mesh build(Size size) {
    if (size.equals(natural)) {
      return mesh;
    }
    double[] f = {
      size.width() / natural.width(),
      size.height() / natural.height(),
      size.depth() / natural.depth()
    };
    double[] xyz = mesh.xyz().clone();
    float[] normals = mesh.normals().clone();
    for (int i = 0; i < xyz.length; i++) {
      xyz[i] *= f[i % 3];
    }
    for (int i = 0; i + 2 < normals.length; i += 3) {
      double x = normals[i] / f[0];
      double y = normals[i + 1] / f[1];
      double z = normals[i + 2] / f[2];
      double l = Math.sqrt(x * x + y * y + z * z);
      normals[i] = (float) (x / l);
      normals[i + 1] = (float) (y / l);
      normals[i + 2] = (float) (z / l);
    }
    return new Mesh(xyz, normals, mesh.corners(), mesh.partOf(), mesh.parts(), mesh.uv());
  }
}
