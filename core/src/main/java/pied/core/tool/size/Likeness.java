package pied.core.tool.size;

/**
 * How tall something is, by what everybody knows. The heights are usual ones: of seats and tables
 * as in the catalog, of a door 2.05, of a person 1.75 and parts of one by the proportions of the
 * standing figure.
 */
public final class Likeness {
  private static final double CLOSE = 0.08;

  private record Known(double height, String words) {}

  private static final Known[] KNOWN = {
    new Known(0.09, "a cup"),
    new Known(0.3, "a bottle"),
    new Known(0.45, "a seat"),
    new Known(0.53, "a person's knee"),
    new Known(0.74, "a table"),
    new Known(0.9, "a worktop"),
    new Known(1.0, "a person's hip"),
    new Known(1.4, "a person's shoulder"),
    new Known(1.75, "a person"),
    new Known(2.05, "a door"),
    new Known(2.6, "a room"),
  };

  private Likeness() {}

  /** Such as "as tall as a door", "12 times as tall as a person", "flatter than a cup". */
  public static String of(double height) {
    Known best = KNOWN[0];
    for (Known k : KNOWN) {
      best = off(k, height) < off(best, height) ? k : best;
    }
    if (off(best, height) < CLOSE) {
      return "as tall as " + best.words;
    }
    if (height < KNOWN[0].height) {
      return "lower than " + KNOWN[0].words;
    }
    double persons = height / 1.75;
    if (persons > 2) {
      return Math.round(persons) + " times as tall as a person";
    }
    return (height < best.height ? "a little lower than " : "a little taller than ") + best.words;
  }

  private static double off(Known k, double height) {
    return Math.abs(Math.log(height / k.height));
  }
}
