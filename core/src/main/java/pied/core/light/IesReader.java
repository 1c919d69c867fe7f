package pied.core.light;

import java.util.ArrayList;
import java.util.List;
import pied.core.Tolerance;
import pied.core.light.Photometry.PlaneFold;
import pied.core.units.Refusal;

/** Reads photometric files by IES LM-63 of 1986 to 2019, of type C. */
final class IesReader {
  private static final double FEW = Tolerance.FINE;

  private final List<Double> numbers = new ArrayList<>();
  private int at;
  private String name = "";

  private IesReader() {}

  static Photometry read(String text) {
    return new IesReader().file(text.split("\\R"));
  }

  private Photometry file(String[] lines) {
    int i = 0;
    while (i < lines.length && !lines[i].strip().startsWith("TILT=")) {
      keyword(lines[i++].strip());
    }
    if (i == lines.length) {
      throw new Refusal("It is no photometric file by LM-63: it has no line TILT=.");
    }
    String tilt = lines[i++].strip().substring("TILT=".length()).strip();
    for (; i < lines.length; i++) {
      numbers(lines[i], i + 1);
    }
    if (tilt.equalsIgnoreCase("INCLUDE")) {
      skipTilt();
    } else if (!tilt.equalsIgnoreCase("NONE")) {
      throw new Refusal("Its tilt is in another file, “{}”; that cannot be read.", tilt);
    }
    return body();
  }

  private void keyword(String line) {
    if (line.startsWith("[LUMINAIRE]") || line.startsWith("[LUMCAT]") && name.isEmpty()) {
      name = line.substring(line.indexOf(']') + 1).strip();
    }
  }

  private void numbers(String line, int n) {
    for (String w : line.strip().split("[\\s,]+")) {
      if (!w.isEmpty()) {
        try {
          numbers.add(Double.parseDouble(w));
        } catch (NumberFormatException e) {
          throw new Refusal(
              "Line {}: “{}” is no number.", n, w.substring(0, Math.min(20, w.length())));
        }
      }
    }
    if (numbers.size() > Photometry.MOST * Photometry.MOST) {
      throw new Refusal("It has more numbers than can be read.");
    }
  }

  private double next(String what) {
    if (at >= numbers.size()) {
      throw new Refusal("It ends before {}.", what);
    }
    return numbers.get(at++);
  }

  private int count(String what) {
    double v = next(what);
    if (v != Math.rint(v) || v < 1 || v > Photometry.MOST) {
      throw new Refusal("It has {} {}; 1 to {} can be read.", v, what, Photometry.MOST);
    }
    return (int) v;
  }

  /** How much is left in other positions of the lamp is nothing to one that hangs as it should. */
  private void skipTilt() {
    next("the tilt");
    int n = count("angles of tilt");
    for (int i = 0; i < 2 * n; i++) {
      next("the end of the tilt");
    }
  }

  private Photometry body() {
    double lamps = next("the number of lamps");
    double each = next("the lumens of a lamp");
    double times = next("what candela are multiplied by");
    int down = count("vertical angles");
    int round = count("horizontal angles");
    double type = next("its type");
    if (type != 1) {
      throw new Refusal(
          "It was measured by type {}; only type C, about the vertical axis, can be read.",
          type == 2 ? "B" : type == 3 ? "A" : "" + type);
    }
    next("its unit");
    for (int i = 0; i < 3; i++) {
      next("its size");
    }
    double ballast = next("its ballast factor");
    next("what is kept for later");
    double watts = next("its watts");
    double[] angles = some(down, "vertical angles");
    double[] planes = some(round, "horizontal angles");
    double[][] candela = new double[round][];
    for (int i = 0; i < round; i++) {
      candela[i] = some(down, "candela");
      for (int k = 0; k < down; k++) {
        candela[i][k] *= times * ballast;
      }
    }
    PlaneFold fold = fold(planes);
    Photometry p = new Photometry(name, 1, Math.max(0, watts), planes, angles, candela, fold);
    // below nothing it was measured as it is: its light is what it sums up to
    double lumens = each < 0 ? p.summed() : lamps * each * ballast;
    return new Photometry(name, lumens, p.watts(), planes, angles, candela, fold);
  }

  private double[] some(int n, String what) {
    double[] all = new double[n];
    for (int i = 0; i < n; i++) {
      all[i] = next("the end of its " + what);
    }
    return all;
  }

  private static PlaneFold fold(double[] planes) {
    double first = planes[0];
    double last = planes[planes.length - 1];
    if (planes.length == 1 || Math.abs(last) < FEW) {
      return PlaneFold.round;
    }
    if (Math.abs(first - 90) < FEW && Math.abs(last - 270) < FEW) {
      throw new Refusal("Its half planes go from 90° to 270°; from 0° on they can be read.");
    }
    if (Math.abs(first) > FEW) {
      throw new Refusal("Its half planes do not begin with 0°.");
    }
    return Math.abs(last - 90) < FEW
        ? PlaneFold.quarters
        : Math.abs(last - 180) < FEW ? PlaneFold.sides : PlaneFold.none;
  }
}
