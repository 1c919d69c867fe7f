package pied.core.lighting;

import java.util.ArrayList;
import java.util.List;
import pied.core.Tolerance;
import pied.core.light.Photometry;
import pied.core.space.Spot;

/**
 * The curve of a photometric file as it is drawn: candela by the angle, straight down at the foot
 * of the sheet.
 *
 * @param most candela of the strongest, which is drawn 1 from the middle
 * @param along through the half planes at 0° and 180°
 * @param across through those at 90° and 270°
 */
public record CurveFigure(double most, List<Spot> along, List<Spot> across) {
  private static final int STEP = 3;

  public static CurveFigure of(Photometry p) {
    double most = p.most();
    return new CurveFigure(most, section(p, 0, most), section(p, 90, most));
  }

  private static List<Spot> section(Photometry p, double plane, double most) {
    List<Spot> ring = new ArrayList<>();
    for (int g = 0; g <= 360; g += STEP) {
      boolean right = g <= 180;
      double v =
          p.candela(right ? plane : plane + 180, right ? g : 360 - g)
              / Math.max(Tolerance.SAME, most);
      double a = Math.toRadians(g);
      ring.add(new Spot(v * Math.sin(a), v * Math.cos(a)));
    }
    return ring;
  }
}
