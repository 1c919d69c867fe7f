package pied.core.space;

import java.util.List;
import java.util.Locale;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.valid.IsValidOp;
import pied.core.Tolerance;
import pied.core.units.Message;
import pied.core.units.Refusal;

/** Whether a shell can be built; if not, why. */
public final class ShellCheck {
  /** Most corners an outline may have. */
  public static final int MOST_CORNERS = 500;

  /** Most parts of one sort. */
  private static final int MOST_PARTS = 500;

  /** Greatest measure of anything, metres. */
  public static final double MOST = 100;

  private final Shell shell;

  private ShellCheck(Shell shell) {
    this.shell = shell;
  }

  /**
   * The shell itself.
   *
   * @throws Refusal if it cannot be built, in words
   */
  public static Shell checked(Shell shell) {
    new ShellCheck(shell).check();
    return shell;
  }

  private void check() {
    outline("The outline", shell.outline());
    measure("The ceiling is to be", shell.height(), 0.5, MOST, "high");
    measure("The walls are to be", shell.thickness(), 0.01, 3, "thick");
    shell
        .thicknesses()
        .forEach((wall, t) -> measure("Wall " + wall + " is to be", t, 0, 3, "thick"));
    if (shell.skirting() != null) {
      measure("The skirting is to be", shell.skirting().height(), 0.005, 1, "high");
      measure("The skirting is to be", shell.skirting().depth(), 0.001, 0.2, "deep");
    }
    if (!(Math.abs(shell.north()) <= 360)) {
      throw new Refusal("North is 0 to 360° from the head of the plan.");
    }
    Validity.place("The datum", shell.datum());
    shell.parts().forEach(ShellCheck::most);
    stage();
    shell.walls().forEach(this::wall);
    shell.parts().values().forEach(list -> list.forEach(p -> p.check(this)));
  }

  Shell shell() {
    return shell;
  }

  /** What it is the shell of, in a sentence. */
  String words() {
    return shell.stage() == null ? "the room" : "the stage";
  }

  private static void most(String words, List<? extends Part> parts) {
    if (parts.size() > MOST_PARTS) {
      throw new Refusal("A space may have up to {} {}.", MOST_PARTS, words);
    }
  }

  static void measure(String what, double v, double least, double most, String how) {
    if (!(v >= least && v <= most)) {
      throw new Refusal("{} {} {}; it can be {} to {}.", what, m(v), how, m(least), m(most));
    }
  }

  /** A length in a message. */
  static Message.MessageLength m(double v) {
    return Message.length(v);
  }

  /**
   * Looks at the outline alone.
   *
   * @throws Refusal if it is none
   */
  public static void outline(Shell shell) {
    outline("The outline", shell.outline());
  }

  static void outline(String what, List<Spot> corners) {
    int n = corners.size();
    if (n > MOST_CORNERS) {
      throw new Refusal("{} has {} corners; Pied builds up to {}.", what, n, MOST_CORNERS);
    }
    if (n < 3) {
      throw new Refusal("{} needs at least three corners.", what);
    }
    for (int i = 0; i < n; i++) {
      Spot p = corners.get(i);
      if (!(Math.abs(p.x()) <= 1000 && Math.abs(p.z()) <= 1000)) {
        throw new Refusal("{} has a corner out of all measure.", what);
      }
      if (p.distance(corners.get((i + 1) % n)) < 0.005) {
        throw new Refusal(
            "{} has two corners on one place, {} across, {} deep.", what, m(p.x()), m(p.z()));
      }
    }
    Polygon figure = Shell.polygon(corners);
    IsValidOp valid = new IsValidOp(figure);
    if (!valid.isValid()) {
      Coordinate c = valid.getValidationError().getCoordinate();
      throw new Refusal("{} crosses itself at {} across, {} deep.", what, m(c.x), m(c.y));
    }
    if (figure.getArea() < 0.01) {
      throw new Refusal("{} encloses nothing.", what);
    }
    if (figure.getEnvelopeInternal().getWidth() > 200
        || figure.getEnvelopeInternal().getHeight() > 200) {
      throw new Refusal("{} is larger than {}.", what, m(200));
    }
  }

  private void wall(Wall w) {
    if (w.open()) {
      return;
    }
    double outer = w.station(w.outerTo()) - w.station(w.outerFrom());
    if (w.length() < w.thickness() || outer < 0.001) {
      throw new Refusal(
          "Wall {} is {} long, too short for its thickness of {}.",
          w.name(),
          m(w.length()),
          m(w.thickness()));
    }
  }

  void within(String what, List<Spot> points) {
    for (Spot p : points) {
      if (!shell
          .floor()
          .buffer(Tolerance.HAIR)
          .covers(Shell.PLANE.createPoint(new Coordinate(p.x(), p.z())))) {
        throw new Refusal("The {} would stand outside {}.", what, words());
      }
    }
  }

  private void stage() {
    Stage s = shell.stage();
    if (s == null) {
      return;
    }
    measure("The stage floor is to be", s.level(), 0, 10, "above the auditorium");
    if (!(s.rake() >= 0 && s.rake() <= 0.25)) {
      throw new Refusal(
          "A rake of {} % cannot be built; it can be 0 to 25 %.",
          String.format(Locale.ROOT, "%.1f", s.rake() * 100));
    }
    if (s.apron() != null) {
      measure("The apron is to be", s.apron().width(), 0.1, MOST, "wide");
      measure("The apron is to be", s.apron().depth(), 0.05, 30, "deep");
      measure(
          "The front edge is to draw back",
          s.apron().curve(),
          0,
          Math.min(s.apron().depth() - 0.01, s.apron().width() / 2),
          "at the sides");
    }
    if (s.seats() != null) {
      measure("The first row is to be", s.seats().first(), 0.3, MOST, "from the stage");
      measure("The rows are to be", s.seats().pitch(), 0.5, 5, "apart");
      measure("A row is to rise", s.seats().rise(), 0, 1, "above the one before");
      measure("A row is to be", s.seats().width(), 0.5, MOST, "wide");
      if (s.seats().rows() < 1 || s.seats().rows() > 100) {
        throw new Refusal("There can be 1 to 100 rows, not {}.", s.seats().rows());
      }
    }
  }
}
