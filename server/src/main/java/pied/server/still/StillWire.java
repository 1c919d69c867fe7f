package pied.server.still;

import java.util.List;
import pied.core.Nullable;
import pied.core.solid.Vec;
import pied.core.still.LuxLine;
import pied.core.still.StillGrade;
import pied.core.still.StillInk;

/** What is asked about stills, and answered. */
public final class StillWire {
  private StillWire() {}

  /**
   * The set view as it is.
   *
   * @param high the angle over its height, degrees
   * @param lifted bodies of the shell that are left out
   * @param orbit whether walls that hide what is inside are left out
   */
  public record StillEye(
      Vec eye, Vec target, double high, boolean upright, List<String> lifted, boolean orbit) {}

  /**
   * A picture that is wanted.
   *
   * @param viewpoint id of one that is kept, or the name of a ready one; null for an eye
   * @param eye null for a viewpoint
   * @param size as typed: 1920 × 1080
   * @param limit null for as long as the grade takes; else as typed: "5 min", "2 %"
   * @param look id of the look it is made in; null for as it is lit now
   * @param card whether all is of white card
   * @param around whether it shows all around
   * @param ink whether its edges are drawn; null for not
   */
  public record StillRequest(
      @Nullable String viewpoint,
      @Nullable StillEye eye,
      String size,
      @Nullable StillGrade grade,
      @Nullable String limit,
      @Nullable String look,
      boolean card,
      boolean around,
      @Nullable StillInk ink) {}

  /**
   * A picture.
   *
   * @param said what was asked for, in words
   * @param share how much of it is done, 0 to 1
   * @param progress how far it is, in words
   * @param version another one when it looks different
   * @param drawn whether it is of ink alone, and has no light
   * @param outdated whether the space was changed since
   * @param trouble what is wrong, in words; null for nothing
   * @param before how many are made before it
   */
  public record StillView(
      String id,
      String space,
      String name,
      String said,
      int width,
      int height,
      StillRow.StillState state,
      double share,
      String progress,
      double seconds,
      @Nullable Double noise,
      int version,
      boolean drawn,
      boolean outdated,
      @Nullable String trouble,
      int before,
      String made) {}

  /** Another name. */
  public record StillNaming(String name) {}

  /**
   * How bright it is.
   *
   * @param lux light that falls on it
   * @param off by so much it may be another, lux
   * @param least where it is darkest; null for a point
   * @param said the same in words
   */
  public record LuxView(double lux, double off, @Nullable Double least, String said) {}

  /**
   * Lines of equal lux on plan.
   *
   * @param revision of the space that was measured
   * @param height over the floor's zero, metres
   * @param text the same as one reads it
   * @param said how bright it is there, in words
   */
  public record LuxLinesView(
      long revision, double height, String text, List<LuxLine> lines, String said) {}
}
