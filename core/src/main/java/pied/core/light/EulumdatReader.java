package pied.core.light;

import java.util.Arrays;
import java.util.List;
import pied.core.light.Photometry.PlaneFold;
import pied.core.units.Refusal;

/** Reads photometric files of the form EULUMDAT (A. Stockmar, 1990; extended 1998). */
final class EulumdatReader {
  private static final int DIRECT_RATIOS = 10;

  /** By the number that a file has for its symmetry. */
  private static final List<PlaneFold> FOLDS =
      List.of(PlaneFold.none, PlaneFold.round, PlaneFold.sides, PlaneFold.ends, PlaneFold.quarters);

  private final String[] lines;
  private int at;

  private EulumdatReader(String text) {
    lines = text.split("\\R");
  }

  static Photometry read(String text) {
    return new EulumdatReader(text).file();
  }

  private String line(String what) {
    if (at >= lines.length) {
      throw new Refusal("It is no photometric file, or it ends before {}.", what);
    }
    return lines[at++].strip();
  }

  private double number(String what) {
    String s = line(what).replace(',', '.');
    try {
      return Double.parseDouble(s);
    } catch (NumberFormatException e) {
      throw new Refusal(
          "Line {}: {} should be a number, and is “{}”.",
          at,
          what,
          s.substring(0, Math.min(20, s.length())));
    }
  }

  private int count(String what, int least, int most) {
    double v = number(what);
    if (v != Math.rint(v) || v < least || v > most) {
      throw new Refusal("Line {}: {} is {} to {}, and not {}.", at, what, least, most, v);
    }
    return (int) v;
  }

  private void skip(int n, String what) {
    for (int i = 0; i < n; i++) {
      line(what);
    }
  }

  private Photometry file() {
    line("its maker");
    count("its sort", 0, 3);
    int symmetry = count("its symmetry", 0, 4);
    int planes = count("the number of C-planes", 1, Photometry.MOST);
    number("the distance of C-planes");
    int angles = count("the number of angles", 1, Photometry.MOST);
    number("the distance of angles");
    skip(1, "the number of its report");
    String name = line("its name");
    skip(3, "its number, file and date");
    skip(9, "its measures");
    number("the share of light downward");
    double output = number("the share of light that leaves it") / 100;
    double times = number("what candela are multiplied by");
    number("its tilt");
    double[] fitted = lamps();
    skip(DIRECT_RATIOS, "its direct ratios");
    double[] all = some(planes, "C-planes");
    double[] down = some(angles, "angles");
    double[] own = stored(all, symmetry);
    double[][] candela = new double[own.length][];
    for (int i = 0; i < own.length; i++) {
      candela[i] = some(angles, "candela");
      for (int k = 0; k < angles; k++) {
        candela[i][k] *= times * fitted[0] / 1000; // they are for a thousand lumens
      }
    }
    PlaneFold fold = FOLDS.get(symmetry);
    return new Photometry(
        name,
        fitted[0] * output,
        Math.max(0, fitted[1]),
        closed(own, fold),
        down,
        closed(candela, own, fold),
        fold);
  }

  /** Lumens and watts of the first set of lamps; the others are what may be put in instead. */
  private double[] lamps() {
    int sets = count("the number of sets of lamps", 1, 20);
    double[] first = new double[2];
    for (int i = 0; i < sets; i++) {
      number("the number of lamps");
      line("the sort of lamps");
      double flux = number("the lumens of lamps");
      skip(2, "the colour of lamps");
      double power = number("the watts of lamps");
      first = i == 0 ? new double[] {flux, power} : first;
    }
    return first;
  }

  private double[] some(int n, String what) {
    double[] all = new double[n];
    for (int i = 0; i < n; i++) {
      all[i] = number("one of its " + what);
    }
    return all;
  }

  /** Of which half planes there are candela. */
  private static double[] stored(double[] all, int symmetry) {
    int n = all.length;
    return switch (symmetry) {
      case 1 -> new double[] {all[0]};
      case 2 -> Arrays.copyOf(all, n / 2 + 1);
      case 3 -> {
        double[] own = new double[n / 2 + 1];
        for (int i = 0; i < own.length; i++) {
          int k = 3 * n / 4 + i;
          own[i] = all[k % n] + (k >= n ? 360 : 0);
        }
        yield own;
      }
      case 4 -> Arrays.copyOf(all, n / 4 + 1);
      default -> all;
    };
  }

  /** Where all half planes are there, the last is followed by the first. */
  private static double[] closed(double[] planes, PlaneFold fold) {
    if (fold != PlaneFold.none) {
      return planes;
    }
    double[] more = Arrays.copyOf(planes, planes.length + 1);
    more[planes.length] = planes[0] + 360;
    return more;
  }

  private static double[][] closed(double[][] candela, double[] planes, PlaneFold fold) {
    if (fold != PlaneFold.none) {
      return candela;
    }
    double[][] more = Arrays.copyOf(candela, planes.length + 1);
    more[planes.length] = candela[0];
    return more;
  }
}
