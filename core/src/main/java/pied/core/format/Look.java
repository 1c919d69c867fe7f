package pied.core.format;

import java.util.Arrays;
import java.util.Objects;
import pied.core.Nullable;

/**
 * How a surface looks.
 *
 * @param name of the part it is of
 * @param colour #RRGGBB
 * @param rough 0 polished to 1 matt
 * @param glow 0 for none to 1
 * @param picture a PNG or JPEG file on it, in place of the colour; null for none
 */
public record Look(
    String name, String colour, double rough, double glow, @Nullable byte[] picture) {
  @Override
  public boolean equals(Object o) {
    return o instanceof Look l
        && name.equals(l.name)
        && colour.equals(l.colour)
        && rough == l.rough
        && glow == l.glow
        && Arrays.equals(picture, l.picture);
  }

  @Override
  public int hashCode() {
    return Objects.hash(name, colour, rough, glow, picture == null ? 0 : picture.length);
  }

  @Override
  public String toString() {
    return name + " " + colour + (picture == null ? "" : " with a picture");
  }

  /** Red, green and blue in linear light, 0 to 1 (IEC 61966-2-1), as glTF wants them. */
  double[] linear() {
    int rgb = Integer.parseInt(colour.substring(1), 16);
    double[] out = new double[3];
    for (int k = 0; k < 3; k++) {
      double c = (rgb >> (16 - 8 * k) & 255) / 255.0;
      out[k] = c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }
    return out;
  }
}
