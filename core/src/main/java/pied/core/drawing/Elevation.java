package pied.core.drawing;

import java.util.ArrayList;
import java.util.List;
import pied.core.Nullable;
import pied.core.solid.Vec;
import pied.core.space.Shell;
import pied.core.space.Wall;
import pied.core.units.LengthUnit;

/**
 * What one sees looking level at a wall, or into a space that is cut open: lines, nearest bodies
 * hiding those behind. Coordinates: to the right, and minus the height.
 *
 * @param title what one looks at, in words
 * @param look what was asked for, with what was missing filled in
 * @param extent least and greatest coordinates
 * @param inks lines of the shell and of the pieces, cut solids first
 * @param figures outlines of openings and pieces for pointing at them, the nearest last
 * @param zero the point of the space at 0, 0
 * @param right direction in the space that runs to the right
 * @param toEye direction to the one who looks
 * @param from where the one who looks is: degrees counter-clockwise from the foot of the plan
 * @param cut of a section: where it cuts, and the ways it may look; null for an elevation
 */
public record Elevation(
    String title,
    ElevationLook look,
    double[] extent,
    List<Ink> inks,
    List<Ink> figures,
    List<Label> labels,
    List<Dimension> dimensions,
    Vec zero,
    Vec right,
    Vec toEye,
    double from,
    @Nullable ElevationCut cut) {

  /**
   * Where a section cuts.
   *
   * @param at in the chosen unit
   * @param direction along which that is read: "across" or "deep"
   */
  public record ElevationCut(String at, String direction, List<ElevationFacing> ways) {
    static ElevationCut of(ElevationLook look, Shell shell, LengthUnit unit) {
      boolean along = look.way().along();
      List<ElevationFacing> ways = new ArrayList<>();
      for (LookWay w : LookWay.values()) {
        if (w != LookWay.wall) {
          ways.add(new ElevationFacing(w, w.words(shell.stage() != null), w.along() == along));
        }
      }
      return new ElevationCut(unit.fine(look.at()), along ? "across" : "deep", ways);
    }
  }

  /**
   * A way to look.
   *
   * @param same whether the cut stays where it is
   */
  public record ElevationFacing(LookWay way, String words, boolean same) {}

  /** Ways to look. */
  public enum LookWay {
    /** At a wall or a face of a partition. */
    wall,
    /** Upstage or to the back, cut across the space. */
    back,
    /** Downstage or to the front, cut across the space. */
    front,
    /** To the left of the plan, cut along it. */
    left,
    /** To the right of the plan, cut along it. */
    right;

    /** Against which direction one looks into a space that is cut. */
    Vec toEye() {
      return switch (this) {
        case back -> new Vec(0, 0, 1);
        case front -> new Vec(0, 0, -1);
        case left -> new Vec(1, 0, 0);
        default -> new Vec(-1, 0, 0);
      };
    }

    /** Whether it looks along the space, to one of its sides. */
    boolean along() {
      return this == left || this == right;
    }

    /** Where one looks, in words. */
    public String words(boolean stage) {
      return switch (this) {
        case back -> stage ? "upstage" : "to the back";
        case front -> stage ? "downstage" : "to the front";
        case left -> stage ? "to stage right" : "to the left";
        default -> stage ? "to stage left" : "to the right";
      };
    }
  }

  /**
   * What to look at.
   *
   * @param wall name of the wall, for {@link LookWay#wall}
   * @param at for a wall: how far before it one stands; else where the cut goes, across or deep in
   *     the space. Metres; null for the usual
   */
  public record ElevationLook(LookWay way, String wall, Double at) {
    /**
     * The looks that a space offers: at every wall, and on a stage into it from the front.
     *
     * @return at most so many as one can choose from
     */
    public static List<ElevationLook> offered(Shell shell) {
      List<ElevationLook> all = new ArrayList<>();
      if (shell.stage() != null) {
        all.add(new ElevationLook(LookWay.back, null, null));
      }
      for (Wall w : shell.walls()) {
        if (!w.open() && all.size() < 24) {
          all.add(new ElevationLook(LookWay.wall, w.name(), null));
        }
      }
      shell.partitions().stream()
          .limit(8)
          .forEach(p -> all.add(new ElevationLook(LookWay.wall, p.id(), null)));
      return all;
    }
  }
}
