package pied.core.model;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import pied.core.Nullable;
import pied.core.catalog.Article;

/**
 * In which unit a model is built whose file does not say it: how likely each is by the habit of the
 * format, by how large the thing would be, by how round its measures would be in millimetres or in
 * inches, and by how long its edges would be. Logarithms of likelihoods are added up.
 */
final class UnitGuess {
  /** What most things measure in their longest direction, metres, and by how much they differ. */
  private static final double USUAL = 0.9;

  private static final double SPREAD = 1.1;

  /** The same for what has a telling name. */
  private static final double NAMED = 0.4;

  /** Edges of what is modelled, metres. */
  private static final double EDGE = 0.03;

  private static final double EDGES = 2.5;

  /** What a point of roundness counts. */
  private static final double POINT = 1;

  private static final double INCH = 25.4;

  /** To so much of it a measure is round: what is written with six digits. */
  private static final double ROUNDED = 2.0 / 1_000_000;

  /** Digits that are common in metric measures beside those that end in 0 or 5. */
  private static final List<Double> COMMON = List.of(1.2, 1.6, 1.8, 2.4);

  /** So many times less likely than the best it is still offered. */
  private static final double NEAR = 12;

  /** Units by their names, metres. */
  static final Map<String, Double> UNITS = new LinkedHashMap<>();

  static {
    UNITS.put("millimetres", 0.001);
    UNITS.put("centimetres", 0.01);
    UNITS.put("metres", 1.0);
    UNITS.put("inches", 0.0254);
    UNITS.put("feet", 0.3048);
  }

  /** How many files of a format are in millimetres, centimetres, metres, inches and feet. */
  private static final Map<String, double[]> HABITS =
      Map.of(
          "STL", new double[] {0.8, 0.04, 0.05, 0.1, 0.005},
          "OBJ", new double[] {0.24, 0.26, 0.32, 0.15, 0.03},
          "PLY", new double[] {0.38, 0.1, 0.45, 0.06, 0.01});

  private static final double[] OTHERS = {0.2, 0.2, 0.4, 0.15, 0.05};

  private UnitGuess() {}

  /**
   * A unit, and how likely it is.
   *
   * @param metres a unit
   * @param words its name
   * @param why what speaks for it most
   */
  record WeighedUnit(double metres, String words, double score, String why) {}

  /**
   * The units, the likeliest first, without those that are far less likely.
   *
   * @param whd what the model measures, units of the file
   * @param edge a usual length of its edges, units
   */
  static List<WeighedUnit> of(String format, double[] whd, double edge, @Nullable Article alike) {
    double[] habit = HABITS.getOrDefault(format, OTHERS);
    List<WeighedUnit> all = new ArrayList<>();
    int i = 0;
    for (Map.Entry<String, Double> u : UNITS.entrySet()) {
      all.add(weighed(u.getKey(), u.getValue(), Math.log(habit[i++]), format, whd, edge, alike));
    }
    all.sort(Comparator.comparingDouble(w -> -w.score));
    double least = all.get(0).score - Math.log(NEAR);
    return all.stream().filter(w -> w.score >= least).toList();
  }

  private static WeighedUnit weighed(
      String words,
      double unit,
      double habit,
      String format,
      double[] whd,
      double edge,
      @Nullable Article alike) {
    double most = Math.max(whd[0], Math.max(whd[1], whd[2])) * unit;
    double wanted = alike == null ? USUAL : longest(alike);
    double size = gauss(most / wanted, alike == null ? SPREAD : NAMED);
    double fine = edge > 0 ? gauss(edge * unit / EDGE, EDGES) : 0;
    double round = 0;
    for (double v : whd) {
      round += POINT * points(v * unit * 1000);
    }
    String why =
        alike != null && size > -2
            ? ", as large as " + alike.name().toLowerCase(Locale.ROOT)
            : round > 1 ? ", in which its measures are round" : habit > -0.4 ? usual(format) : "";
    return new WeighedUnit(unit, words, habit + size + fine + round, why);
  }

  private static String usual(String format) {
    return ", as most " + format + " files are";
  }

  static double longest(Article a) {
    return Math.max(a.size().width(), Math.max(a.size().height(), a.size().depth()));
  }

  private static double gauss(double ratio, double spread) {
    double x = Math.log(ratio) / spread;
    return -x * x / 2;
  }

  /**
   * How round a measure is, in millimetres or in inches, whichever it is more. In all metric units
   * a measure has the same digits, so that these tell them from inches, and not from each other.
   */
  private static double points(double mm) {
    return mm > 0 ? Math.max(metric(mm), inches(mm / INCH)) : 0;
  }

  private static double metric(double mm) {
    double digits = mm / Math.pow(10, Math.floor(Math.log10(mm * (1 + ROUNDED))));
    if (isMultiple(digits, 0.5)
        || COMMON.stream().anyMatch(c -> Math.abs(digits - c) < ROUNDED * c)) {
      return 1;
    }
    return isMultiple(digits, 0.1) ? 0 : isMultiple(digits, 0.01) ? -0.5 : -1.5;
  }

  private static double inches(double n) {
    if (isMultiple(n, 6)) {
      return 1;
    }
    return isMultiple(n, 3) ? 0.6 : isMultiple(n, 1) ? 0 : isMultiple(n, 0.25) ? -0.6 : -1.5;
  }

  /** To what single precision leaves of it. */
  private static boolean isMultiple(double v, double of) {
    double n = Math.rint(v / of);
    return n > 0 && Math.abs(v - n * of) < ROUNDED * v;
  }
}
