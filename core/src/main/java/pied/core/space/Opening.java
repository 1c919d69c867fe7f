package pied.core.space;

import java.util.ArrayList;
import java.util.List;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.solid.Vec;
import pied.core.units.Refusal;

/**
 * A door, a window, a plain opening or a niche in a wall.
 *
 * @param wall name of the wall or the partition
 * @param from distance from the wall's first corner to the near side of the opening, metres
 * @param sill height of its lower edge above the floor, metres; 0 for a door
 * @param hinge the side a single leaf hangs on, as one looks at it from inside
 * @param opens into the room, or out of it
 * @param depth of a niche, metres; 0 for what goes through
 */
public record Opening(
    String id,
    OpeningKind kind,
    String wall,
    double from,
    double width,
    double sill,
    double height,
    Hand hinge,
    OpeningWay opens,
    double depth)
    implements Part {
  /** Sorts of openings. */
  public enum OpeningKind {
    door("door", 0.9, 0, 2.05),
    doubleDoor("double door", 1.5, 0, 2.05),
    slidingDoor("sliding door", 1.2, 0, 2.05),
    window("window", 1.2, 0.9, 1.3),
    opening("opening", 1.2, 0, 2.1),
    niche("niche", 0.6, 0.9, 1.0);

    private final String words;
    private final double width;
    private final double sill;
    private final double height;

    OpeningKind(String words, double width, double sill, double height) {
      this.words = words;
      this.width = width;
      this.sill = sill;
      this.height = height;
    }

    public String words() {
      return words;
    }

    /** Usual width, metres. */
    public double width() {
      return width;
    }

    /** Usual height of the sill, metres. */
    public double sill() {
      return sill;
    }

    /** Usual height, metres. */
    public double height() {
      return height;
    }
  }

  /** A side, as one looks at it from inside. */
  public enum Hand {
    left,
    right
  }

  /** Where a leaf opens to. */
  public enum OpeningWay {
    in,
    out
  }

  /** The opening of a stage toward the audience has this id. */
  public static final String PROSCENIUM = "proscenium";

  /** Depth of a niche where none is given, metres. */
  public static final double NICHE = 0.12;

  public Opening {
    hinge = hinge == null ? Hand.left : hinge;
    opens = opens == null ? OpeningWay.in : opens;
    depth = kind == OpeningKind.niche && depth == 0 ? NICHE : kind == OpeningKind.niche ? depth : 0;
  }

  public Opening(
      String id,
      OpeningKind kind,
      String wall,
      double from,
      double width,
      double sill,
      double height) {
    this(id, kind, wall, from, width, sill, height, null, null, 0);
  }

  /** Where its far side stands along the wall, metres. */
  public double to() {
    return from + width;
  }

  /** Its upper edge above the floor, metres. */
  public double head() {
    return sill + height;
  }

  /** How it is called in a sentence. */
  public String words() {
    return id.equals(PROSCENIUM) ? "proscenium opening" : kind.words;
  }

  public Opening at(String otherWall, double otherFrom) {
    return new Opening(id, kind, otherWall, otherFrom, width, sill, height, hinge, opens, depth);
  }

  @Override
  public @Nullable Vec anchor() {
    return null;
  }

  @Override
  public Opening called(String other) {
    return new Opening(other, kind, wall, from, width, sill, height, hinge, opens, depth);
  }

  private Spot middle(Shell shell) {
    return shell.wall(wall).spot(from + width / 2, 0);
  }

  /** The eight corners of the hole that it makes in its wall. */
  public List<Vec> corners(Shell shell) {
    Wall w = shell.wall(wall);
    List<Vec> all = new ArrayList<>();
    for (double along : new double[] {from, to()}) {
      for (double out : new double[] {0, -w.thickness()}) {
        all.add(w.spot(along, out).at(sill));
        all.add(w.spot(along, out).at(head()));
      }
    }
    return all;
  }

  /** Along its wall, and up; away from its wall it does not go. */
  @Override
  public Opening moved(Vec by, Shell shell) {
    double along = by.dot(shell.wall(wall).along());
    return new Opening(
        id,
        kind,
        wall,
        Part.tidy(from + along),
        width,
        Part.tidy(sill + by.y()),
        height,
        hinge,
        opens,
        depth);
  }

  /** In the wall that stands where its image would be, hinged on the other side if mirrored. */
  @Override
  public Opening image(Twin by, Shell shell, String other) {
    Spot there = Part.image(by, middle(shell));
    Wall in =
        shell.faces().stream()
            .filter(w -> w.distance(there) < Tolerance.FINE)
            .findFirst()
            .map(w -> shell.wall(w.name()))
            .orElseThrow(
                () ->
                    new Refusal(
                        "There is no wall where the twin of the {} would be; make that a twin too.",
                        words()));
    Hand hand = by.turned() ? hinge : hinge == Hand.left ? Hand.right : Hand.left;
    double start = Part.tidy(in.station(there) - width / 2);
    return new Opening(other, kind, in.name(), start, width, sill, height, hand, opens, depth);
  }

  @Override
  public PartName name() {
    return new PartName(PartName.PartKind.opening, id);
  }

  @Override
  public void check(ShellCheck c) {
    Wall w = c.shell().wall(wall);
    if (w == null || w.open()) {
      throw new Refusal("There is no wall {} to set the {} in.", wall, words());
    }
    ShellCheck.measure("The " + words() + " is to be", width, 0.05, ShellCheck.MOST, "wide");
    ShellCheck.measure("The " + words() + " is to be", height, 0.05, ShellCheck.MOST, "high");
    String name = Character.isUpperCase(w.name().charAt(0)) ? "wall " + w.name() : w.name();
    fits(w, name);
    deep(w, name);
    clear(c.shell(), name);
  }

  private void fits(Wall w, String name) {
    if (from < -Tolerance.SAME || to() > w.length() + Tolerance.SAME) {
      double beyond = Math.max(-from, to() - w.length());
      throw new Refusal(
          "The {} does not fit into {}: it would reach {} beyond its end.",
          words(),
          name,
          ShellCheck.m(beyond));
    }
    if (sill < -Tolerance.SAME || head() > w.height() + Tolerance.SAME) {
      throw new Refusal(
          "The {} does not fit into {}, which is {} high: it would reach from {} to {}.",
          words(),
          name,
          ShellCheck.m(w.height()),
          ShellCheck.m(sill),
          ShellCheck.m(head()));
    }
  }

  private void deep(Wall w, String name) {
    if (!(depth >= 0)) {
      throw new Refusal("The {} would be {} deep; say 0 or more.", words(), ShellCheck.m(depth));
    }
    if (kind == Opening.OpeningKind.niche && depth > w.thickness() - 0.01) {
      throw new Refusal(
          "The niche is {} deep; {} is only {} thick.",
          ShellCheck.m(depth),
          name,
          ShellCheck.m(w.thickness()));
    }
  }

  private void clear(Shell shell, String name) {
    for (Opening other : shell.openings()) {
      if (other != this
          && other.wall().equals(wall)
          && other.from() < to() - Tolerance.SAME
          && from < other.to() - Tolerance.SAME
          && other.sill() < head() - Tolerance.SAME
          && sill < other.head() - Tolerance.SAME) {
        throw new Refusal(
            "The {} would overlap the {} that is {} to {} along {}.",
            words(),
            other.words(),
            ShellCheck.m(other.from()),
            ShellCheck.m(other.to()),
            name);
      }
    }
  }
}
