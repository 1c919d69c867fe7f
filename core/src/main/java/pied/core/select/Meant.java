package pied.core.select;

import java.util.List;
import pied.core.Nullable;
import pied.core.drawing.Elevation;
import pied.core.space.Spot;

/**
 * Which pieces are asked for.
 *
 * @param by how they are meant
 * @param pieces what is clicked or selected, the lead last; may be none
 * @param open id of the group that is opened, in which one works; null for none
 * @param value the kind, article, layer, colour, group or name that is meant; null for that of the
 *     lead
 * @param figure corners of what is drawn round them, in coordinates of the drawing
 * @param drawing the drawing in which it is drawn; null for the plan
 * @param touched whether what it touches is meant too, and not only what lies in it wholly
 */
public record Meant(
    MeantBy by,
    @Nullable List<String> pieces,
    @Nullable String open,
    @Nullable String value,
    @Nullable List<Spot> figure,
    @Nullable MeantIn drawing,
    @Nullable Boolean touched) {

  /** How pieces are meant. */
  public enum MeantBy {
    /** Those that are named, each with the rest of its group. */
    piece,
    /** What lies in a figure. */
    figure,
    /** All. */
    all,
    /** All but those. */
    others,
    /** All of a kind. */
    kind,
    /** All of an article. */
    article,
    /** All of the article, the size and the finishes of the lead. */
    like,
    /** All that show a colour. */
    finish,
    /** All on a layer. */
    layer,
    /** What stands on those, and on that. */
    carried,
    /** All in a group. */
    group,
    /** What was named once. */
    named
  }

  /**
   * A drawing in which a figure is drawn.
   *
   * @param look an elevation or a section; its coordinates are those of {@link Elevation}
   * @param view or a picture in perspective: the columns of the matrix that leads from metres to
   *     it, 16 numbers; its coordinates go from -1 to 1
   */
  public record MeantIn(@Nullable Elevation.ElevationLook look, @Nullable List<Double> view) {}

  boolean takesTouched() {
    return Boolean.TRUE.equals(touched);
  }

  List<String> named() {
    return pieces == null ? List.of() : pieces;
  }
}
