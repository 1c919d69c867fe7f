package pied.core.format;

import pied.core.Nullable;
import pied.core.material.Appearance;
import pied.core.material.Look;
import pied.core.material.OwnPicture;
import pied.core.solid.Mesh;

/** Where the corners of a part are on what is printed on it. */
public final class TexturePlaces {
  private TexturePlaces() {}

  /** Whether a part of a mesh wears the picture that came with its model. */
  static boolean pictured(Mesh mesh, Look look) {
    return mesh.uv() != null && pictured(look);
  }

  /** Whether what looks so wears the picture that came with its model. */
  public static boolean pictured(Look look) {
    return look.picture() != null && OwnPicture.named(look.finish().material()) == null;
  }

  /**
   * Two numbers for every corner: to the right and down, one a repeat.
   *
   * @param corners numbers of corners of the mesh
   * @return null if nothing is printed on it
   */
  public static @Nullable float[] of(Mesh mesh, int[] corners, Look look) {
    return of(mesh, corners, look, Appearance.of(look.finish()));
  }

  /**
   * Two numbers for every corner: to the right and down, one a repeat.
   *
   * @param corners numbers of corners of the mesh
   * @param surface what the look is
   * @return null if nothing is printed on it
   */
  static @Nullable float[] of(Mesh mesh, int[] corners, Look look, Appearance surface) {
    boolean pictured = pictured(mesh, look);
    if (!pictured && surface.tile() == null) {
      return null;
    }
    float[] out = new float[2 * corners.length];
    if (pictured) {
      for (int i = 0; i < corners.length; i++) {
        System.arraycopy(mesh.uv(), 2 * corners[i], out, 2 * i, 2);
      }
      return out;
    }
    double[] m = surface.tile().matrix();
    float[] from = surface.tile().along() ? mesh.mapping().along() : mesh.mapping().upright();
    for (int i = 0; i < corners.length; i++) {
      double u = from[2 * corners[i]];
      double v = from[2 * corners[i] + 1];
      out[2 * i] = (float) (m[0] * u + m[1] * v + m[2]);
      out[2 * i + 1] = (float) (m[3] * u + m[4] * v + m[5]);
    }
    return out;
  }
}
