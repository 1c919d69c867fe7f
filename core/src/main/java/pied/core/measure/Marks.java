package pied.core.measure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import pied.core.Nullable;
import pied.core.Tolerance;
import pied.core.piece.Piece;
import pied.core.solid.Vec;
import pied.core.space.Opening;
import pied.core.space.Outlines;
import pied.core.space.Platform;
import pied.core.space.Shell;
import pied.core.space.Space;
import pied.core.space.Spot;
import pied.core.space.Wall;

/** The marks of a space: points of its shell and its pieces that one can measure from. */
public final class Marks {
  /**
   * A mark.
   *
   * @param words what it is
   * @param faces outward directions of the upright faces that meet there, level, of length 1
   * @param edges directions of the level edges that meet there, of length 1
   */
  public record NamedMark(Vec at, String words, List<Vec> faces, List<Vec> edges) {}

  private Marks() {}

  /** The mark nearest to a point of the plan, or null if none is within so many metres. */
  @Nullable
  public static NamedMark nearest(Space space, Spot p, double within) {
    return nearest(space, p, within, Set.of());
  }

  /** As {@link #nearest(Space, Spot, double)}, without some pieces. */
  @Nullable
  public static NamedMark nearest(Space space, Spot p, double within, Set<String> without) {
    return nearest(
        space, within, without, v -> Math.hypot(v.x() - p.x(), v.z() - p.z()), v -> true);
  }

  /** The mark nearest to a line of sight, or null if none is within so many metres of it. */
  @Nullable
  public static NamedMark nearest(
      Space space, Vec from, Vec along, double within, Set<String> without) {
    return nearest(
        space, within, without, v -> off(v, from, along), v -> v.minus(from).dot(along) > 0);
  }

  private static double off(Vec v, Vec from, Vec along) {
    Vec d = v.minus(from);
    return d.minus(along.times(d.dot(along))).length();
  }

  private static NamedMark nearest(
      Space space,
      double within,
      Set<String> without,
      ToDoubleFunction<Vec> off,
      Predicate<Vec> counts) {
    List<NamedMark> marks = new ArrayList<>(ofShell(space.shell()));
    for (Piece p : space.pieces()) {
      double half = new Vec(p.size().width(), p.size().height(), p.size().depth()).length() / 2;
      Vec middle = p.pose().apply(new Vec(0, p.size().height() / 2, 0));
      if (!without.contains(p.id()) && off.applyAsDouble(middle) <= half + within) {
        marks.addAll(ofPiece(p));
      }
    }
    return marks.stream()
        .filter(m -> counts.test(m.at()) && off.applyAsDouble(m.at()) <= within)
        .min(Comparator.comparingDouble(m -> off.applyAsDouble(m.at())))
        .orElse(null);
  }

  // ---- of the shell

  private static List<NamedMark> ofShell(Shell shell) {
    List<NamedMark> marks = new ArrayList<>();
    if (shell.stage() != null) {
      List<Vec> lines = List.of(new Vec(1, 0, 0), new Vec(0, 0, 1));
      marks.add(new NamedMark(Vec.ZERO, "the centre line and the setting line", List.of(), lines));
    }
    List<Wall> walls = shell.walls();
    for (int i = 0; i < walls.size(); i++) {
      Wall w = walls.get(i);
      Wall before = walls.get((i + walls.size() - 1) % walls.size());
      String corner = "the corner of walls " + before.name() + " and " + w.name();
      List<Vec> faces = List.of(before.inward(), w.inward());
      marks.add(new NamedMark(w.from().at(0), corner, faces, List.of(before.along(), w.along())));
      marks.add(of(w, w.length() / 2, "the middle of wall " + w.name()));
    }
    for (Opening o : shell.openings()) {
      Wall w = shell.wall(o.wall());
      marks.add(of(w, o.from() + o.width() / 2, "the middle of the " + o.words()));
      marks.add(of(w, o.from(), "the near side of the " + o.words()));
      marks.add(of(w, o.to(), "the far side of the " + o.words()));
    }
    for (Platform f : shell.platforms()) {
      List<Spot> outline = Outlines.clockwise(f.outline());
      for (int i = 0; i < outline.size(); i++) {
        Vec c = outline.get(i).at(f.height());
        Vec before = c.minus(outline.get((i + outline.size() - 1) % outline.size()).at(f.height()));
        Vec after = outline.get((i + 1) % outline.size()).at(f.height()).minus(c);
        List<Vec> edges = List.of(before.unit(), after.unit());
        // outward is to the left of the way
        List<Vec> faces = edges.stream().map(e -> new Vec(e.z(), 0, -e.x())).toList();
        marks.add(new NamedMark(c, "a corner of the " + f.id(), faces, edges));
      }
    }
    return marks;
  }

  private static NamedMark of(Wall w, double station, String words) {
    return new NamedMark(w.spot(station, 0).at(0), words, List.of(w.inward()), List.of(w.along()));
  }

  // ---- of pieces

  private static List<NamedMark> ofPiece(Piece p) {
    List<NamedMark> marks = new ArrayList<>();
    for (int x = -1; x <= 1; x++) {
      for (int z = -1; z <= 1; z++) {
        for (int y = 0; y <= 2; y++) {
          Vec own =
              new Vec(
                  x * p.size().width() / 2, y * p.size().height() / 2, z * p.size().depth() / 2);
          marks.add(
              new NamedMark(
                  p.pose().apply(own), words(x, z) + p.name(), faces(p, x, z), edges(p, x, z)));
        }
      }
    }
    return marks;
  }

  private static String words(int x, int z) {
    if (x == 0 && z == 0) {
      return "the middle of ";
    }
    return x == 0 || z == 0 ? "a side of " : "a corner of ";
  }

  /**
   * The level directions out of the sides of a piece that meet at a mark; all four at its middle.
   *
   * @param x the mark: -1 left, 0 middle, 1 right
   * @param z -1 back, 0 middle, 1 front
   */
  public static List<Vec> faces(Piece p, int x, int z) {
    List<Vec> all = new ArrayList<>();
    for (int s : new int[] {-1, 1}) {
      boolean middle = x == 0 && z == 0;
      if (x == s || middle) {
        add(all, p.pose().direct(new Vec(s, 0, 0)));
      }
      if (z == s || middle) {
        add(all, p.pose().direct(new Vec(0, 0, s)));
      }
    }
    return all;
  }

  /** The directions of the level edges of a piece that meet at a mark; as for faces. */
  public static List<Vec> edges(Piece p, int x, int z) {
    List<Vec> all = new ArrayList<>();
    if (z != 0 || x == 0) {
      add(all, p.pose().direct(new Vec(1, 0, 0)));
    }
    if (x != 0 || z == 0) {
      add(all, p.pose().direct(new Vec(0, 0, 1)));
    }
    return all;
  }

  /** Of a piece that leans only what is still level counts. */
  private static void add(List<Vec> all, Vec way) {
    if (Math.abs(way.y()) < Tolerance.FINE) {
      all.add(new Vec(way.x(), 0, way.z()).unit());
    }
  }
}
