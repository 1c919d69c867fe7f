package pied.core.show;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import pied.core.Nullable;
import pied.core.solid.Vec;

/**
 * A named place to look from.
 *
 * @param id none that is kept for a ready-made one: its own name
 * @param group what it belongs to: "outside", "corners" or "seats"; "kept" for those that people
 *     keep
 * @param fits whether one steps back from it until the whole space is in the picture
 * @param lens focal length, millimetres of a full frame, whose longer side is 36
 * @param frame of its picture
 * @param upright whether verticals stay upright: one looks level, and the picture is shifted
 * @param lifted bodies of the shell that are left out
 * @param hidden ids of pieces that are left out besides those that are hidden in the space
 * @param look id of the look that belongs to it; null for none
 * @param place among those that are kept; the least is the first
 */
@RecordBuilder
public record Viewpoint(
    String id,
    String name,
    String group,
    Vec eye,
    Vec target,
    boolean fits,
    double lens,
    PictureFrame frame,
    boolean upright,
    List<String> lifted,
    List<String> hidden,
    @Nullable String look,
    double place)
    implements Shown, ViewpointBuilder.With {
  /** Height of the eye of somebody standing, metres. */
  public static final double STANDING = 1.6;

  /** Of somebody seated. */
  public static final double SEATED = 1.2;

  /** Of a child that stands. */
  public static final double CHILD = 1.1;

  /** Of somebody in a wheelchair. */
  public static final double WHEELCHAIR = 1.15;

  /** Longer side of a full frame, millimetres. */
  public static final double FULL_FRAME = 36;

  /** Lenses one may have, millimetres. */
  public static final double SHORTEST = 8;

  public static final double LONGEST = 400;

  /** What nothing else is said of; as wide as one sees a room when standing in it. */
  public static final double USUAL = 24;

  /** Most of a space. */
  public static final int MOST = 200;

  /** The group of those that people keep. */
  public static final String KEPT = "kept";

  public Viewpoint {
    frame = frame == null ? PictureFrame.FREE : frame;
    lifted = lifted == null ? List.of() : List.copyOf(lifted);
    hidden = hidden == null ? List.of() : List.copyOf(hidden);
  }

  /** A ready-made one. */
  public static Viewpoint ready(String name, String group, Vec eye, Vec target, boolean fits) {
    return new Viewpoint(
        name, name, group, eye, target, fits, USUAL, null, false, null, null, null, 0);
  }

  /** The angle over the longer side of the picture, degrees. */
  public double angle() {
    return angle(lens);
  }

  /** The angle over the width of its picture, degrees. */
  public double across() {
    double ratio = frame.ratio();
    double narrow = ratio > 0 && ratio < 1 ? ratio : 1;
    return Math.toDegrees(2 * Math.atan(FULL_FRAME / 2 / lens * narrow));
  }

  /**
   * The angle over the height of a picture, degrees.
   *
   * @param ratio its width by its height
   */
  public double high(double ratio) {
    double half = FULL_FRAME / 2 / lens / Math.max(1, ratio);
    return Math.toDegrees(2 * Math.atan(half));
  }

  /** The angle that a lens sees over 36 mm, degrees. */
  public static double angle(double lens) {
    return Math.toDegrees(2 * Math.atan(FULL_FRAME / 2 / lens));
  }

  /** The lens that sees an angle over 36 mm, millimetres. */
  public static double lens(double angle) {
    return FULL_FRAME / 2 / Math.tan(Math.toRadians(angle) / 2);
  }

  @Override
  public String key() {
    return "viewpoint:" + id;
  }

  @Override
  public String sort() {
    return "viewpoint";
  }
}
